#include "app/style/marks.h"

#include <QFontMetricsF>
#include <QPainterPath>

#include <cmath>

namespace bslate::app {

void drawSeverity(QPainter& painter, const QRectF& box, Severity severity, bool accepted,
                  const Tokens& t) {
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    const double w = box.width();
    const auto pen = [&](const QColor& colour) { return QPen(colour, 1.6 * t.stroke); };
    switch (severity) {
    case Severity::Fault: {
        const QRectF square = box.adjusted(1, 1, -1, -1);
        painter.setPen(pen(t.coral));
        painter.setBrush(accepted ? QBrush(Qt::NoBrush) : QBrush(t.coral));
        painter.drawRect(square);
        painter.setPen(pen(accepted ? t.coral : t.deep));
        const QRectF cross = square.adjusted(w * 0.22, w * 0.22, -w * 0.22, -w * 0.22);
        painter.drawLine(cross.topLeft(), cross.bottomRight());
        painter.drawLine(cross.topRight(), cross.bottomLeft());
        break;
    }
    case Severity::Caution: {
        painter.setPen(pen(t.marigold));
        painter.setBrush(Qt::NoBrush);
        const QPolygonF triangle{{box.center().x(), box.top() + 1},
                                 {box.right() - 0.5, box.bottom() - 1},
                                 {box.left() + 0.5, box.bottom() - 1}};
        painter.drawPolygon(triangle);
        if (!accepted) {
            painter.drawLine(QPointF(box.center().x(), box.top() + w * 0.38),
                             QPointF(box.center().x(), box.top() + w * 0.66));
            painter.drawPoint(QPointF(box.center().x(), box.top() + w * 0.8));
        }
        break;
    }
    case Severity::Good:
        painter.setPen(pen(t.sea));
        painter.drawEllipse(box.adjusted(1, 1, -1, -1));
        painter.drawPolyline(QPolygonF{{box.left() + w * 0.3, box.top() + w * 0.52},
                                       {box.left() + w * 0.45, box.top() + w * 0.67},
                                       {box.left() + w * 0.72, box.top() + w * 0.36}});
        break;
    case Severity::Note:
        painter.setPen(Qt::NoPen);
        painter.setBrush(t.sky);
        painter.drawEllipse(box.center(), w * 0.2, w * 0.2);
        break;
    }
    painter.restore();
}

QIcon severityIcon(Severity severity, const Tokens& tokens) {
    constexpr int kSide = 32; // for screens of twice the density
    QPixmap pixmap(kSide, kSide);
    pixmap.fill(Qt::transparent);
    QPainter painter(&pixmap);
    painter.setRenderHint(QPainter::Antialiasing);
    drawSeverity(painter, QRectF(2, 2, kSide - 4, kSide - 4), severity, false, tokens);
    QIcon icon(pixmap);
    icon.addPixmap(pixmap, QIcon::Selected); // not tinted
    return icon;
}

void drawHatch(QPainter& painter, const QRectF& area, const QColor& colour, double spacing) {
    if (area.isEmpty())
        return;
    painter.save();
    painter.setClipRect(area, Qt::IntersectClip);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(colour, 1.1));
    const double first = std::floor((area.left() - area.height()) / spacing) * spacing;
    QList<QLineF> lines;
    for (double x = first; x < area.right(); x += spacing)
        lines.append(QLineF(x, area.bottom(), x + area.height(), area.top()));
    painter.drawLines(lines);
    painter.restore();
}

void drawDots(QPainter& painter, const QRectF& area, const QColor& colour, double spacing) {
    if (area.isEmpty())
        return;
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing, false);
    QPen pen(colour, 1.6);
    pen.setCapStyle(Qt::SquareCap);
    painter.setPen(pen);
    QList<QPointF> points;
    const double top = std::ceil(area.top() / spacing) * spacing;
    const double left = std::ceil(area.left() / spacing) * spacing;
    for (double y = top; y < area.bottom(); y += spacing)
        for (double x = left; x < area.right(); x += spacing)
            points.append(QPointF(x, y));
    painter.drawPoints(points.constData(), static_cast<int>(points.size()));
    painter.restore();
}

void drawDiamond(QPainter& painter, QPointF centre, double radius, const QColor& fill,
                 const QColor& edge) {
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(edge, 1.5));
    painter.setBrush(fill);
    painter.drawPolygon(QPolygonF{{centre.x(), centre.y() - radius},
                                  {centre.x() + radius, centre.y()},
                                  {centre.x(), centre.y() + radius},
                                  {centre.x() - radius, centre.y()}});
    painter.restore();
}

void drawBlock(QPainter& painter, const QRectF& box, const QColor& fill, const QColor& edge,
               double width) {
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(width > 0 ? QPen(edge, width) : QPen(Qt::NoPen));
    painter.setBrush(fill);
    const double inset = width / 2;
    painter.drawRoundedRect(box.adjusted(inset, inset, -inset, -inset), 4, 4);
    painter.restore();
}

QString elided(const QString& text, const QFont& font, double width) {
    return QFontMetricsF(font).elidedText(text, Qt::ElideRight, width);
}

} // namespace bslate::app
