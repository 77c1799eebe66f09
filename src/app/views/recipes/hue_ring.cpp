#include "app/views/recipes/hue_ring.h"

#include "app/style/marks.h"
#include "core/facts/look_compare.h"

#include <QLineF>
#include <QPainter>
#include <QPainterPath>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace bslate::app {
namespace {

constexpr double kNeutral = 0.46, kPerDepth = 0.26; // shares of the reach

// Red leans up to the right; the others follow as on the six-sided circle of signal/look.h.
QPointF wayTo(LookHandle hue) {
    const int index = static_cast<int>(hue) - static_cast<int>(LookHandle::Reds);
    const double turn = (30 + 60.0 * index) * std::numbers::pi / 180;
    return {std::cos(turn), -std::sin(turn)};
}

QColor colourOf(const Rgb& signal) {
    const auto part = [](double value) { return std::clamp(value, 0.0, 1.0); };
    return QColor::fromRgbF(static_cast<float>(part(signal[0])),
                            static_cast<float>(part(signal[1])),
                            static_cast<float>(part(signal[2])));
}

} // namespace

HueRing::HueRing(const Style& style, QWidget* parent)
    : HandlePicture(style, LookHandle::Colourfulness, kLookHandles - kToneHandles, parent) {
    setObjectName(QStringLiteral("hue-ring"));
}

QPointF HueRing::middle() const {
    return {width() / 2.0, (height() - 34) / 2.0 + 4};
}

double HueRing::reach() const {
    return std::min(width() / 2.0, (height() - 34) / 2.0) - 8;
}

QRectF HueRing::line() const {
    return QRectF(rect()).adjusted(24, height() - 22, -24, -16);
}

QPointF HueRing::placeOf(LookHandle handle) const {
    const double value = valueOf(look(), handle);
    if (handle == LookHandle::Colourfulness)
        return {line().left() + value / 2 * line().width(), line().center().y()};
    return middle() + wayTo(handle) * reach() * (kNeutral - kPerDepth * value);
}

Look HueRing::lookAt(LookHandle handle, QPointF place) const {
    if (handle == LookHandle::Colourfulness)
        return withValue(look(), handle, (place.x() - line().left()) / line().width() * 2);
    const QPointF away = place - middle(), way = wayTo(handle);
    const double out = (away.x() * way.x() + away.y() * way.y()) / reach();
    return withValue(look(), handle, (kNeutral - out) / kPerDepth);
}

int HueRing::upIs(LookHandle handle) const {
    return handle == LookHandle::Colourfulness ? 1 : -1; // outwards: lighter
}

void HueRing::paintHues(QPainter& painter) const {
    const auto samples = compareLooks(Evaluation{}, look(), other());
    std::size_t next = 0;
    for (const auto& sample : samples) {
        if (!sample.name.empty() || next >= 6)
            continue;
        const auto hue =
            static_cast<LookHandle>(static_cast<std::size_t>(LookHandle::Reds) + next++);
        const QPointF centre = middle() + wayTo(hue) * reach() * 0.92;
        painter.setPen(QPen(colourOf(sample.shown[1]), 5));
        painter.setBrush(colourOf(sample.shown[0]));
        painter.drawEllipse(centre, 13, 13);
    }
}

void HueRing::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const auto& t = style().colours();
    drawBlock(painter, rect(), t.deep, hasFocus() ? t.marigold : QColor(), 1);
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(t.line, 1.2, Qt::DashLine));
    painter.drawEllipse(middle(), reach() * kNeutral, reach() * kNeutral);
    paintHues(painter);
    QPainterPath shape;
    for (int i = 0; i < 6; ++i) {
        const auto hue = static_cast<LookHandle>(static_cast<int>(LookHandle::Reds) + i);
        i == 0 ? shape.moveTo(placeOf(hue)) : shape.lineTo(placeOf(hue));
    }
    shape.closeSubpath();
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(t.ink, 2 * t.stroke));
    painter.drawPath(shape);
    painter.setPen(QPen(t.line, 3));
    painter.drawLine(QPointF(line().left(), line().center().y()),
                     QPointF(line().right(), line().center().y()));
    painter.setPen(QPen(t.muted, 1));
    painter.drawLine(
        QLineF(line().center().x(), line().top() - 3, line().center().x(), line().bottom() + 3));
    painter.setFont(Style::font(TextRole::Secondary));
    painter.setPen(t.muted);
    painter.drawText(QRectF(10, 6, width() - 20.0, 16), Qt::AlignLeft, tr("outwards lighter"));
    painter.drawText(QRectF(10, line().top() - 22, width() - 20.0, 16), Qt::AlignLeft,
                     tr("Colourfulness"));
    paintHandles(painter);
}

} // namespace bslate::app
