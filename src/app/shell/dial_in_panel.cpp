#include "app/shell/dial_in_panel.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/widgets/dial_in_rows.h"
#include "app/widgets/painted_access.h"

#include <QPainter>

#include <algorithm>

namespace bslate::app {

namespace {
constexpr double kDialRow = 20;
constexpr std::size_t kLeastRows = 13;
constexpr double kDialTop = 40;
} // namespace

DialInPanel::DialInPanel(ShootDocument& document, const Style& style, QWidget* parent)
    : QWidget(parent)
    , m_document(document)
    , m_style(style) {
    setObjectName(QStringLiteral("dial-in"));
    setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
    connect(&document, &ShootDocument::changed, this, &DialInPanel::refresh);
    connect(&document, &ShootDocument::selectionChanged, this, &DialInPanel::refresh);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
    refresh();
}

QSize DialInPanel::sizeHint() const {
    const auto rows = static_cast<double>(std::max(kLeastRows, m_card.rows.size()));
    return {300, static_cast<int>(kDialTop + rows * kDialRow + 8)};
}

void DialInPanel::refresh() {
    const auto* setup = m_document.setup();
    DialInCard card = setup ? dialIn(m_document.shoot(), *setup) : DialInCard{};
    if (card == m_card && setup)
        return; // most steps of a drag change nothing here
    m_card = std::move(card);
    updateGeometry();
    QStringList spoken;
    for (const auto& row : m_card.rows)
        spoken << QStringLiteral("%1 %2%3").arg(toQt(nameOf(row.field, translator())),
                                                toQt(reasonOf(row.value, translator())),
                                                row.changed ? tr(", changed") : QString());
    describe(*this, QAccessible::List, tr("Dial in"), spoken.join(QStringLiteral("; ")));
    update();
}

void DialInPanel::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& t = m_style.colours();
    drawBlock(painter, rect(), t.panel, {}, 0);
    painter.setFont(Style::font(TextRole::Head));
    painter.setPen(t.ink);
    QString title = tr("Dial in");
    for (const auto& row : m_card.rows)
        if (row.field == DialInField::Bank)
            title = tr("Dial in \u00b7 bank %1").arg(toQt(reasonOf(row.value, translator())));
    painter.drawText(QRectF(14, 8, width() - 28.0, 26), Qt::AlignLeft | Qt::AlignVCenter,
                     elided(title, painter.font(), width() - 130.0));
    if (m_card.changes() > 0) {
        painter.setFont(Style::font(TextRole::Secondary));
        painter.setPen(t.marigold);
        painter.drawText(QRectF(14, 8, width() - 28.0, 26), Qt::AlignRight | Qt::AlignVCenter,
                         tr("%1 changed since %2").arg(m_card.changes()).arg(toQt(m_card.after)));
    }
    drawDialInRows(painter, QRectF(14, kDialTop, width() - 28.0, height() - kDialTop), m_card,
                   kDialRow, t);
}

} // namespace bslate::app
