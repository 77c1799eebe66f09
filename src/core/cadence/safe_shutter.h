#pragma once

#include "core/cadence/pulse.h"
#include "core/cadence/shutter.h"

#include <optional>
#include <span>
#include <vector>

/// Which shutters hold pulsed light still.
namespace bslate {

/// Angles from `from` to `to` at which the pulsing stays under the limit; `best` is the first
/// among them that ripples least.
struct SafeRange {
    ShutterAngle from{0};
    ShutterAngle to{0};
    ShutterAngle best{0};
    Stops peakToPeak{0}; ///< at `best`
    friend bool operator==(const SafeRange&, const SafeRange&) = default;
};

/// What has to hold still.
enum class Stillness {
    All,   ///< nothing pulses and no bands stand
    Moving ///< nothing moves from frame to frame; lamps that keep step may leave standing bands
};

/// Peak to peak stops of all lamps at every angle `step`, 2 step, ... 360; `step` in (0, 360],
/// fewer than 100 000 of them. Steady light gives zeros.
[[nodiscard]] std::vector<Stops> pulsingByAngle(std::span<const PulsedLight> lights, FrameRate rate,
                                                double step = 0.1);

/// Every stretch of safe angles, rising, with the mains anywhere in their tolerance; searched in
/// steps of 0.1 degree, `best` refined to where the ripple is least. Empty when no shutter of this
/// rate spans the pulses.
[[nodiscard]] std::vector<SafeRange> safeShutters(std::span<const PulsedLight> lights,
                                                  FrameRate rate, Stops limit = kVisible,
                                                  Stillness stillness = Stillness::All);

/// How far a shutter is from the one wanted, in stops. A longer one counts 0.1 stop farther, since
/// smear is seen sooner than crispness: 144 and not 216 degrees at 24 under 60 Hz (common practice,
/// no source).
[[nodiscard]] Stops distance(const Shutter& wanted, const Shutter& candidate, FrameRate rate);

/// The setting of a camera's dial in a safe stretch at the least distance from `wanted`; none
/// when the dial has none. An angle comes back as an angle if the dial takes angles.
[[nodiscard]] std::optional<Shutter> nearestSafe(const ShutterDial& dial,
                                                 std::span<const SafeRange> safe,
                                                 const Shutter& wanted, FrameRate rate);

} // namespace bslate
