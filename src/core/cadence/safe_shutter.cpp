#include "core/cadence/safe_shutter.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace bslate {
namespace {

constexpr double kAsGood = 1.0007; // a thousandth of a stop
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

double depthOf(Swing swing) {
    return swing.high / std::max(swing.low, swing.high / ratio(kDeepest));
}

struct Angles {
    double first; // degrees
    double step;
    std::size_t count;
};

// What the lamps at one state of the mains gather at angles of one rate.
class Sweep {
public:
    Sweep(std::vector<PulsedLight> lights, std::vector<bool> counted, FrameRate rate)
        : m_lights(std::move(lights))
        , m_counted(std::move(counted))
        , m_rate(rate)
        , m_scale(shareScale(m_lights)) {
        for (const auto& light : m_lights)
            m_weights.push_back(weightsOf(light));
    }

    // High over low of the lamps that count, over the dimmest that the others leave.
    void deepen(const Angles& angles, std::span<double> depths) const {
        const double start = exposureTime(ShutterAngle(angles.first), m_rate).value();
        const double step = exposureTime(ShutterAngle(angles.step), m_rate).value();
        for (std::size_t first = 0; first < angles.count; first += kBlock) {
            const std::size_t length = std::min(kBlock, angles.count - first);
            Block block;
            for (std::size_t which = 0; which < m_lights.size(); ++which)
                add(which, start + step * static_cast<double>(first), step, length, block);
            for (std::size_t i = 0; i < length; ++i)
                depths[first + i] = std::max(depths[first + i],
                                             depthOf({std::max(0.0, block.low[i]), block.high[i]}));
        }
    }

    // Angles of whole periods of the lamps that count, nearest to `angle`.
    template<class Consider>
    void eachPeriod(double angle, Consider consider) const {
        for (std::size_t i = 0; i < m_lights.size(); ++i) {
            if (!m_counted[i] || m_lights[i].waveform == Waveform::Steady)
                continue;
            const double period = 360 * m_rate.toDouble() / m_lights[i].frequency.value();
            consider(period * std::round(angle / period));
        }
    }
    [[nodiscard]] const std::vector<PulsedLight>& lights() const { return m_lights; }

private:
    struct Block {
        std::array<double, kBlock> low, high;
        Block() {
            low.fill(1);
            high.fill(1);
        }
    };

    void add(std::size_t which, double from, double step, std::size_t length, Block& block) const {
        const auto& light = m_lights[which];
        const double share = m_scale * light.share.value();
        const double f = light.frequency.value();
        const bool counted = m_counted[which];
        if (light.waveform == Waveform::Steady)
            return;
        // A lamp that stands dims the frame at its worst and moves nothing.
        const auto put = [&](std::size_t i, double low, double high) {
            block.low[i] += share * low;
            block.high[i] += share * (counted ? high : low);
        };
        if (m_weights[which].highest > 0) {
            std::array<double, kBlock> bound{};
            harmonicBounds(m_weights[which], f * from, f * step, std::span(bound.data(), length));
            for (std::size_t i = 0; i < length; ++i)
                put(i, -std::min(1.0, bound[i]), bound[i]);
            return;
        }
        for (std::size_t i = 0; i < length; ++i) {
            const Swing one = swing(light, Seconds(from + step * static_cast<double>(i)));
            put(i, one.low - 1, one.high - 1);
        }
    }

    std::vector<PulsedLight> m_lights;
    std::vector<bool> m_counted;
    FrameRate m_rate;
    double m_scale;
    std::vector<Weights> m_weights;
};

// The worst over all states of the mains that are looked at.
class Judge {
public:
    Judge(std::span<const PulsedLight> lights, FrameRate rate, Stillness stillness, bool wanders) {
        std::vector<bool> counted;
        bool any = false;
        for (const auto& light : lights) {
            counted.push_back(stillness == Stillness::All || !keepsStep(light, rate));
            any = any || light.fromMains;
        }
        for (const double factor : {1.0, 1 - kMainsTolerance, 1 + kMainsTolerance})
            if (factor == 1.0 || (wanders && any))
                m_sweeps.emplace_back(onMains(lights, factor), counted, rate);
    }

    [[nodiscard]] std::vector<double> depths(const Angles& angles) const {
        std::vector<double> worst(angles.count, 1.0);
        for (const auto& sweep : m_sweeps)
            sweep.deepen(angles, worst);
        return worst;
    }
    [[nodiscard]] double depthAt(double angle) const {
        double worst = 1;
        for (const auto& sweep : m_sweeps)
            sweep.deepen({angle, 1, 1}, std::span(&worst, 1));
        return worst;
    }
    [[nodiscard]] const Sweep& nominal() const { return m_sweeps.front(); }
    [[nodiscard]] bool isOne() const { return m_sweeps.size() == 1; }

private:
    std::vector<Sweep> m_sweeps;
};

struct Dip {
    double angle;
    double depth; // high over low there
};

// Where around an angle the pulsing is least: at a whole number of periods of one light, where
// that light gives nothing, or between, where several lights have a dip in common.
Dip leastAround(const Judge& judge, Dip dip, double reach) {
    const double low = std::max(reach / 10, dip.angle - reach);
    const double high = std::min(360.0, dip.angle + reach);
    const double middle = dip.angle;
    int pulsing = 0;
    judge.nominal().eachPeriod(middle, [&](double) { ++pulsing; });
    if (pulsing > 1 || !judge.isOne()) {
        const double step = (high - low) / (kBlock - 1);
        const auto depths = judge.depths({low, step, kBlock});
        const auto best = std::min_element(depths.begin(), depths.end());
        if (*best < dip.depth)
            dip = {low + step * static_cast<double>(best - depths.begin()), *best};
    }
    // Whole periods with the mains as they should be, where they are as good to a thousandth stop.
    judge.nominal().eachPeriod(middle, [&](double angle) {
        if (angle < low || angle > high || angle <= 0)
            return;
        const double depth = judge.depthAt(angle);
        if (depth < dip.depth * kAsGood)
            dip = {angle, std::min(depth, dip.depth)};
    });
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
    for (const double depth :
         Judge(lights, rate, Stillness::All, false).depths({step, step, count}))
        stops.emplace_back(std::log2(depth));
    return stops;
}

std::vector<SafeRange> safeShutters(std::span<const PulsedLight> lights, FrameRate rate,
                                    Stops limit, Stillness stillness) {
    constexpr double step = 0.1;
    constexpr std::size_t count = 3600;
    const double most = ratio(limit);
    const Judge judge(lights, rate, stillness, true);
    const auto depths = judge.depths({step, step, count});
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
            dip = leastAround(judge, dip, step);
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

} // namespace bslate
