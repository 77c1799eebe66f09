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

/// Means over the place in one frame.
struct RegionFrame {
    Seconds time;
    Signal luma;
    std::array<Signal, 3> channels;
    std::optional<Signal>
        noise; ///< standard deviation of a pixel from frame to frame; none: the first
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

/// How the light of a place pulses from frame to frame.
struct RegionPulse {
    Stops peakToPeak;         ///< of its strongest line
    Hertz alias;              ///< of that line, (0, rate / 2]
    std::vector<Hertz> lamps; ///< that alias so at this rate: k * rate +- alias, 40 to 500 Hz
    friend bool operator==(const RegionPulse&, const RegionPulse&) = default;
};
/// Light is decoded by the curve, in stops about its median. None under 16 frames, for light that
/// does not stand out of the curve's black, and for pulsing under kVisible.
/// [D: strongest line of the discrete Fourier transform, between bins by its phase-free parabola]
[[nodiscard]] std::optional<RegionPulse> pulseOf(std::span<const RegionFrame> frames,
                                                 const Curve& curve, FrameRate rate);

} // namespace bslate
