#include "app/views/record/cell_detail.h"

#include "app/document/text.h"
#include "core/quantity/print.h"
#include "core/words/figure_lines.h"

#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

namespace bslate::app {
namespace {

constexpr int kShownOpenings = 4;

QString joined(const std::vector<Reason>& reasons) {
    QStringList words;
    for (const auto& reason : reasons)
        words << toQt(reasonOf(reason, translator()));
    return words.join(QStringLiteral("; "));
}

QString costsOf(const ModeCell& cell) {
    QStringList words;
    words << CellDetail::tr("%1, %2 bits a pixel")
                 .arg(toQt(print(cell.bitRate)), toQt(print(cell.bitsPerPixel)));
    if (cell.recordTime)
        words << CellDetail::tr("%1 on %2 in %3")
                     .arg(toQt(printDuration(*cell.recordTime)), toQt(cell.card.card->name),
                          toQt(cell.card.slot->name));
    for (const auto& [kind, reason] : cell.costs)
        words << toQt(reasonOf(reason, translator()));
    return words.join(QStringLiteral("  \u00b7  "));
}

} // namespace

CellDetail::CellDetail(const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_style(style)
    , m_title(new QLabel)
    , m_words(new QLabel)
    , m_changes(new QLabel)
    , m_choose(new QPushButton(tr("Record this way (Return)"))) {
    setObjectName(QStringLiteral("cell-detail"));
    m_title->setFont(Style::font(TextRole::Title));
    m_title->setObjectName(QStringLiteral("cell-title"));
    m_words->setObjectName(QStringLiteral("cell-words"));
    m_changes->setObjectName(QStringLiteral("cell-changes"));
    m_choose->setObjectName(QStringLiteral("cell-choose"));
    m_words->setWordWrap(true);
    m_changes->setWordWrap(true);
    m_changes->setTextFormat(Qt::RichText);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(4);
    auto* head = new QHBoxLayout;
    head->addWidget(m_title, 1);
    m_row = head;
    head->addWidget(m_choose);
    column->addLayout(head);
    column->addWidget(m_words);
    column->addWidget(m_changes);
    connect(m_choose, &QPushButton::clicked, this, &CellDetail::chooseRequested);
}

void CellDetail::show(const ModeCell& cell, bool recordedNow,
                      const std::vector<Difference>& changes, const std::vector<Opening>& openings,
                      const QString& problem) {
    const QString name = tr("%1 at %2").arg(toQt(cell.mode->name), toQt(print(cell.rate)));
    if (!cell.available()) {
        m_title->setText(tr("%1 is not possible").arg(name));
        m_words->setText(tr("%1.").arg(joined(cell.reasons)));
    } else {
        m_title->setText(recordedNow ? tr("%1, recorded now").arg(name) : name);
        m_words->setText(problem.isEmpty() ? costsOf(cell) : problem);
    }
    m_changes->setText(changesText(changes));
    m_changes->setVisible(!changes.empty());
    showButtons(cell.available() && !recordedNow && problem.isEmpty(), openings);
}

void CellDetail::showNothing(const QString& why) {
    m_title->setText(why);
    m_words->clear();
    m_changes->clear();
    showButtons(false, {});
}

void CellDetail::showButtons(bool choose, const std::vector<Opening>& openings) {
    m_choose->setVisible(choose);
    const int count = std::min<int>(kShownOpenings, static_cast<int>(openings.size()));
    while (m_openings.size() < count) {
        auto* button = new QPushButton;
        const int index = static_cast<int>(m_openings.size());
        button->setObjectName(QStringLiteral("opening-%1").arg(index));
        connect(button, &QPushButton::clicked, this,
                [this, index] { emit openingRequested(index); });
        m_row->addWidget(button);
        m_openings.append(button);
    }
    for (int i = 0; i < static_cast<int>(m_openings.size()); ++i) {
        m_openings[i]->setVisible(i < count);
        if (i >= count)
            continue;
        const auto& opening = openings[static_cast<std::size_t>(i)];
        QString text = toQt(reasonOf(opening.reason, translator()));
        text.replace(0, 1, text.left(1).toUpper());
        m_openings[i]->setText(opening.setup ? text : tr("Bring %1").arg(text));
        m_openings[i]->setEnabled(opening.setup.has_value());
    }
}

// "Angle of view 54 > 39" in a flowing line; what differs is marigold.
QString CellDetail::changesText(const std::vector<Difference>& changes) const {
    QStringList parts;
    for (const auto& line : figureLines(changes, translator())) {
        // The title says the recording and the rate.
        if (!line.differs() || line.id == FigureId::Recording || line.id == FigureId::Rate)
            continue;
        parts << QStringLiteral("<span style='color:%1'>%2</span> %3 \u2192 "
                                "<span style='color:%4'>%5</span>")
                     .arg(m_style.colours().muted.name(), toQt(line.name).toHtmlEscaped(),
                          toQt(line.before).toHtmlEscaped(), m_style.colours().marigold.name(),
                          toQt(line.after).toHtmlEscaped());
    }
    return parts.join(QStringLiteral(" &nbsp;\u00b7&nbsp; "));
}

} // namespace bslate::app
