#pragma once

#include "core/quantity/quantities.h"

#include <optional>
#include <span>
#include <vector>

/// Light that pulses: how it runs in time and what a frame gathers of it. All light is relative
/// to the lamp's own mean, so a steady lamp is 1 everywhere.
namespace bslate {

enum class Waveform {
    Steady,
    Sinusoid,  ///< `1 + m cos(2 pi f t)`
    Rectified, ///< `|cos(pi f t)|`, as a lamp without smoothing shows the mains
    Pwm,       ///< on for `duty` of each period, dark for the rest
    Harmonics  ///< measured: a list of cosines
};

/// One cosine of a measured waveform: `depth * cos(2 pi order f t)` beside a mean of 1.
struct Harmonic {
    int order = 1;     ///< [1, 64]
    Fraction depth{0}; ///< of the mean
    friend bool operator==(const Harmonic&, const Harmonic&) = default;
};
inline constexpr int kHighestHarmonic = 64;

struct PulsedLight {
    Waveform waveform = Waveform::Sinusoid;
    Hertz frequency{100}; ///< pulses a second: twice the mains
    Fraction depth{1};    ///< m of a sinusoid; of the others how much of the wave pulses at all
    Fraction duty{0.5};   ///< of PWM, above 0
    std::vector<Harmonic> harmonics;
    Fraction share{1};      ///< of the light on the subject
    bool fromMains = false; ///< its frequency follows the mains
    friend bool operator==(const PulsedLight&, const PulsedLight&) = default;
};

/// The light at a moment, mean 1.
[[nodiscard]] double lightAt(const PulsedLight& light, Seconds time);

/// What an exposure gathers from `start` on, relative to the mean; the integral in closed form,
/// so an exposure of whole periods gives exactly 1. `exposure` must be positive.
[[nodiscard]] double gathered(const PulsedLight& light, Seconds start, Seconds exposure);
/// Of all lamps by their shares; what the shares leave is steady light.
[[nodiscard]] double gathered(std::span<const PulsedLight> lights, Seconds start, Seconds exposure);

/// The least and most an exposure can gather, over all moments it may start at. Exact for every
/// waveform but Harmonics, where the depths are summed: a bound that measured lists rarely reach.
/// [D: integrals of the waveforms]
struct Swing {
    double low = 1;
    double high = 1;
};
[[nodiscard]] Swing swing(const PulsedLight& light, Seconds exposure);
/// Of all lamps together, as if their worst moments met. Shares summing above 1 are scaled.
[[nodiscard]] Swing swing(std::span<const PulsedLight> lights, Seconds exposure);

/// The light that pulses most before any shutter, by depth and share; null when none does.
[[nodiscard]] const PulsedLight* mostPulsing(std::span<const PulsedLight> lights);

/// What shares are multiplied by: 1, or what brings a sum above 1 back to it.
[[nodiscard]] double shareScale(std::span<const PulsedLight> lights);

/// `(high - low) / (high + low)`: m |sin(pi f t) / (pi f t)| for one sinusoid.
[[nodiscard]] Fraction rippleOf(Swing swing);
/// `log2(high / low)`, at most kDeepest where the low end is dark.
[[nodiscard]] Stops peakToPeak(Swing swing);
inline constexpr Stops kDeepest{10};

/// `|f - k * rate|`, k the nearest integer: how often the pulsing repeats from frame to frame.
/// 0 when every frame meets the light at the same moment. At most half the rate.
[[nodiscard]] Hertz aliasOf(Hertz frequency, FrameRate rate);

/// Mains wander by this much of their frequency in an ordinary network, 49.8 to 50.2 Hz: common
/// practice, no source.
inline constexpr double kMainsTolerance = 0.004;

/// Pulsing below this is not seen, stops peak to peak: common practice, no source.
inline constexpr Stops kVisible{0.03};

/// An alias slower than this is a drift that takes seconds to come round, Hz: as of 23.976 against
/// 60 Hz mains (0.12 Hz). Common practice, no source.
inline constexpr Hertz kDrift{0.5};

/// What a recording shows of the lights, all of them together.
///
/// A lamp whose pulsing keeps step with the frames (alias 0) gives every frame the same: it stands,
/// as bands where rows are read one after the other. All others move from frame to frame. The
/// moving ones are judged against the dimmest that the standing ones leave.
struct Pulsing {
    Fraction ripple{0};    ///< of all lamps, over all moments
    Stops peakToPeak{0};   ///< likewise: what moves and what stands
    Stops worstOnMains{0}; ///< the same, the mains at the worst end of their tolerance
    Stops moving{0};       ///< from frame to frame alone
    Stops worstMoving{0};  ///< the same, the mains at the worst end of their tolerance
    Hertz alias{0};        ///< of the lamp that moves most; 0 when none moves
    std::optional<std::size_t> strongest; ///< that lamp, else the one that stands out most
    std::vector<std::size_t> movers;      ///< lamps that move, most first
    double bands = 0; ///< of light and dark over the frame: its frequency times the readout time
    friend bool operator==(const Pulsing&, const Pulsing&) = default;
};
[[nodiscard]] Pulsing pulsing(std::span<const PulsedLight> lights, Seconds exposure, FrameRate rate,
                              Seconds readout);

/// True when nothing pulses and no bands stand, wherever in their tolerance the mains are.
[[nodiscard]] inline bool isStill(const Pulsing& pulsing) {
    return pulsing.worstOnMains <= kVisible;
}
/// True when frames differ from one another in a way that is seen.
[[nodiscard]] inline bool isMoving(const Pulsing& pulsing) {
    return pulsing.worstMoving > kVisible;
}

/// True when the light meets every frame at the same moment, or does not pulse.
[[nodiscard]] bool keepsStep(const PulsedLight& light, FrameRate rate);

/// The lamps with the mains at `factor` of their frequency; those of their own stay.
[[nodiscard]] std::vector<PulsedLight> onMains(std::span<const PulsedLight> lights, double factor);

} // namespace bslate
