#include "core/facts/ramp.h"

#include "core/facts/evaluate.h"

#include "core/signal/rating_lut.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace bslate {
namespace {

// A small generator of our own: the standard's normal distribution differs between libraries.
class Noise {
public:
    explicit Noise(std::uint32_t seed)
        : m_state(seed * 2654435761u + 1u) {}

    // Standard normal (Box and Muller).
    double next() {
        if (m_kept) {
            m_kept = false;
            return m_spare;
        }
        const double radius = std::sqrt(-2 * std::log(uniform()));
        const double angle = 2 * std::numbers::pi * uniform();
        m_spare = radius * std::sin(angle);
        m_kept = true;
        return radius * std::cos(angle);
    }

private:
    double uniform() { // (0, 1], xorshift
        m_state ^= m_state << 13;
        m_state ^= m_state >> 17;
        m_state ^= m_state << 5;
        return (static_cast<double>(m_state) + 1) / 4294967296.0;
    }

    std::uint32_t m_state;
    double m_spare = 0;
    bool m_kept = false;
};

// Display signal of every code the depth has: a ramp looks each one up.
std::vector<float> shownCodes(const Profile& profile, BitDepth depth, Stops viewed) {
    const auto& curve = profile.curve;
    std::vector<float> shown(std::size_t{1} << depth.bits);
    for (std::size_t code = 0; code < shown.size(); ++code) {
        const auto signal =
            signalAt(levelOfCode(static_cast<double>(code), depth), curve.range, depth);
        const double light = decode(curve, signal).value() * ratio(viewed);
        shown[code] =
            static_cast<float>(shownSignal(curve, profile.ready, SceneLinear(light)).value());
    }
    return shown;
}

} // namespace

RampShape worstRamp(const Precision& precision, const Evaluation& at) {
    RampShape shape;
    double worst = -1;
    for (const auto& row : precision.stops) {
        const double seen = row.displayStep * std::exp(-row.noise / kHidingNoise);
        if (seen <= worst)
            continue;
        worst = seen;
        shape.low = row.recorded - Stops(0.5);
    }
    const Stops top = std::max(at.clip - Stops(1.05), at.noiseFloor);
    shape.low = std::clamp(shape.low, std::min(at.noiseFloor, top), top);
    shape.high = shape.low + Stops(1);
    return shape;
}

std::vector<std::uint8_t> rampOf(const SetupContext& context, BitDepth depth,
                                 const RampShape& shape, GradeWeight weight, std::uint32_t seed) {
    const auto at = evaluate(context);
    const auto& curve = context.profile->curve;
    const auto shown = shownCodes(*context.profile, depth, at.ratingOffset);
    const double contrast = contrastOf(weight);
    const double middle = shownSignal(curve, context.profile->ready,
                                      linearAt(0.5 * (shape.low + shape.high) + at.ratingOffset))
                              .value();
    const Stops gain = at.iso == IsoBehaviour::Recorded ? at.gain : Stops(0);
    const double top = static_cast<double>(shown.size() - 1);
    Noise noise(seed);
    std::vector<std::uint8_t> pixels(static_cast<std::size_t>(shape.width) *
                                     static_cast<std::size_t>(shape.height));
    for (int x = 0; x < shape.width; ++x) {
        const Stops stops =
            shape.low + (shape.high - shape.low) * (static_cast<double>(x) / (shape.width - 1));
        const auto light = linearAt(stops);
        const double scatter = 1.0 / snrAt(context.base->sensor, stops - gain);
        // One code and its slope stand for the noisy light around it: noise is small beside it.
        const double code = codeOf(encode(curve, light), curve.range, depth);
        const double perStop = codesInStop(curve, stops, depth);
        for (int y = 0; y < shape.height; ++y) {
            const double stray = std::max(-0.98, scatter * noise.next());
            const double noisy = code + perStop * std::log1p(stray) / std::numbers::ln2;
            const auto recorded = static_cast<std::size_t>(std::clamp(std::round(noisy), 0.0, top));
            const double graded =
                middle + contrast * (static_cast<double>(shown[recorded]) - middle);
            pixels[static_cast<std::size_t>(y) * static_cast<std::size_t>(shape.width) +
                   static_cast<std::size_t>(x)] =
                static_cast<std::uint8_t>(std::lround(255 * std::clamp(graded, 0.0, 1.0)));
        }
    }
    return pixels;
}

} // namespace bslate
