#pragma once

#include "core/base/result.h"
#include "core/cadence/pulse.h"
#include "core/signal/curve.h"
#include "core/signal/series_reading.h"

#include <optional>
#include <span>
#include <vector>

/// A place of a clip's picture over time: what its exposures were held at, and how its light
/// pulses.
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

/// Slower than that it may be what moves in the picture: common practice, no source.
inline constexpr Hertz kSlowestPulse{1};

/// How the light of a place pulses from frame to frame.
struct RegionPulse {
    Stops peakToPeak;         ///< of its strongest line
    Hertz alias;              ///< of that line, (0, rate / 2]
    std::vector<Hertz> lamps; ///< that alias so at this rate: k * rate +- alias, 40 to 500 Hz
    Fraction share;           ///< of all change from frame to frame that this line is
    /// Of light and dark over the height, by how the line's phase runs down the strips: positive
    /// where lower ones are later. None without strips, or where their phases do not lie on a line.
    std::optional<double> bands;
    friend bool operator==(const RegionPulse&, const RegionPulse&) = default;
};
/// Light is decoded by the curve, in stops about its median. Where there are strips, each goes from
/// frame to frame as most of its columns do, so that what moves through some of them does not
/// count. None under 16 frames, for light that does not stand out of the curve's black, and for
/// pulsing under kVisible. `bands` go down from the top of what is read; a lamp runs through `f *
/// readout` of them. [D: strongest line of the discrete Fourier transform, between bins by its
/// phase-free parabola] Lines under `slowest` are not looked for, and what changes more slowly is
/// taken off first, as a running mean over one of its periods: in a whole picture it may be what
/// moves.
[[nodiscard]] std::optional<RegionPulse> pulseOf(std::span<const RegionFrame> frames,
                                                 const Curve& curve, FrameRate rate,
                                                 Hertz slowest = Hertz(0));

/// Those of its lamps that agree with its bands too, for a sensor that is read in this time: within
/// a fifth of a band. All of them where bands or readout are not known, or none agrees.
[[nodiscard]] std::vector<Hertz> agreeingLamps(const RegionPulse& pulse, FrameRate rate,
                                               Seconds readout);

} // namespace bslate
