#include "app/widgets/value_rows.h"

#include "app/style/marks.h"
#include "app/widgets/painted_access.h"

#include <QPainter>

namespace bslate::app {

namespace {
constexpr double kValueRow = 22, kValueTop = 40, kValueLeft = 84;
} // namespace

ValueRows::ValueRows(const Style& style, const char* name, QWidget* parent)
    : QWidget(parent)
    , m_style(style) {
    setObjectName(QString::fromLatin1(name));
    setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
    connect(&style, &Style::changed, this, qOverload<>(&QWidget::update));
}

void ValueRows::show(const QString& heading, std::vector<ValueRow> rows) {
    m_heading = heading;
    m_rows = std::move(rows);
    QStringList spoken;
    for (const auto& row : m_rows)
        spoken << QStringLiteral("%1 %2").arg(row.name, row.value);
    describe(*this, QAccessible::List, heading, spoken.join(QStringLiteral("; ")));
    updateGeometry();
    update();
}

QSize ValueRows::sizeHint() const {
    return {300, static_cast<int>(kValueTop + kValueRow * static_cast<double>(m_rows.size()) + 8)};
}

void ValueRows::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& t = m_style.colours();
    drawBlock(painter, rect(), t.panel, {}, 0);
    painter.setFont(Style::font(TextRole::Head));
    painter.setPen(t.ink);
    painter.drawText(QRectF(14, 8, width() - 28.0, 26), Qt::AlignLeft | Qt::AlignVCenter,
                     elided(m_heading, painter.font(), width() - 28.0));
    double y = kValueTop;
    for (const auto& row : m_rows) {
        painter.setPen(QPen(t.line, 1));
        painter.drawLine(QPointF(14, y + kValueRow - 1),
                         QPointF(width() - 14.0, y + kValueRow - 1));
        if (row.marked)
            painter.fillRect(QRectF(kValueLeft - 8, y + 4, 3, kValueRow - 9), t.marigold);
        painter.setFont(Style::font(TextRole::Secondary));
        painter.setPen(t.muted);
        painter.drawText(QRectF(14, y, 70, kValueRow), Qt::AlignLeft | Qt::AlignVCenter, row.name);
        QFont font = Style::font(TextRole::Value);
        font.setBold(row.marked);
        painter.setFont(font);
        painter.setPen(row.marked ? t.marigold : t.ink);
        const double room = width() - kValueLeft - 14;
        painter.drawText(QRectF(kValueLeft, y, room, kValueRow), Qt::AlignLeft | Qt::AlignVCenter,
                         elided(row.value, font, room));
        y += kValueRow;
    }
}

} // namespace bslate::app
