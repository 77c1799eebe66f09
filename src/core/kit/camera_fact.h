#pragma once

#include "core/base/named_value.h"

#include <string_view>

namespace bslate {

/// What somebody who describes a body may have left open; the camera then has a value that is usual
/// for its kind, or none.
enum class CameraFact {
    Sensor, ///< size of the whole of it
    Bases,
    OverGrey, ///< stops from mid-grey to its clip
    Range,    ///< stops from its clip to its noise
    Shutter,  ///< what its dial offers
    Slots,
    Zebra,
    Readout,
    Draw,
    Heat,
    Buffer
};

inline constexpr NamedValue<CameraFact> kFactNames[] = {
    {"sensor", CameraFact::Sensor},      {"bases", CameraFact::Bases},
    {"over-grey", CameraFact::OverGrey}, {"range", CameraFact::Range},
    {"shutter", CameraFact::Shutter},    {"slots", CameraFact::Slots},
    {"zebra", CameraFact::Zebra},        {"readout", CameraFact::Readout},
    {"draw", CameraFact::Draw},          {"heat", CameraFact::Heat},
    {"buffer", CameraFact::Buffer}};

[[nodiscard]] constexpr std::string_view keyOf(CameraFact fact) {
    return nameIn<CameraFact>(kFactNames, fact);
}

} // namespace bslate
