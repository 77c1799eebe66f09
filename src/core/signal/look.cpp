#include "core/signal/look.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

// Place on the six-sided hue circle, [0, 6): 0 red, 1 yellow ... 5 magenta; `spread` > 0.
double hueOf(const Rgb& c, double low, double spread) {
    const auto part = [&](std::size_t i) { return (c[i] - low) / spread; };
    if (c[0] >= c[1] && c[0] >= c[2])
        return c[1] >= c[2] ? part(1) : 6.0 - part(2);
    if (c[1] >= c[2])
        return 2.0 + (part(2) - part(0));
    return 4.0 + (part(0) - part(1));
}

double depthAt(const std::array<double, 6>& depth, double hue) {
    const double wrapped = hue >= 6.0 ? hue - 6.0 : hue;
    const auto below = std::min<std::size_t>(5, static_cast<std::size_t>(wrapped));
    const double share = wrapped - static_cast<double>(below);
    return depth[below] * (1.0 - share) + depth[(below + 1) % 6] * share;
}

Outcome outside(const char* name, const char* expected) {
    return Error{ErrorCode::OutOfRange, {}, name, {}, expected};
}

bool within(double value, double low, double high) {
    return value >= low && value <= high; // false for NaN
}

} // namespace

Look neutralLook() {
    Look look;
    look.tone = SoftHighlight{1.0, 1.0, 0.0, 0.0};
    return look;
}

Rgb applyColour(const ColourLook& look, const Rgb& encoded) {
    const double luma = 0.2126 * encoded[0] + 0.7152 * encoded[1] + 0.0722 * encoded[2];
    const auto [low, high] = std::minmax_element(encoded.begin(), encoded.end());
    const double spread = *high - *low;
    if (spread <= 0)
        return encoded;
    const double depth = depthAt(look.depth, hueOf(encoded, *low, spread));
    const double base = luma * (1.0 - depth * std::min(1.0, spread));
    Rgb out{};
    for (std::size_t i = 0; i < 3; ++i)
        out[i] = base + look.saturation * (encoded[i] - luma);
    return out;
}

Rgb lookSignal(const Look& look, const Rgb& linear) {
    const Curve tone{look.tone, CodeRange::Legal, std::nullopt};
    Rgb encoded{};
    for (std::size_t i = 0; i < 3; ++i)
        encoded[i] = std::clamp(encode(tone, SceneLinear(linear[i])).value(), 0.0, 1.0);
    auto out = applyColour(look.colour, encoded);
    for (double& value : out)
        value = std::clamp(value, 0.0, 1.0);
    return out;
}

Outcome checkLook(const Look& look) {
    if (!within(look.tone.kneePoint, 0.5, 1.09))
        return outside("knee point", "50 to 109 %");
    if (!within(look.tone.kneeSlope, 0.01, 1))
        return outside("knee slope", "0.01 to 1");
    if (!within(look.tone.blackGamma, -0.5, 0.5))
        return outside("black gamma", "-0.5 to 0.5");
    if (!within(look.tone.blackLevel, -0.1, 0.2))
        return outside("black level", "-10 to 20 %");
    if (!within(look.colour.saturation, 0, 2))
        return outside("saturation", "0 to 2");
    for (const double depth : look.colour.depth)
        if (!within(depth, -1, 1))
            return outside("depth", "-1 to 1 for each hue");
    if (look.colour.detail < -7 || look.colour.detail > 7)
        return outside("detail", "-7 to 7");
    return Done{};
}

} // namespace bslate
