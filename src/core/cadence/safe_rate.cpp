#include "core/cadence/safe_rate.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

bool allKeepStep(std::span<const PulsedLight> lights, FrameRate rate) {
    return std::all_of(lights.begin(), lights.end(),
                       [&](const PulsedLight& light) { return keepsStep(light, rate); });
}

// The safe angle nearest to the one wanted.
ShutterAngle nearestIn(const std::vector<SafeRange>& ranges, ShutterAngle wanted, FrameRate rate) {
    ShutterAngle nearest = ranges.front().best;
    for (const auto& range : ranges) {
        const bool inside = wanted >= range.from && wanted <= range.to;
        const auto candidate = inside ? wanted : range.best;
        if (distance(wanted, candidate, rate) < distance(wanted, nearest, rate))
            nearest = candidate;
    }
    return nearest;
}

std::optional<SafeRate> safeAt(std::span<const PulsedLight> lights, FrameRate rate,
                               ShutterAngle wanted) {
    if (allKeepStep(lights, rate))
        return SafeRate{rate, true, std::nullopt, false};
    if (const auto safe = safeShutters(lights, rate); !safe.empty())
        return SafeRate{rate, false, nearestIn(safe, wanted, rate), false};
    const auto still = safeShutters(lights, rate, kVisible, Stillness::Moving);
    if (still.empty())
        return std::nullopt;
    return SafeRate{rate, false, nearestIn(still, wanted, rate), true};
}

// The rate at which the strongest light keeps step.
std::optional<SafeRate> ownRate(std::span<const PulsedLight> lights, FrameRate rate) {
    const auto* strongest = mostPulsing(lights);
    if (!strongest)
        return std::nullopt;
    const double f = strongest->frequency.value();
    const auto k = std::max(1LL, std::llround(f / rate.toDouble()));
    const auto thousandths = std::llround(f * 1000);
    if (thousandths <= 0 || thousandths >= (1LL << 31) || 1000 * k >= (1LL << 31))
        return std::nullopt;
    const FrameRate own{Rational(thousandths, 1000 * k)};
    return SafeRate{own, allKeepStep(lights, own), std::nullopt, false};
}

} // namespace

std::vector<SafeRate> nearestSafeRates(std::span<const PulsedLight> lights, FrameRate rate,
                                       std::span<const FrameRate> offered, ShutterAngle wanted) {
    std::vector<SafeRate> found;
    for (const auto candidate : offered)
        if (auto safe = safeAt(lights, candidate, wanted))
            found.push_back(*safe);
    if (found.empty())
        if (auto own = ownRate(lights, rate))
            found.push_back(*own);
    const auto away = [&](const SafeRate& one) {
        return std::abs(std::log2(one.rate.toDouble() / rate.toDouble()));
    };
    std::stable_sort(found.begin(), found.end(),
                     [&](const auto& a, const auto& b) { return away(a) < away(b); });
    return found;
}

} // namespace bslate
