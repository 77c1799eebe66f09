#include "core/signal/curve.h"

#include <algorithm>
#include <array>
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

// ITU-R BT.2020-2 table 4, 12 bits.
constexpr double kAlpha2020 = 1.0993;
constexpr double kBeta2020 = 0.0181;

double encodeOne(Bt2020, double x) {
    return x < kBeta2020 ? 4.5 * x : kAlpha2020 * std::pow(x, 0.45) - (kAlpha2020 - 1.0);
}

double decodeOne(Bt2020, double y) {
    return y < 4.5 * kBeta2020 ? y / 4.5
                               : std::pow((y + (kAlpha2020 - 1.0)) / kAlpha2020, 1.0 / 0.45);
}

// IEC 61966-2-1.
double encodeOne(Srgb, double x) {
    return x <= 0.0031308 ? 12.92 * x : 1.055 * std::pow(x, 1 / 2.4) - 0.055;
}

double decodeOne(Srgb, double y) {
    return y <= 12.92 * 0.0031308 ? y / 12.92 : std::pow((y + 0.055) / 1.055, 2.4);
}

// SMPTE ST 2084 / ITU-R BT.2100-2 table 4; light in units of 10 000 cd/m2.
constexpr double kPqM1 = 2610.0 / 16384, kPqM2 = 2523.0 / 4096 * 128;
constexpr double kPqC1 = 3424.0 / 4096, kPqC2 = 2413.0 / 4096 * 32, kPqC3 = 2392.0 / 4096 * 32;

double pqSignal(double light) {
    const double p = std::pow(std::max(0.0, light), kPqM1);
    return std::pow((kPqC1 + kPqC2 * p) / (1 + kPqC3 * p), kPqM2);
}

// Held at its ends: beyond 1 the formula has a pole and then no value.
double pqLight(double signal) {
    const double p = std::pow(std::clamp(signal, 0.0, 1.0), 1 / kPqM2);
    return std::pow(std::max(0.0, p - kPqC1) / (kPqC2 - kPqC3 * p), 1 / kPqM1);
}

// The reference OOTF: BT.709 extended to 59.5208, then BT.1886; display light in cd/m2.
constexpr double kPqScale = 59.5208, kPqFoot = 0.0003024, kPqFootSlope = 267.84;

double pqDisplay(double e) {
    const double v = e <= kPqFoot ? kPqFootSlope * std::max(0.0, e)
                                  : kAlpha709 * std::pow(kPqScale * e, 0.45) - (kAlpha709 - 1.0);
    return 100.0 * std::pow(v, 2.4);
}

double pqScene(double light) {
    const double v = std::pow(light / 100.0, 1 / 2.4);
    return v <= kPqFootSlope * kPqFoot
               ? v / kPqFootSlope
               : std::pow((v + (kAlpha709 - 1.0)) / kAlpha709, 1 / 0.45) / kPqScale;
}

const double kPqWhite = pqScene(203.0); // ITU-R BT.2408 table 1

double encodeOne(Pq, double x) {
    return pqSignal(pqDisplay(x * kPqWhite) / 10000.0);
}

double decodeOne(Pq, double y) {
    return pqScene(pqLight(y) * 10000.0) / kPqWhite;
}

// Academy S-2014-003.
double encodeOne(AcesCc, double x) {
    const double lowest = std::exp2(-16.0);
    const double argument = x <= 0 ? lowest : x < std::exp2(-15.0) ? lowest + x / 2 : x;
    return (std::log2(argument) + 9.72) / 17.52;
}

double decodeOne(AcesCc, double y) {
    const double light = std::exp2(y * 17.52 - 9.72);
    return y <= (9.72 - 15) / 17.52 ? std::max(0.0, (light - std::exp2(-16.0)) * 2) : light;
}

double encodeOne(const Sampled& curve, double x) {
    return encodeSampled(curve, SceneLinear(x)).value();
}

double decodeOne(const Sampled& curve, double y) {
    return decodeSampled(curve, Signal(y)).value();
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
    return look.blackLevel + (1.0 - look.blackLevel) * blackGamma(kneed, look.blackGamma);
}

double decodeOne(const SoftHighlight& look, double signal) {
    const double y = (signal - look.blackLevel) / (1.0 - look.blackLevel);
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

Curve bt2020() {
    return {Bt2020{}, CodeRange::Legal, std::nullopt};
}

Curve srgb() {
    return {Srgb{}, CodeRange::Full, std::nullopt};
}

Curve pq() {
    return {Pq{}, CodeRange::Legal, Signal(1.0)};
}

Curve acescc() {
    return {AcesCc{}, CodeRange::Full, std::nullopt};
}

namespace {
struct Standard {
    std::string_view name;
    Curve (*make)();
};
constexpr std::array kStandards = {Standard{"acescc", acescc}, Standard{"acescct", acescct},
                                   Standard{"bt2020", bt2020}, Standard{"bt709", bt709},
                                   Standard{"hlg", hlg},       Standard{"pq", pq},
                                   Standard{"srgb", srgb}};
} // namespace

std::span<const std::string_view> standardCurveNames() {
    static const auto names = [] {
        std::array<std::string_view, kStandards.size()> all;
        std::transform(kStandards.begin(), kStandards.end(), all.begin(),
                       [](const Standard& standard) { return standard.name; });
        return all;
    }();
    return names;
}

std::optional<Curve> standardCurve(std::string_view name) {
    std::string key;
    for (const char c : name)
        if (c != ' ' && c != '.' && c != '-' && c != '_')
            key += c >= 'A' && c <= 'Z' ? static_cast<char>(c - 'A' + 'a') : c;
    for (const std::string_view family : {"itur", "itu", "rec"}) // ITU-R BT.709, Rec.709
        if (key.starts_with(family) && key.size() > family.size()) {
            key.erase(0, family.size());
            if (!key.starts_with("bt"))
                key.insert(0, "bt");
        }
    if (key == "st2084" || key == "smptest2084")
        key = "pq";
    for (const auto& standard : kStandards)
        if (standard.name == key)
            return standard.make();
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
