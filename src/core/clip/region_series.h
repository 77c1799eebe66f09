#pragma once

#include "core/base/result.h"
#include "core/signal/curve.h"
#include "core/signal/series_reading.h"

#include <optional>
#include <span>
#include <vector>

/// A place of a clip's picture over time: what its exposures were held at.
namespace bslate {

/// Mean luma of the columns of a strip, from the left.
inline constexpr std::size_t kStripColumns = 8;
using Strip = std::array<Signal, kStripColumns>;

/// Means over the place in one frame.
struct RegionFrame {
    Seconds time;
    Signal luma;
    std::array<Signal, 3> channels;
    std::optional<Signal>
        noise; ///< standard deviation of a pixel from frame to frame; none: the first
    std::vector<Strip> strips; ///< from the top down, of equal height, where they were asked for
    friend bool operator==(const RegionFrame&, const RegionFrame&) = default;
};

/// Frames over which the exposure was held.
struct Plateau {
    std::size_t first = 0, behind = 0; ///< frames, without the change before and after
    Signal luma;
    std::array<Signal, 3> channels;
    std::optional<Signal> noise;
    friend bool operator==(const Plateau&, const Plateau&) = default;
};

/// Stretches of three frames or more between changes that luma does not make by itself: six of its
/// middle frame-to-frame steps, and two codes of 10 bits. A stretch that lasts about as long as
/// several others is as many: above the curve's end all exposures look alike.
[[nodiscard]] std::vector<Plateau> plateausOf(std::span<const RegionFrame> frames);

/// The one that was held longest; none of none. Of a clip that is a single exposure, this is it.
[[nodiscard]] std::optional<Plateau> longestOf(std::span<const Plateau> plateaus);

/// Places between two plateaus that are as long as one usually is: another may have been missed.
[[nodiscard]] std::size_t gapsBetween(std::span<const Plateau> plateaus);

/// Plateaus as readings of an exposure series, each at its stops. Fails with OutOfRange, naming how
/// many there are, for another count.
[[nodiscard]] Result<std::vector<SeriesReading>> readingsOf(std::span<const Plateau> plateaus,
                                                            std::span<const Stops> stops);

/// Pixels of a place by the signal of each channel.
struct ChannelCounts {
    Signal first; ///< of the first step, its middle
    Signal step;  ///< from one to the next
    std::array<std::vector<int>, 3> channels;
    friend bool operator==(const ChannelCounts&, const ChannelCounts&) = default;
};
/// Share of a channel's pixels that are less than two steps of 10 bits under `end`, or above it; 0
/// of none.
[[nodiscard]] Fraction shareAt(const ChannelCounts& counts, std::size_t channel, Signal end);

} // namespace bslate
