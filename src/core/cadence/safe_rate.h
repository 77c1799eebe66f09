#pragma once

#include "core/cadence/safe_shutter.h"

/// Which rates hold pulsed light still where no shutter can.
namespace bslate {

/// A rate at which the light can be held still.
struct SafeRate {
    FrameRate rate;
    bool anyShutter = false; ///< every frame meets the pulses alike: bands may stand, none move
    std::optional<ShutterAngle>
        shutter;             ///< the safe one nearest to the wanted angle, if it matters
    bool bandsStand = false; ///< that shutter leaves bands of a lamp that keeps step
    friend bool operator==(const SafeRate&, const SafeRate&) = default;
};

/// Those of `offered` where a shutter is safe, or holds still what moves, or all pulses keep step,
/// nearest in ratio first; shutters near `wanted`. When there are none, the strongest light's own
/// `f / k` nearest to `rate`, in thousandths of a hertz.
[[nodiscard]] std::vector<SafeRate> nearestSafeRates(std::span<const PulsedLight> lights,
                                                     FrameRate rate,
                                                     std::span<const FrameRate> offered,
                                                     ShutterAngle wanted = ShutterAngle(180));

} // namespace bslate
