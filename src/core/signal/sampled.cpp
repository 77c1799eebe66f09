#include "core/signal/sampled.h"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <string>

namespace bslate {
namespace {

using Points = std::vector<CurvePoint>;

double slopeBetween(const Points& points, std::size_t i) {
    return (points[i + 1].signal - points[i].signal).value() /
           (points[i + 1].stops - points[i].stops).value();
}

// Signal per stop at a point: the weighted harmonic mean of the slopes on either side, which keeps
// the cubic monotone; the one slope there is at the ends.
double slopeAt(const Points& points, std::size_t i) {
    if (i == 0)
        return slopeBetween(points, 0);
    if (i + 1 == points.size())
        return slopeBetween(points, i - 1);
    const double before = slopeBetween(points, i - 1), after = slopeBetween(points, i);
    const double left = (points[i].stops - points[i - 1].stops).value();
    const double right = (points[i + 1].stops - points[i].stops).value();
    const double a = 2 * right + left, b = right + 2 * left;
    return (a + b) / (a / before + b / after);
}

struct Piece {
    double length, low, high, slopeLow, slopeHigh;

    Piece(const Points& points, std::size_t i)
        : length((points[i + 1].stops - points[i].stops).value())
        , low(points[i].signal.value())
        , high(points[i + 1].signal.value())
        , slopeLow(slopeAt(points, i) * length)
        , slopeHigh(slopeAt(points, i + 1) * length) {}

    // The cubic Hermite polynomial at u in [0, 1].
    [[nodiscard]] double at(double u) const {
        const double v = 1 - u;
        return low * v * v * (1 + 2 * u) + high * u * u * (3 - 2 * u) + slopeLow * u * v * v -
               slopeHigh * u * u * v;
    }
};

// Light slope of the straight line below the first point.
double footSlope(const Points& points) {
    const double light = linearAt(points.front().stops).value();
    return slopeAt(points, 0) / (light * std::numbers::ln2);
}

} // namespace

Outcome checkSampled(const Sampled& curve) {
    const auto wrong = [](std::size_t i, std::string expected) {
        return Error{
            ErrorCode::OutOfRange, {}, "point " + std::to_string(i + 1), {}, std::move(expected)};
    };
    const auto& points = curve.points;
    for (std::size_t i = 0; i < points.size(); ++i) {
        if (!std::isfinite(points[i].stops.value()) || !std::isfinite(points[i].signal.value()) ||
            std::abs(points[i].stops.value()) > 40)
            return wrong(i, "finite numbers, stops from -40 to 40");
        if (i > 0 &&
            !(points[i].stops > points[i - 1].stops && points[i].signal > points[i - 1].signal))
            return wrong(i, "stops and signal above those of the point before");
    }
    return points.size() < 2 ? Outcome(wrong(points.size(), "at least two points"))
                             : Outcome(Done{});
}

Signal encodeSampled(const Sampled& curve, SceneLinear light) {
    const auto& points = curve.points;
    const double foot = linearAt(points.front().stops).value();
    if (light.value() <= foot)
        return points.front().signal + Signal(footSlope(points) * (light.value() - foot));
    const Stops stops = stopsOf(light);
    const auto after =
        std::upper_bound(points.begin(), points.end(), stops,
                         [](Stops wanted, const CurvePoint& p) { return wanted < p.stops; });
    if (after == points.end())
        return points.back().signal +
               Signal(slopeAt(points, points.size() - 1) * (stops - points.back().stops).value());
    const auto i = static_cast<std::size_t>(after - points.begin()) - 1;
    const Piece piece(points, i);
    return Signal(piece.at((stops - points[i].stops).value() / piece.length));
}

SceneLinear decodeSampled(const Sampled& curve, Signal signal) {
    const auto& points = curve.points;
    if (signal <= points.front().signal)
        return linearAt(points.front().stops) +
               SceneLinear((signal - points.front().signal).value() / footSlope(points));
    const auto after =
        std::upper_bound(points.begin(), points.end(), signal,
                         [](Signal wanted, const CurvePoint& p) { return wanted < p.signal; });
    if (after == points.end())
        return linearAt(points.back().stops + Stops((signal - points.back().signal).value() /
                                                    slopeAt(points, points.size() - 1)));
    const auto i = static_cast<std::size_t>(after - points.begin()) - 1;
    const Piece piece(points, i);
    double low = 0, high = 1;
    for (int step = 0; step < 60 && high - low > 1e-14; ++step) {
        const double middle = (low + high) / 2;
        (piece.at(middle) < signal.value() ? low : high) = middle;
    }
    return linearAt(points[i].stops + Stops(piece.length * (low + high) / 2));
}

} // namespace bslate
