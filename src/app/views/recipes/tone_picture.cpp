#include "app/views/recipes/tone_picture.h"

#include "app/document/text.h"
#include "app/style/marks.h"

#include <QPainter>
#include <QPainterPath>

#include <algorithm>
#include <cmath>

namespace bslate::app {
namespace {

constexpr double kDarkest = -7, kBrightest = 5; // stops
constexpr double kLeast = -0.12, kMost = 1.12;  // signal
constexpr double kToeAt = 1.0 / 6;              // where v (1 - 2v)^2 is greatest ...
constexpr double kToeMost = 2.0 / 27;           // ... and this much
constexpr double kSlopeOver = 0.2;              // of the plain curve, beyond the shoulder

double toneAt(const Look& look, double stops) {
    const Curve tone{look.tone, CodeRange::Legal, std::nullopt};
    return encode(tone, linearAt(Stops(stops))).value();
}

// Where plain BT.709 has this signal.
double stopsOfPlain(double signal) {
    return stopsOf(decode(bt709(), Signal(signal))).value();
}

double slopeStops(const Look& look) {
    return stopsOfPlain(look.tone.kneePoint + kSlopeOver);
}

} // namespace

TonePicture::TonePicture(const Style& style, QWidget* parent)
    : HandlePicture(style, LookHandle::Lift, kToneHandles, parent) {
    setObjectName(QStringLiteral("tone-picture"));
}

QRectF TonePicture::plot() const {
    return QRectF(rect()).adjusted(42, 10, -10, -24);
}

QPointF TonePicture::at(double stops, double signal) const {
    const QRectF area = plot();
    return {area.left() + (stops - kDarkest) / (kBrightest - kDarkest) * area.width(),
            area.bottom() - (signal - kLeast) / (kMost - kLeast) * area.height()};
}

double TonePicture::signalAt(QPointF place) const {
    const QRectF area = plot();
    return kLeast + (area.bottom() - place.y()) / area.height() * (kMost - kLeast);
}

QPointF TonePicture::placeOf(LookHandle handle) const {
    switch (handle) {
    case LookHandle::Toe: {
        const double stops = stopsOfPlain(kToeAt);
        return at(stops, toneAt(look(), stops));
    }
    case LookHandle::Shoulder: {
        const double stops = stopsOfPlain(look().tone.kneePoint);
        return at(stops, toneAt(look(), stops));
    }
    case LookHandle::ShoulderSlope:
        return at(slopeStops(look()), toneAt(look(), slopeStops(look())));
    default:
        return at(kDarkest, look().tone.blackLevel);
    }
}

Look TonePicture::lookAt(LookHandle handle, QPointF place) const {
    const double lift = look().tone.blackLevel;
    const double signal = signalAt(place), unlifted = (signal - lift) / (1 - lift);
    switch (handle) {
    case LookHandle::Toe:
        return withValue(look(), handle, (unlifted - kToeAt) / kToeMost);
    case LookHandle::Shoulder:
        return withValue(look(), handle, unlifted);
    case LookHandle::ShoulderSlope:
        return withValue(look(), handle, (unlifted - look().tone.kneePoint) / kSlopeOver);
    default:
        return withValue(look(), LookHandle::Lift, signal);
    }
}

void TonePicture::paintCurve(QPainter& painter, const Look& of, const QPen& pen) const {
    QPainterPath path;
    for (int i = 0; i <= 240; ++i) {
        const double stops = kDarkest + i * (kBrightest - kDarkest) / 240;
        const QPointF point = at(stops, std::clamp(toneAt(of, stops), kLeast, kMost));
        i == 0 ? path.moveTo(point) : path.lineTo(point);
    }
    painter.setPen(pen);
    painter.setBrush(Qt::NoBrush);
    painter.drawPath(path);
}

void TonePicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const auto& t = style().colours();
    drawBlock(painter, rect(), t.deep, hasFocus() ? t.marigold : QColor(), 1);
    painter.setFont(Style::font(TextRole::Secondary));
    for (int percent = 0; percent <= 100; percent += 25) {
        const QPointF left = at(kDarkest, percent / 100.0);
        painter.setPen(QPen(t.line, 1));
        painter.drawLine(left, at(kBrightest, percent / 100.0));
        painter.setPen(t.muted);
        painter.drawText(QRectF(0, left.y() - 8, 36, 16), Qt::AlignRight | Qt::AlignVCenter,
                         QString::number(percent));
    }
    for (int stops = -6; stops <= 4; stops += 2) {
        const QPointF low = at(stops, kLeast);
        painter.setPen(QPen(t.line, 1));
        painter.drawLine(low, at(stops, kMost));
        painter.setPen(stops == 0 ? t.sky : t.muted);
        painter.drawText(QRectF(low.x() - 20, low.y() + 3, 40, 16), Qt::AlignCenter,
                         stops > 0 ? QStringLiteral("+%1").arg(stops) : QString::number(stops));
    }
    painter.setPen(t.muted);
    painter.drawText(QRectF(52, 14, 300, 16), Qt::AlignLeft,
                     tr("Tone: percent over stops from grey"));
    paintCurve(painter, other(), QPen(t.lilac, 1.6 * t.stroke, Qt::DashLine));
    paintCurve(painter, look(), QPen(t.ink, 2 * t.stroke));
    paintHandles(painter);
}

} // namespace bslate::app
