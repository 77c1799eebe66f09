#pragma once

#include "core/clip/region_series.h"

/// How the light of a place pulses from frame to frame, and which lamps do that.
namespace bslate {

/// Slower than that it may be what moves in the picture: common practice, no source.
inline constexpr Hertz kSlowestPulse{1};

/// How the light of a place pulses from frame to frame.
struct RegionPulse {
    Stops peakToPeak;         ///< of its strongest line
    Hertz alias;              ///< of that line, (0, rate / 2]
    std::vector<Hertz> lamps; ///< that alias so at this rate: k * rate +- alias, 40 to 500 Hz
    Fraction share;           ///< of all change from frame to frame that this line is
    Fraction together;        ///< of the picture's places, how far they go up and down as one
    Magnification alone{1};   ///< how far it stands over the lines beside it
    Magnification over{1};    ///< how far it stands over the other lines
    Hertz within;             ///< how well the alias is known: half a line of so many frames
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

/// A printed or measured readout may be off by so much of it: common practice, no source.
inline constexpr Fraction kReadoutOff{0.15};

/// Those of its lamps that agree with its bands too, for a sensor that is read in about this time:
/// within a fifth of a band and what the readout may be off. All of them where bands or readout are
/// not known, or none agrees; the nearest first.
[[nodiscard]] std::vector<Hertz> agreeingLamps(const RegionPulse& pulse, FrameRate rate,
                                               Seconds readout);

} // namespace bslate
