#include "core/clip/clip_timing.h"

#include "core/cadence/rates.h"

#include <algorithm>
#include <cmath>
#include <vector>

namespace bslate {
namespace {

constexpr std::int64_t kRationalEnd = std::int64_t{1} << 31;

FrameRate rateFrom(std::int64_t frames, std::int64_t seconds) {
    const auto divisor = std::gcd(frames, seconds);
    frames /= divisor;
    seconds /= divisor;
    while (frames >= kRationalEnd || seconds >= kRationalEnd) {
        frames /= 2;
        seconds /= 2;
    }
    return FrameRate{
        Rational(std::max<std::int64_t>(1, frames), std::max<std::int64_t>(1, seconds))};
}

double ticksOf(FrameRate rate, Rational tick) {
    return 1 / (rate.perSecond.toDouble() * tick.toDouble());
}

// Both ends of an interval are rounded to a tick.
constexpr double kRounding = 1 + 1e-6;

// The times are those of a rate, each rounded to a tick.
bool agree(std::span<const std::int64_t> times, double ticks) {
    for (std::size_t i = 0; i < times.size(); ++i)
        if (std::abs(static_cast<double>(times[i] - times[0]) - ticks * static_cast<double>(i)) >
            kRounding)
            return false;
    return true;
}

std::vector<FrameRate> candidates(std::optional<FrameRate> told) {
    constexpr double kSame = 1e-4;
    const auto standard = standardRates();
    std::vector<FrameRate> usual(standard.begin(), standard.end());
    usual.push_back(FrameRate{Rational(48, 1)});
    usual.push_back(FrameRate{Rational(96, 1)});
    std::vector<FrameRate> all;
    if (told) {
        for (const auto rate : usual)
            if (std::abs(rate.toDouble() / told->toDouble() - 1) < kSame)
                all.push_back(rate);
        all.push_back(*told);
    }
    all.insert(all.end(), usual.begin(), usual.end());
    return all;
}

// A pace that holds for as long is no gap, but how the clip runs.
constexpr std::size_t kPaceOf = 4;

// The lower middle one of a few.
std::int64_t paceOf(std::span<const std::int64_t> intervals) {
    std::vector<std::int64_t> some(intervals.begin(), intervals.end());
    std::sort(some.begin(), some.end());
    return some[(some.size() - 1) / 2];
}

// Longer by half than what is before it and than what is behind it, where there is either.
bool isGap(std::span<const std::int64_t> all, std::size_t i) {
    const auto before = all.subspan(i - std::min(i, kPaceOf), std::min(i, kPaceOf));
    const auto behind = all.subspan(i + 1, std::min(all.size() - i - 1, kPaceOf));
    const auto longer = [&](std::span<const std::int64_t> some) {
        return some.empty() || 2 * all[i] >= 3 * paceOf(some);
    };
    return all.size() > 1 && longer(before) && longer(behind);
}

struct Intervals {
    std::vector<std::int64_t> rising; ///< without those of doubled frames
    std::vector<std::int64_t> kept;   ///< of these, the ones that are no gaps, rising
    int doubled = 0;
    int gaps = 0;
    explicit Intervals(std::span<const std::int64_t> times) {
        for (std::size_t i = 1; i < times.size(); ++i) {
            if (times[i] == times[i - 1])
                ++doubled;
            else
                rising.push_back(times[i] - times[i - 1]);
        }
        for (std::size_t i = 0; i < rising.size(); ++i) {
            if (isGap(rising, i))
                ++gaps;
            else
                kept.push_back(rising[i]);
        }
        std::sort(rising.begin(), rising.end());
        std::sort(kept.begin(), kept.end());
    }
    [[nodiscard]] std::int64_t middle() const { return rising[rising.size() / 2]; }
    [[nodiscard]] bool mostAre(double ticks) const {
        const auto near = std::count_if(rising.begin(), rising.end(), [ticks](std::int64_t one) {
            return std::abs(static_cast<double>(one) - ticks) <= kRounding;
        });
        return 2 * static_cast<std::size_t>(near) >= rising.size();
    }
};

// Of the rates that half of the intervals keep, the one closest to the middle interval.
std::optional<FrameRate> mostlyKept(const Intervals& intervals, Rational tick,
                                    std::span<const FrameRate> rates) {
    std::optional<FrameRate> kept;
    double least = kRounding;
    for (const auto rate : rates) {
        const double off = std::abs(static_cast<double>(intervals.middle()) - ticksOf(rate, tick));
        if (off < least && intervals.mostAre(ticksOf(rate, tick))) {
            kept = rate;
            least = off;
        }
    }
    return kept;
}

FrameRate rateOf(std::span<const std::int64_t> times, const Intervals& intervals, bool variable,
                 Rational tick, std::optional<FrameRate> told) {
    const auto rates = candidates(told);
    if (variable) {
        if (const auto kept = mostlyKept(intervals, tick, rates))
            return *kept;
    } else if (const auto own =
                   std::find_if(rates.begin(), rates.end(),
                                [&](FrameRate rate) { return agree(times, ticksOf(rate, tick)); });
               own != rates.end()) {
        return *own;
    }
    const auto middle = intervals.middle();
    if (!variable && agree(times, static_cast<double>(middle)))
        return rateFrom(tick.denominator(), middle * tick.numerator());
    return rateFrom(static_cast<std::int64_t>(times.size() - 1) * tick.denominator(),
                    (times.back() - times.front()) * tick.numerator());
}

std::vector<std::int64_t> sortedTimes(std::span<const ClipSample> samples) {
    std::vector<std::int64_t> times;
    for (const auto& sample : samples)
        times.push_back(sample.time);
    std::sort(times.begin(), times.end());
    return times;
}

} // namespace

Result<ClipTiming> timingOf(std::span<const ClipSample> pictures, Rational tick,
                            std::optional<FrameRate> told) {
    const auto times = sortedTimes(pictures);
    const Intervals intervals(times);
    if (times.empty() || (intervals.rising.empty() && !told))
        return Error{ErrorCode::OutOfRange,
                     {},
                     {},
                     std::to_string(times.size()) + " frames",
                     "two frames or more at times of their own"};
    ClipTiming timing;
    timing.doubled = intervals.doubled;
    timing.everyKey = std::all_of(pictures.begin(), pictures.end(),
                                  [](const ClipSample& picture) { return picture.key; });
    if (intervals.rising.empty()) {
        timing.rate = *told;
    } else {
        timing.variable =
            intervals.rising.back() - intervals.rising.front() > 1 || intervals.doubled > 0;
        timing.rate = rateOf(times, intervals, timing.variable, tick, told);
        timing.gaps = intervals.gaps;
        const auto& kept = intervals.kept;
        if (!kept.empty() && kept.back() - kept.front() > 1)
            timing.varies = RateSpan{rateFrom(tick.denominator(), kept.back() * tick.numerator()),
                                     rateFrom(tick.denominator(), kept.front() * tick.numerator())};
    }
    timing.duration = Seconds(static_cast<double>(times.back() - times.front()) * tick.toDouble() +
                              1 / timing.rate.perSecond.toDouble());
    return timing;
}

DataRate peakRate(std::span<const ClipSample> samples, Rational tick, Seconds duration) {
    std::vector<ClipSample> sorted(samples.begin(), samples.end());
    std::sort(sorted.begin(), sorted.end(),
              [](const ClipSample& a, const ClipSample& b) { return a.time < b.time; });
    double all = 0;
    for (const auto& sample : sorted)
        all += static_cast<double>(sample.bytes);
    if (duration < Seconds(1) || sorted.empty())
        return DataRate(duration > Seconds(0) ? 8 * all / duration.value() : 0);
    const double second = 1 / tick.toDouble();
    double most = 0, inside = 0;
    for (std::size_t first = 0, behind = 0; first < sorted.size(); ++first) {
        for (; behind < sorted.size() &&
               static_cast<double>(sorted[behind].time - sorted[first].time) < second - 1e-6;
             ++behind)
            inside += static_cast<double>(sorted[behind].bytes);
        most = std::max(most, inside);
        inside -= static_cast<double>(sorted[first].bytes);
    }
    return DataRate(8 * most);
}

} // namespace bslate
