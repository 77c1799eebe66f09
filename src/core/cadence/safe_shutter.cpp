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
void harmonicBounds(const Weights& weights, double turnsPerAngle, std::size_t first,
                    std::span<double> bounds) {
    using std::numbers::pi;
    std::array<double, kBlock> twice{}, now{}, before{}, sum{};
    const std::size_t count = bounds.size();
    const double start = turnsPerAngle * static_cast<double>(first);
    double c = std::cos(pi * (start - std::round(start)));
    double s = std::sin(pi * (start - std::round(start)));
    const double stepC = std::cos(pi * turnsPerAngle), stepS = std::sin(pi * turnsPerAngle);
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
        bounds[i] = sum[i] / (pi * turnsPerAngle * static_cast<double>(first + i));
}

Seconds timeOf(double angle, FrameRate rate) {
    return exposureTime(ShutterAngle(angle), rate);
}

Stops seenAt(std::span<const PulsedLight> lights, double angle, FrameRate rate) {
    return peakToPeak(swing(lights, timeOf(angle, rate)));
}

// Where between two angles the pulsing is least: at a whole number of periods of one light, where
// that light gives nothing, or between, where several lights have a dip in common.
double leastBetween(std::span<const PulsedLight> lights, double low, double high, FrameRate rate) {
    double best = (low + high) / 2;
    Stops least = seenAt(lights, best, rate);
    const auto consider = [&](double angle) {
        const Stops seen = seenAt(lights, angle, rate);
        if (seen < least) {
            least = seen;
            best = angle;
        }
    };
    int pulsing = 0;
    for (const auto& light : lights) {
        if (light.waveform == Waveform::Steady)
            continue;
        ++pulsing;
        const double period = 360 * rate.toDouble() / light.frequency.value();
        const double exact = period * std::round(best / period);
        if (exact >= low && exact <= high && exact > 0)
            consider(exact);
    }
    if (pulsing < 2)
        return best;
    for (int i = 0; i < 24; ++i) {
        const double a = low + (high - low) / 3, b = high - (high - low) / 3;
        if (seenAt(lights, a, rate) <= seenAt(lights, b, rate))
            high = b;
        else
            low = a;
    }
    consider((low + high) / 2);
    return best;
}

} // namespace

std::vector<Stops> pulsingByAngle(std::span<const PulsedLight> lights, FrameRate rate,
                                  double step) {
    const auto count = static_cast<std::size_t>(std::floor(360.0 / step + 1e-9));
    const double perAngle = timeOf(step, rate).value();
    const double scale = shareScale(lights);
    std::vector<Stops> seen(count);
    std::vector<Weights> weights;
    for (const auto& light : lights)
        weights.push_back(weightsOf(light));
    for (std::size_t first = 0; first < count; first += kBlock) {
        const std::size_t length = std::min(kBlock, count - first);
        std::array<double, kBlock> low, high, bound{};
        low.fill(1);
        high.fill(1);
        for (std::size_t which = 0; which < lights.size(); ++which) {
            const auto& light = lights[which];
            const double share = scale * light.share.value();
            if (weights[which].highest > 0) {
                harmonicBounds(weights[which], light.frequency.value() * perAngle, first + 1,
                               std::span(bound.data(), length));
                for (std::size_t i = 0; i < length; ++i) {
                    low[i] -= share * std::min(1.0, bound[i]);
                    high[i] += share * bound[i];
                }
                continue;
            }
            if (light.waveform == Waveform::Steady)
                continue;
            for (std::size_t i = 0; i < length; ++i) {
                const Swing one =
                    swing(light, Seconds(perAngle * static_cast<double>(first + i + 1)));
                low[i] += share * (one.low - 1);
                high[i] += share * (one.high - 1);
            }
        }
        for (std::size_t i = 0; i < length; ++i)
            seen[first + i] = peakToPeak({std::max(0.0, low[i]), high[i]});
    }
    return seen;
}

std::vector<SafeRange> safeShutters(std::span<const PulsedLight> lights, FrameRate rate,
                                    Stops limit) {
    constexpr double step = 0.1;
    const auto seen = pulsingByAngle(lights, rate, step);
    const auto angleOf = [](std::size_t i) { return step * static_cast<double>(i + 1); };
    std::vector<SafeRange> ranges;
    // A dip narrower than a step shows as a local minimum: refine every one that might be safe.
    for (std::size_t i = 0; i < seen.size(); ++i) {
        const bool dips =
            (i == 0 || seen[i] <= seen[i - 1]) && (i + 1 == seen.size() || seen[i] <= seen[i + 1]);
        if (!dips && seen[i] > limit)
            continue;
        double best = angleOf(i);
        Stops least = seen[i];
        if (dips && least > Stops(0)) {
            best = leastBetween(lights, std::max(step / 10, best - step),
                                std::min(360.0, best + step), rate);
            least = seenAt(lights, best, rate);
        }
        if (least > limit)
            continue;
        const double from = std::min(best, angleOf(i)), to = std::max(best, angleOf(i));
        const bool safeHere = seen[i] <= limit;
        const ShutterAngle low(safeHere ? from : best), high(safeHere ? to : best);
        if (ranges.empty() || low.value() > ranges.back().to.value() + 1.5 * step)
            ranges.push_back({low, high, ShutterAngle(best), least});
        auto& range = ranges.back();
        range.to = std::max(range.to, high);
        if (least < range.peakToPeak - Stops(1e-9)) {
            range.best = ShutterAngle(best);
            range.peakToPeak = least;
        }
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
        const PulsedLight* strongest = nullptr;
        for (const auto& light : lights)
            if (light.waveform != Waveform::Steady &&
                (!strongest || light.share > strongest->share))
                strongest = &light;
        if (strongest) {
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
