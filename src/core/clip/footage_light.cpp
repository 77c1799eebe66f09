#include "core/clip/footage_light.h"

#include "core/kit/camera_colour.h"
#include "core/signal/gamut.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace bslate {
namespace {

constexpr double kNearMains = 0.3; // hertz
constexpr double kHidden = 0.03;   // of a swing, what an exposure still shows
constexpr Stops kRoom{1.0 / 3};

Error noLight(std::string got, std::string expected) {
    return {ErrorCode::OutOfRange, {}, {}, std::move(got), std::move(expected)};
}

// Gains as the primaries alone have them, turned back into the light they answer.
Result<ColourPoint> lightBehind(const CameraColour& camera, const PerChannel& gains) {
    const auto& m = camera.matrix();
    // The inverse of the matrix by its cofactors.
    const auto minor = [&](std::size_t r, std::size_t c) {
        const std::size_t r1 = (r + 1) % 3, r2 = (r + 2) % 3, c1 = (c + 1) % 3, c2 = (c + 2) % 3;
        return m[r1][c1] * m[r2][c2] - m[r1][c2] * m[r2][c1];
    };
    double xyz[3] = {};
    for (std::size_t i = 0; i < 3; ++i)
        for (std::size_t c = 0; c < 3; ++c)
            xyz[i] += minor(c, i) * ratio(-gains[c]);
    const double sum = xyz[0] + xyz[1] + xyz[2];
    return colourOf(Chromaticity{xyz[0] / sum, xyz[1] / sum});
}

} // namespace

Result<Lamp> lampFrom(const RegionPulse& pulse, Hertz frequency, Seconds exposure, Hertz mains,
                      const std::string& name) {
    const double turn = std::numbers::pi * frequency.value() * exposure.value();
    const double kept = std::abs(std::sin(turn) / turn);
    if (kept < kHidden)
        return noLight({}, "a shutter that is no whole number of pulses: this one hides how far "
                           "the lamp swings");
    const double high = std::exp2(pulse.peakToPeak.value());
    Lamp lamp;
    lamp.name = name;
    lamp.kind = LampKind::Measured;
    if (std::abs(frequency.value() - 2 * mains.value()) > kNearMains)
        lamp.pulses = Hertz(std::round(frequency.value() * 10) / 10);
    const double depth = std::clamp((high - 1) / (high + 1) / kept, 0.0, 1.0);
    lamp.harmonics = {{1, Fraction(std::round(depth * 1000) / 1000)}};
    return lamp;
}

Lamp steadyLamp(const std::string& name) {
    Lamp lamp;
    lamp.name = name;
    lamp.kind = LampKind::Steady;
    return lamp;
}

Result<CardWhite> whiteFromCard(const SetupContext& context, const Evaluation& at,
                                const std::array<Signal, 3>& card) {
    std::array<double, 3> light{};
    for (std::size_t c = 0; c < 3; ++c)
        light[c] = decode(context.profile->curve, card[c]).value();
    const auto most = *std::max_element(light.begin(), light.end());
    const auto least = *std::min_element(light.begin(), light.end());
    if (!(least > 0) || stopsOf(SceneLinear(light[1])) < at.noiseFloor)
        return noLight({}, "a card that is brighter than the noise");
    if (stopsOf(SceneLinear(most)) > at.clip - kRoom)
        return noLight({}, "a card at least a third of a stop under the recording's end");
    const auto own = context.camera->primaries.value_or(genericPrimaries());
    const auto toCamera = convert(context.profile->gamut, own);
    std::array<double, 3> channels{};
    for (std::size_t i = 0; i < 3; ++i)
        for (std::size_t c = 0; c < 3; ++c)
            channels[i] += toCamera[i][c] * light[c];
    if (!(*std::min_element(channels.begin(), channels.end()) > 0))
        return noLight({}, "a grey card: this place has a colour of its own");
    const CameraColour camera(*context.camera);
    CardWhite white;
    for (std::size_t c = 0; c < 3; ++c) {
        white.off[c] = Stops(std::log2(channels[c] / channels[1]));
        white.gains[c] = at.white.channels[c].gain - white.off[c];
    }
    // What was found on the body differs from its primaries a little from light to light.
    auto plain = white.gains;
    auto found = lightBehind(camera, plain);
    for (int round = 0; found && round < 8; ++round) {
        const auto told = camera.gains(*found);
        for (std::size_t c = 0; c < 3; ++c)
            plain[c] = plain[c] + (white.gains[c] - told[c]);
        found = lightBehind(camera, plain);
    }
    if (!found)
        return noLight({}, "a grey card in light that is white to the eye");
    white.light = *found;
    white.set = whiteFor(context.camera->white, *found);
    return white;
}

} // namespace bslate
