#include "core/signal/curve.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

// The straight part of a camera-log curve below its break.
struct LinearPart {
    double slope;
    double offset;
    double breakSignal;
};

double logPart(const CameraLog& log, double x) {
    return log.logSideSlope * std::log(log.linSideSlope * x + log.linSideOffset) /
               std::log(log.base) +
           log.logSideOffset;
}

LinearPart linearPart(const CameraLog& log) {
    const double x = log.linSideBreak;
    const double y = logPart(log, x);
    const double slope =
        log.linearSlope.value_or(log.logSideSlope * log.linSideSlope /
                                 ((log.linSideSlope * x + log.linSideOffset) * std::log(log.base)));
    return {slope, y - slope * x, y};
}

double encodeOne(const CameraLog& log, double x) {
    if (x >= log.linSideBreak)
        return logPart(log, x);
    const auto straight = linearPart(log);
    return straight.slope * x + straight.offset;
}

double decodeOne(const CameraLog& log, double y) {
    const auto straight = linearPart(log);
    if (y < straight.breakSignal)
        return (y - straight.offset) / straight.slope;
    return (std::pow(log.base, (y - log.logSideOffset) / log.logSideSlope) - log.linSideOffset) /
           log.linSideSlope;
}

// ITU-R BT.709-6 item 1.2, constants of the 2015 text. The power segment starts at 0.018.
constexpr double kAlpha709 = 1.099;
constexpr double kBeta709 = 0.018;

double encodeOne(Bt709, double x) {
    return x < kBeta709 ? 4.5 * x : kAlpha709 * std::pow(x, 0.45) - (kAlpha709 - 1.0);
}

double decodeOne(Bt709, double y) {
    return y < 4.5 * kBeta709 ? y / 4.5 : std::pow((y + (kAlpha709 - 1.0)) / kAlpha709, 1.0 / 0.45);
}

// ITU-R BT.2100-2 table 5.
constexpr double kHlgA = 0.17883277;
constexpr double kHlgB = 1.0 - 4.0 * kHlgA;
const double kHlgC = 0.5 - kHlgA * std::log(4.0 * kHlgA);
const double kHlgWhite = (std::exp((0.75 - kHlgC) / kHlgA) + kHlgB) / 12.0;

double encodeOne(Hlg, double x) {
    const double e = std::max(0.0, x * kHlgWhite);
    return e <= 1.0 / 12.0 ? std::sqrt(3.0 * e) : kHlgA * std::log(12.0 * e - kHlgB) + kHlgC;
}

double decodeOne(Hlg, double y) {
    const double signal = std::max(0.0, y);
    const double e =
        signal <= 0.5 ? signal * signal / 3.0 : (std::exp((signal - kHlgC) / kHlgA) + kHlgB) / 12.0;
    return e / kHlgWhite;
}

double blackGamma(double v, double amount) {
    if (v <= 0 || v >= 0.5)
        return v;
    const double rest = 1.0 - v / 0.5;
    return v + amount * v * rest * rest;
}

double encodeOne(const SoftHighlight& look, double x) {
    const double v = encodeOne(Bt709{}, x);
    const double kneed =
        v <= look.kneePoint ? v : look.kneePoint + look.kneeSlope * (v - look.kneePoint);
    return blackGamma(kneed, look.blackGamma);
}

double decodeOne(const SoftHighlight& look, double y) {
    double v = y;
    if (y > 0 && y < 0.5) {
        // Newton on the monotone black-gamma cubic; it converges in a few steps.
        for (int i = 0; i < 40; ++i) {
            const double rest = 1.0 - v / 0.5;
            const double slope = 1.0 + look.blackGamma * rest * (rest - 4.0 * v);
            const double step = (blackGamma(v, look.blackGamma) - y) / slope;
            v = std::clamp(v - step, 0.0, 0.5);
            if (std::abs(step) < 1e-15)
                break;
        }
    }
    if (v > look.kneePoint)
        v = look.kneePoint + (v - look.kneePoint) / look.kneeSlope;
    return decodeOne(Bt709{}, v);
}

} // namespace

Curve acescct() {
    return {CameraLog{2.0, 1.0 / 17.52, 9.72 / 17.52, 1.0, 0.0, 0.0078125, std::nullopt},
            CodeRange::Full, std::nullopt};
}

Curve bt709() {
    return {Bt709{}, CodeRange::Legal, std::nullopt};
}

Curve hlg() {
    return {Hlg{}, CodeRange::Legal, Signal(1.0)};
}

std::optional<Curve> standardCurve(std::string_view name) {
    if (name == "acescct")
        return acescct();
    if (name == "bt709")
        return bt709();
    if (name == "hlg")
        return hlg();
    return std::nullopt;
}

Signal encode(const Curve& curve, SceneLinear light) {
    return std::visit([&](const auto& f) { return Signal(encodeOne(f, light.value())); },
                      curve.family);
}

SceneLinear decode(const Curve& curve, Signal signal) {
    return std::visit([&](const auto& f) { return SceneLinear(decodeOne(f, signal.value())); },
                      curve.family);
}

double slopePerStop(const Curve& curve, SceneLinear light, BitDepth depth) {
    if (light.value() <= 0 || encode(curve, light) >= endSignal(curve, depth))
        return 0.0;
    constexpr double half = 1e-4;
    const auto above = encode(curve, SceneLinear(light.value() * std::exp2(half)));
    const auto below = encode(curve, SceneLinear(light.value() * std::exp2(-half)));
    return (above - below).value() / (2 * half);
}

Signal endSignal(const Curve& curve, BitDepth depth) {
    const Signal top = topSignal(curve.range, depth);
    return curve.end ? std::min(*curve.end, top) : top;
}

Stops endStops(const Curve& curve, BitDepth depth) {
    return stopsOf(decode(curve, endSignal(curve, depth)));
}

namespace {
Signal clampedSignal(const Curve& curve, Stops fromMidGrey, BitDepth depth) {
    return std::min(encode(curve, linearAt(fromMidGrey)), endSignal(curve, depth));
}
} // namespace

Level levelAt(const Curve& curve, Stops fromMidGrey, BitDepth depth) {
    return levelOf(clampedSignal(curve, fromMidGrey, depth), curve.range, depth);
}

int codeAt(const Curve& curve, Stops fromMidGrey, BitDepth depth) {
    return recordedCode(clampedSignal(curve, fromMidGrey, depth), curve.range, depth);
}

double codesInStop(const Curve& curve, Stops fromMidGrey, BitDepth depth) {
    const auto above = clampedSignal(curve, fromMidGrey + Stops(0.5), depth);
    const auto below = clampedSignal(curve, fromMidGrey - Stops(0.5), depth);
    return codeOf(above, curve.range, depth) - codeOf(below, curve.range, depth);
}

} // namespace bslate
