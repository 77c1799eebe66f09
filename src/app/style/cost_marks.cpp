#include "app/style/cost_marks.h"

#include "core/base/enumerated.h"

#include <QCoreApplication>
#include <QPainterPath>

namespace bslate::app {
namespace {

// Points in a unit square, scaled into the mark's box.
struct Place {
    QRectF box;
    [[nodiscard]] QPointF at(double x, double y) const {
        return {box.left() + x * box.width(), box.top() + y * box.height()};
    }
    [[nodiscard]] QRectF rect(double x, double y, double w, double h) const {
        return {at(x, y), at(x + w, y + h)};
    }
};

void drawSound(QPainter& painter, const Place& p) {
    QPainterPath wave(p.at(0.05, 0.55));
    wave.cubicTo(p.at(0.2, 0.0), p.at(0.35, 0.0), p.at(0.5, 0.55));
    wave.cubicTo(p.at(0.65, 1.05), p.at(0.8, 1.05), p.at(0.95, 0.5));
    painter.drawPath(wave);
    painter.drawLine(p.at(0.1, 0.95), p.at(0.9, 0.05));
}

void drawRegion(QPainter& painter, const Place& p) {
    painter.drawArc(p.rect(0.12, 0.12, 0.76, 0.76), 40 * 16, 270 * 16);
    painter.drawPolyline(QPolygonF{p.at(0.62, 0.28), p.at(0.82, 0.26), p.at(0.84, 0.04)});
}

} // namespace

void drawCost(QPainter& painter, const QRectF& box, CostKind kind, const Tokens& t) {
    const Place p{box};
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(t.marigold, 1.3 * t.stroke));
    painter.setBrush(Qt::NoBrush);
    switch (kind) {
    case CostKind::Crop:
        painter.drawRect(p.rect(0.05, 0.12, 0.9, 0.76));
        painter.drawRect(p.rect(0.3, 0.34, 0.4, 0.32));
        break;
    case CostKind::Sound:
        drawSound(painter, p);
        break;
    case CostKind::Focus:
        painter.drawArc(p.rect(0.1, 0.1, 0.8, 0.8), 30 * 16, 120 * 16);
        painter.drawArc(p.rect(0.1, 0.1, 0.8, 0.8), 210 * 16, 120 * 16);
        break;
    case CostKind::ClipLimit:
        painter.drawLine(p.at(0.05, 0.5), p.at(0.8, 0.5));
        painter.drawLine(p.at(0.85, 0.15), p.at(0.85, 0.85));
        break;
    case CostKind::Heat:
        for (const double x : {0.2, 0.5, 0.8})
            painter.drawLine(p.at(x, 0.9), p.at(x + (x < 0.5 ? 0.1 : -0.1), 0.9 - x));
        break;
    case CostKind::Power:
        painter.drawLine(p.at(0.35, 0.05), p.at(0.35, 0.4));
        painter.drawLine(p.at(0.65, 0.05), p.at(0.65, 0.4));
        painter.drawPolygon(QPolygonF{p.at(0.15, 0.4), p.at(0.85, 0.4), p.at(0.5, 0.92)});
        break;
    case CostKind::Card:
        painter.drawPolygon(QPolygonF{p.at(0.15, 0.08), p.at(0.6, 0.08), p.at(0.85, 0.33),
                                      p.at(0.85, 0.92), p.at(0.15, 0.92)});
        break;
    case CostKind::Region:
        drawRegion(painter, p);
        break;
    case CostKind::OffSpeed:
        for (const double x : {0.1, 0.5})
            painter.drawPolyline(QPolygonF{p.at(x, 0.15), p.at(x + 0.38, 0.5), p.at(x, 0.85)});
        break;
    }
    painter.restore();
}

const char* costName(CostKind kind) {
    constexpr ByEnum<CostKind, const char*> names{
        QT_TRANSLATE_NOOP("Costs", "crop"),       QT_TRANSLATE_NOOP("Costs", "no sound"),
        QT_TRANSLATE_NOOP("Costs", "no focus"),   QT_TRANSLATE_NOOP("Costs", "clip limit"),
        QT_TRANSLATE_NOOP("Costs", "heat"),       QT_TRANSLATE_NOOP("Costs", "power"),
        QT_TRANSLATE_NOOP("Costs", "which card"), QT_TRANSLATE_NOOP("Costs", "region"),
        QT_TRANSLATE_NOOP("Costs", "off-speed")};
    return names[kind];
}

} // namespace bslate::app
