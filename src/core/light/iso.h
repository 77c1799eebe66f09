#pragma once

#include "core/quantity/quantities.h"

#include <string_view>

namespace bslate {

/// What turning the ISO dial does; people mix these up, so every result names it.
enum class IsoBehaviour {
    Recorded, ///< gain before the curve: changes the recording
    Index,    ///< exposure index: changes monitoring and LUT, recording stays at base
    Note      ///< raw: a note in the file
};

/// Its name in files and typed rules: `recorded`, `index` or `note`.
[[nodiscard]] constexpr std::string_view keyOf(IsoBehaviour behaviour) {
    return behaviour == IsoBehaviour::Recorded ? "recorded"
           : behaviour == IsoBehaviour::Index  ? "index"
                                               : "note";
}

/// log2(ISO / base).
[[nodiscard]] inline Stops gainOf(ExposureIndex iso, ExposureIndex base) {
    return stopsBetween(iso, base);
}

/// Where a patch at `sensor` stops (base nominal) is recorded and how it is viewed.
struct Placed {
    Stops recorded;
    Stops viewed;
};

/// Recorded: both are sensor + gain. Index and Note: recorded = sensor, viewed = sensor + gain
/// (a rating below base darkens the view by log2(base/EI), undoing the extra light).
[[nodiscard]] inline Placed place(Stops sensor, Stops gain, IsoBehaviour behaviour) {
    if (behaviour == IsoBehaviour::Recorded)
        return {sensor + gain, sensor + gain};
    return {sensor, sensor + gain};
}

/// The clip above mid-grey in recorded stops: `H_base + min(gain, 0)` when gain is recorded
/// (below base the sensor fills before the curve ends), H_base otherwise.
[[nodiscard]] inline Stops recordedClip(Stops baseClip, Stops gain, IsoBehaviour behaviour) {
    const bool lowered = behaviour == IsoBehaviour::Recorded && gain < Stops(0.0);
    return lowered ? baseClip + gain : baseClip;
}

/// The noise floor in recorded stops; recorded gain lifts it with the picture.
[[nodiscard]] inline Stops recordedFloor(Stops sensorFloor, Stops gain, IsoBehaviour behaviour) {
    return behaviour == IsoBehaviour::Recorded ? sensorFloor + gain : sensorFloor;
}

} // namespace bslate
