#include "app/shell/verdict_panel.h"

#include "app/document/text.h"
#include "app/shell/finding_row.h"
#include "app/style/marks.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QPainter>
#include <QScrollArea>
#include <QTimer>
#include <QVBoxLayout>

namespace bslate::app {

namespace {
constexpr int kSettleMs = 25;

QString counted(int count, const QString& one, const QString& many) {
    return QStringLiteral("%1 %2").arg(count).arg(count == 1 ? one : many);
}

// Whose numbers the verdict rests on.
QString sourceText(CurveSource source) {
    switch (source) {
    case CurveSource::Nominal:
        return VerdictPanel::tr("by the printed numbers of this profile");
    case CurveSource::Measured:
        return VerdictPanel::tr("by the numbers measured on this body");
    case CurveSource::MeasuredElsewhere:
        break;
    }
    return VerdictPanel::tr("by a curve measured elsewhere, printed clip and noise");
}
} // namespace

VerdictPanel::VerdictPanel(Actions& actions, const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_actions(actions)
    , m_style(style)
    , m_title(new QLabel(tr("Verdict")))
    , m_counts(new QLabel)
    , m_source(new QLabel)
    , m_scroll(new QScrollArea)
    , m_list(new QWidget)
    , m_column(new QVBoxLayout(m_list))
    , m_later(new QTimer(this)) {
    setObjectName(QStringLiteral("verdict"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(12, 10, 4, 8);
    auto* head = new QHBoxLayout;
    m_title->setFont(Style::font(TextRole::Head));
    m_counts->setFont(Style::font(TextRole::Secondary));
    m_counts->setForegroundRole(QPalette::PlaceholderText);
    head->addWidget(m_title);
    head->addStretch(1);
    head->addWidget(m_counts);
    head->addSpacing(8);
    column->addLayout(head);
    m_source->setObjectName(QStringLiteral("curve-source"));
    m_source->setFont(Style::font(TextRole::Secondary));
    m_source->setForegroundRole(QPalette::PlaceholderText);
    column->addWidget(m_source);
    m_column->setContentsMargins(0, 0, 4, 0);
    m_column->setSpacing(2);
    m_column->addStretch(1);
    m_scroll->setWidget(m_list);
    m_scroll->setWidgetResizable(true);
    m_scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_scroll->setAccessibleName(tr("Findings"));
    m_scroll->viewport()->setAutoFillBackground(false);
    m_list->setAutoFillBackground(false);
    column->addWidget(m_scroll, 1);
    m_later->setSingleShot(true);
    connect(m_later, &QTimer::timeout, this, &VerdictPanel::refresh);
    const auto soon = [this] { m_later->start(kSettleMs); };
    connect(&actions.document(), &ShootDocument::changed, this, soon);
    connect(&actions.document(), &ShootDocument::selectionChanged, this, &VerdictPanel::refresh);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
    refresh();
}

FindingRow* VerdictPanel::row(std::size_t index) {
    while (static_cast<std::size_t>(m_rows.size()) <= index) {
        auto* row = new FindingRow(m_style, m_list);
        m_column->insertWidget(m_column->count() - 1, row);
        // Rows come late; without this Tab would visit them after everything else.
        QWidget* before =
            m_rows.isEmpty() ? static_cast<QWidget*>(m_scroll) : m_rows.last()->lastControl();
        for (auto* control : row->findChildren<QWidget*>()) {
            if (control->focusPolicy() & Qt::TabFocus) {
                setTabOrder(before, control);
                before = control;
            }
        }
        m_rows.append(row);
        connect(row, &FindingRow::remedyChosen, this,
                [this](const QString& name, const Edit& edit) { m_actions.apply(name, edit); });
        connect(row, &FindingRow::accepted, &m_actions, &Actions::accept);
        connect(row, &FindingRow::withdrawn, &m_actions, &Actions::withdrawAcceptance);
    }
    return m_rows[static_cast<qsizetype>(index)];
}

QList<FindingRow*> VerdictPanel::rows() const {
    QList<FindingRow*> shown;
    for (auto* row : m_rows)
        if (!row->isHidden())
            shown.append(row);
    return shown;
}

void VerdictPanel::refresh() {
    m_later->stop();
    const auto* verdict = m_actions.document().verdict();
    std::size_t used = 0;
    if (verdict) {
        for (const auto& finding : verdict->findings)
            if (!finding.id.starts_with("safety-")) // shown over the picture, at the point of use
                row(used++)->show(finding);
        m_counts->setText(
            tr("%1 \u00b7 %2 \u00b7 %3 good")
                .arg(counted(verdict->count(Severity::Fault), tr("fault"), tr("faults")),
                     counted(verdict->count(Severity::Caution), tr("caution"), tr("cautions")))
                .arg(verdict->count(Severity::Good)));
    } else {
        m_counts->setText(tr("nothing to judge"));
    }
    m_source->setText(verdict && verdict->evaluation ? sourceText(verdict->evaluation->curveSource)
                                                     : QString());
    for (auto i = static_cast<qsizetype>(used); i < m_rows.size(); ++i)
        m_rows[i]->hide();
}

void VerdictPanel::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    drawBlock(painter, rect(), m_style.colours().panel, {}, 0);
}

} // namespace bslate::app
