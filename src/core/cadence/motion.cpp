#include "core/cadence/motion.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace bslate {

Fraction blurWidth(WidthsPerSecond speed, Seconds exposure) {
    return Fraction(speed.value() * exposure.value());
}

Degrees rollingSkew(WidthsPerSecond speed, Seconds readout, FrameSize frame) {
    const double shift = speed.value() * readout.value() * frame.width / frame.height;
    return Degrees(std::atan(shift) * 180 / std::numbers::pi);
}

Seconds shortestCrossing(FrameRate rate, ShutterAngle angle) {
    const double gap = (1 - angle.value() / 360) / 0.5;
    return Seconds(7 * 24 / rate.toDouble() * std::max(0.25, gap));
}

DegreesPerSecond fastestPan(FrameRate rate, ShutterAngle angle, Degrees view) {
    return DegreesPerSecond(view.value() / shortestCrossing(rate, angle).value());
}

} // namespace bslate
