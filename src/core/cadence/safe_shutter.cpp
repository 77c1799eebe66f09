#include "core/cadence/safe_shutter.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace bslate {
namespace {

constexpr std::size_t kBlock = 64; // angles worked on together, so that the compiler vectorises

// Weights of a light's harmonics over their order; a sinusoid is one of order 1.
struct Weights {
    std::array<double, kHighestHarmonic + 1> of{};
    int highest = 0;
};

Weights weightsOf(const PulsedLight& light) {
    Weights weights;
    const auto add = [&](int order, double depth) {
        weights.of[static_cast<std::size_t>(order)] += light.depth.value() * depth / order;
        weights.highest = std::max(weights.highest, order);
    };
    if (light.waveform == Waveform::Sinusoid)
        add(1, 1);
    for (const auto& harmonic : light.harmonics)
        if (light.waveform == Waveform::Harmonics)
            add(harmonic.order, harmonic.depth.value());
    return weights;
}

// The summed swing of harmonics at many angles at once. Both the sine of the next angle and the
// sine of the next harmonic come from recurrences, since a sine for each would be all of the
// search; a block is short enough for them to stay exact to 1e-13.
void harmonicBounds(const Weights& weights, double start, double step, std::span<double> bounds) {
    using std::numbers::pi;
    std::array<double, kBlock> twice{}, now{}, before{}, sum{};
    const std::size_t count = bounds.size();
    double c = std::cos(pi * (start - std::round(start)));
    double s = std::sin(pi * (start - std::round(start)));
    const double stepC = std::cos(pi * step), stepS = std::sin(pi * step);
    for (std::size_t i = 0; i < count; ++i) {
        twice[i] = 2 * c;
        now[i] = s;
        const double next = c * stepC - s * stepS;
        s = s * stepC + c * stepS;
        c = next;
    }
    for (int order = 1; order <= weights.highest; ++order) {
        const double weight = weights.of[static_cast<std::size_t>(order)];
        for (std::size_t i = 0; i < kBlock; ++i) {
            sum[i] += weight * std::abs(now[i]);
            const double next = twice[i] * now[i] - before[i];
            before[i] = now[i];
            now[i] = next;
        }
    }
    for (std::size_t i = 0; i < count; ++i)
        bounds[i] = sum[i] / (pi * (start + step * static_cast<double>(i)));
}

Swing swingAt(std::span<const PulsedLight> lights, double angle, FrameRate rate) {
    return swing(lights, exposureTime(ShutterAngle(angle), rate));
}

double depthOf(Swing swing) {
    return swing.high / std::max(swing.low, swing.high / ratio(kDeepest));
}

struct Angles {
    double first; // degrees
    double step;
    std::size_t count;
};

// High over low of the gathered light at evenly spaced angles.
std::vector<double> sweep(std::span<const PulsedLight> lights, FrameRate rate, Angles angles) {
    const double start = exposureTime(ShutterAngle(angles.first), rate).value();
    const double step = exposureTime(ShutterAngle(angles.step), rate).value();
    const double scale = shareScale(lights);
    std::vector<Weights> weights;
    for (const auto& light : lights)
        weights.push_back(weightsOf(light));
    std::vector<double> depths(angles.count);
    for (std::size_t first = 0; first < angles.count; first += kBlock) {
        const std::size_t length = std::min(kBlock, angles.count - first);
        const double from = start + step * static_cast<double>(first);
        std::array<double, kBlock> low, high, bound{};
        low.fill(1);
        high.fill(1);
        for (std::size_t which = 0; which < lights.size(); ++which) {
            const auto& light = lights[which];
            const double share = scale * light.share.value();
            const double f = light.frequency.value();
            if (light.waveform == Waveform::Steady)
                continue;
            if (weights[which].highest > 0) {
                harmonicBounds(weights[which], f * from, f * step, std::span(bound.data(), length));
                for (std::size_t i = 0; i < length; ++i) {
                    low[i] -= share * std::min(1.0, bound[i]);
                    high[i] += share * bound[i];
                }
                continue;
            }
            for (std::size_t i = 0; i < length; ++i) {
                const Swing one = swing(light, Seconds(from + step * static_cast<double>(i)));
                low[i] += share * (one.low - 1);
                high[i] += share * (one.high - 1);
            }
        }
        for (std::size_t i = 0; i < length; ++i)
            depths[first + i] = depthOf({std::max(0.0, low[i]), high[i]});
    }
    return depths;
}

struct Dip {
    double angle;
    double depth; // high over low there
};

// Where around an angle the pulsing is least: at a whole number of periods of one light, where
// that light gives nothing, or between, where several lights have a dip in common.
Dip leastAround(std::span<const PulsedLight> lights, Dip dip, double reach, FrameRate rate) {
    const double low = std::max(reach / 10, dip.angle - reach);
    const double high = std::min(360.0, dip.angle + reach);
    int pulsing = 0;
    const auto consider = [&](double angle) {
        const double depth = depthOf(swingAt(lights, angle, rate));
        if (depth < dip.depth)
            dip = {angle, depth};
    };
    const double middle = dip.angle;
    for (const auto& light : lights) {
        if (light.waveform == Waveform::Steady)
            continue;
        ++pulsing;
        const double period = 360 * rate.toDouble() / light.frequency.value();
        const double exact = period * std::round(middle / period);
        if (exact >= low && exact <= high && exact > 0)
            consider(exact);
    }
    if (pulsing < 2)
        return dip;
    const double step = (high - low) / (kBlock - 1);
    const auto depths = sweep(lights, rate, {low, step, kBlock});
    const auto best = std::min_element(depths.begin(), depths.end());
    if (*best < dip.depth)
        dip = {low + step * static_cast<double>(best - depths.begin()), *best};
    return dip;
}

void add(std::vector<SafeRange>& ranges, double from, double to, Dip dip, double step) {
    const Stops stops(std::log2(dip.depth));
    if (ranges.empty() || from > ranges.back().to.value() + 1.5 * step)
        ranges.push_back({ShutterAngle(from), ShutterAngle(to), ShutterAngle(dip.angle), stops});
    auto& range = ranges.back();
    range.to = std::max(range.to, ShutterAngle(to));
    if (stops < range.peakToPeak - Stops(1e-9)) {
        range.best = ShutterAngle(dip.angle);
        range.peakToPeak = stops;
    }
}

} // namespace

std::vector<Stops> pulsingByAngle(std::span<const PulsedLight> lights, FrameRate rate,
                                  double step) {
    const auto count = static_cast<std::size_t>(std::floor(360.0 / step + 1e-9));
    std::vector<Stops> stops;
    stops.reserve(count);
    for (const double depth : sweep(lights, rate, {step, step, count}))
        stops.emplace_back(std::log2(depth));
    return stops;
}

std::vector<SafeRange> safeShutters(std::span<const PulsedLight> lights, FrameRate rate,
                                    Stops limit) {
    constexpr double step = 0.1;
    constexpr std::size_t count = 3600;
    const double most = ratio(limit);
    const auto depths = sweep(lights, rate, {step, step, count});
    std::vector<SafeRange> ranges;
    for (std::size_t i = 0; i < count; ++i) {
        const double before = i == 0 ? HUGE_VAL : depths[i - 1];
        const double after = i + 1 == count ? HUGE_VAL : depths[i + 1];
        const double here = depths[i];
        const bool dips = here <= before && here <= after;
        const double angle = step * static_cast<double>(i + 1);
        Dip dip{angle, here};
        // A dip between two steps goes no deeper than its flanks lead: two slopes meet in it.
        const double flank =
            std::max(i == 0 ? 0 : before - here, i + 1 == count ? 0 : after - here);
        if (dips && here > 1 && here - 1.5 * flank <= most)
            dip = leastAround(lights, dip, step, rate);
        if (here <= most)
            add(ranges, std::min(dip.angle, angle), std::max(dip.angle, angle), dip, step);
        else if (dip.depth <= most)
            add(ranges, dip.angle, dip.angle, dip, step);
    }
    return ranges;
}

Stops distance(const Shutter& wanted, const Shutter& candidate, FrameRate rate) {
    constexpr Stops smear(0.1);
    const Stops off = stopsBetween(exposureTime(candidate, rate), exposureTime(wanted, rate));
    return off > Stops(0) ? off + smear : -off;
}

std::optional<Shutter> nearestSafe(const ShutterDial& dial, std::span<const SafeRange> safe,
                                   const Shutter& wanted, FrameRate rate) {
    std::optional<Shutter> nearest;
    double least = HUGE_VAL;
    const auto consider = [&](const Shutter& candidate) {
        const double away = distance(wanted, candidate, rate).value();
        if (away < least - 1e-12) {
            least = away;
            nearest = candidate;
        }
    };
    const auto inside = [&](double angle, const SafeRange& range) {
        return angle >= range.from.value() - 1e-6 && angle <= range.to.value() + 1e-6;
    };
    for (const auto& range : safe) {
        const double here = shutterAngle(wanted, rate).value();
        const double aim = inside(here, range) ? here : range.best.value();
        if (dial.angleStep > 0) {
            const auto onDial = nearestOnDial({dial.angleStep, {}}, ShutterAngle(aim), rate);
            if (inside(shutterAngle(onDial, rate).value(), range))
                consider(onDial);
        }
        for (const auto& time : dial.times)
            if (inside(shutterAngle(time, rate).value(), range))
                consider(time);
    }
    return nearest;
}

std::vector<SafeRate> nearestSafeRates(std::span<const PulsedLight> lights, FrameRate rate,
                                       std::span<const FrameRate> offered) {
    const auto keepsStep = [&](FrameRate candidate) {
        return std::all_of(lights.begin(), lights.end(), [&](const PulsedLight& light) {
            return light.waveform == Waveform::Steady ||
                   aliasOf(light.frequency, candidate) == Hertz(0);
        });
    };
    std::vector<SafeRate> found;
    for (const auto candidate : offered)
        if (keepsStep(candidate) || !safeShutters(lights, candidate).empty())
            found.push_back({candidate, keepsStep(candidate)});
    if (found.empty()) {
        if (const auto* strongest = mostPulsing(lights)) {
            const double f = strongest->frequency.value();
            const auto k = std::max(1LL, std::llround(f / rate.toDouble()));
            const auto thousandths = std::llround(f * 1000);
            if (thousandths > 0 && thousandths < (1LL << 31) && 1000 * k < (1LL << 31)) {
                const FrameRate own{Rational(thousandths, 1000 * k)};
                found.push_back({own, keepsStep(own)});
            }
        }
    }
    const auto away = [&](const SafeRate& one) {
        return std::abs(std::log2(one.rate.toDouble() / rate.toDouble()));
    };
    std::stable_sort(found.begin(), found.end(),
                     [&](const auto& a, const auto& b) { return away(a) < away(b); });
    return found;
}

} // namespace bslate
