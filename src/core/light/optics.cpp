#include "core/light/optics.h"

#include <cmath>
#include <limits>
#include <numbers>

namespace bslate {

namespace {
constexpr double kDegrees = 180.0 / std::numbers::pi;
} // namespace

Degrees angleOfView(Millimetres side, Millimetres focal) {
    return Degrees(2.0 * std::atan(side.value() / (2.0 * focal.value())) * kDegrees);
}

Magnification cropFactor(Millimetres whole, Millimetres area) {
    return Magnification(whole.value() / area.value());
}

Millimetres equivalentFocal(Millimetres focal, Millimetres width) {
    return focal * (kReferenceWidth.value() / width.value());
}

Millimetres focalFor(Millimetres side, Degrees angle) {
    return Millimetres(side.value() / (2.0 * std::tan(angle.value() / 2.0 / kDegrees)));
}

Millimetres circleOfConfusion(Millimetres width, Millimetres height) {
    return Millimetres(std::hypot(width.value(), height.value()) / 1500.0);
}

Metres hyperfocal(Millimetres focal, FNumber iris, Millimetres circle) {
    const double f = focal.value();
    return Metres((f * f / (iris.value() * circle.value()) + f) / 1000.0);
}

SharpRange sharpRange(Millimetres focal, FNumber iris, Millimetres circle, Metres focus) {
    const double f = focal.value() / 1000.0;
    const double h = hyperfocal(focal, iris, circle).value();
    const double s = focus.value();
    if (s <= f)
        return {focus, focus};
    const Metres nearest(s * (h - f) / (h + s - 2.0 * f));
    if (s >= h)
        return {nearest, Metres(std::numeric_limits<double>::infinity())};
    return {nearest, Metres(s * (h - f) / (h - s))};
}

} // namespace bslate
