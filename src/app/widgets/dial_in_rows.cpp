#include "app/widgets/dial_in_rows.h"

#include "app/document/text.h"
#include "app/style/marks.h"
#include "app/style/style.h"

namespace bslate::app {

namespace {
constexpr double kLabelWidth = 98;

// What fits: the whole, or its first clauses, rather than a cut word.
QString fitting(QString text, const QFont& font, double room) {
    const QFontMetricsF metrics(font);
    while (metrics.horizontalAdvance(text) > room && text.contains(QStringLiteral(", ")))
        text.truncate(text.lastIndexOf(QStringLiteral(", ")));
    return elided(text, font, room);
}
} // namespace

double drawDialInRows(QPainter& painter, const QRectF& area, const DialInCard& card,
                      double rowHeight, const Tokens& t) {
    double y = area.top();
    const auto label = Style::font(TextRole::Body);
    for (const auto& row : card.rows) {
        painter.setPen(QPen(t.line, 1));
        painter.drawLine(QPointF(area.left(), y + rowHeight), QPointF(area.right(), y + rowHeight));
        if (row.changed)
            painter.fillRect(QRectF(area.left() - 8, y + 4, 3, rowHeight - 8), t.marigold);
        painter.setFont(label);
        painter.setPen(t.muted);
        painter.drawText(QRectF(area.left(), y, kLabelWidth, rowHeight),
                         Qt::AlignLeft | Qt::AlignVCenter, toQt(nameOf(row.field, translator())));
        auto value = Style::font(TextRole::Value);
        value.setBold(row.changed);
        painter.setFont(value);
        painter.setPen(row.changed ? t.marigold : t.ink);
        const double room = area.width() - kLabelWidth;
        painter.drawText(QRectF(area.left() + kLabelWidth, y, room, rowHeight),
                         Qt::AlignLeft | Qt::AlignVCenter,
                         fitting(toQt(reasonOf(row.value, translator())), value, room));
        y += rowHeight;
    }
    return y;
}

} // namespace bslate::app
