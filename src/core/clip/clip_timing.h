#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"

#include <cstdint>
#include <optional>
#include <span>

/// When the pictures of a clip stand, and what they weigh.
namespace bslate {

/// A picture or a piece of sound in its container.
struct ClipSample {
    std::int64_t time = 0; ///< ticks, of presentation
    std::int64_t bytes = 0;
    bool key = false;
};

/// The slowest and the fastest pace that frames keep, what is missing left out.
struct RateSpan {
    FrameRate slowest, fastest;
    friend bool operator==(const RateSpan&, const RateSpan&) = default;
};

struct ClipTiming {
    FrameRate rate;        ///< frames a second
    bool variable = false; ///< two intervals differ by more than a tick
    bool everyKey = false;
    Seconds duration;               ///< to the end of the last frame
    std::optional<RateSpan> varies; ///< frames keep more than one pace, gaps and doubled left out
    int gaps = 0; ///< intervals of one and a half times those before and those behind them, or more
    int doubled = 0; ///< frames at the time of another
    friend bool operator==(const ClipTiming&, const ClipTiming&) = default;
};

/// Of pictures in any order; a tick is that many seconds. The rate is one of which every time is
/// within a tick: `told`, the container's own, where it is a standard one (standardRates(), 48,
/// 96); a standard one within 0.01 % of it, since containers tell means too; what is told; any
/// standard one; else that of the middle interval. Where intervals vary it is one that half of them
/// keep, else the mean. Fails with OutOfRange for no picture, and for a single one whose rate is
/// not told.
[[nodiscard]] Result<ClipTiming> timingOf(std::span<const ClipSample> pictures, Rational tick,
                                          std::optional<FrameRate> told);

/// The most that falls into any second, of samples in any order; the whole over the duration where
/// that is shorter than a second or no sample is there.
[[nodiscard]] DataRate peakRate(std::span<const ClipSample> samples, Rational tick,
                                Seconds duration);

} // namespace bslate
