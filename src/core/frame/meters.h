#pragma once

#include "core/base/enumerated.h"
#include "core/frame/image.h"
#include "core/quantity/quantities.h"

#include <array>
#include <cmath>

/// What a camera's own meter would say of a picture, and how far it can be trusted.
namespace bslate {

enum class MeterKind {
    Spot,   ///< a tenth of the height about the middle
    Centre, ///< everything, the middle most: a bell as wide as a third of the height
    Whole   ///< everything alike
};
inline constexpr int kMeterKinds = countOf<MeterKind>();

/// What red, green and blue of BT.2020 light weigh for a meter: luminance, or what a camera makes
/// of it (camera_luma.h).
using MeterWeights = std::array<double, 3>;
inline constexpr MeterWeights kLuminance{0.2627, 0.6780, 0.0593}; ///< ITU-R BT.2020-2

/// Light that a meter averages, in cd/m2, of BT.2020 primaries; above `most` held there, which
/// shows what lamps in the frame do to it.
[[nodiscard]] CandelaPerM2 metered(const Image& light, MeterKind kind,
                                   CandelaPerM2 most = CandelaPerM2(HUGE_VAL),
                                   const MeterWeights& weights = kLuminance);

struct MeterReading {
    MeterKind kind = MeterKind::Spot;
    Stops change;  ///< of exposure that the meter asks for to put its average at mid-grey
    Stops byLamps; ///< how much of it is due to what is brighter than `most`
    friend bool operator==(const MeterReading&, const MeterReading&) = default;
};

/// All kinds at once. `middle` is the luminance that the setup places at mid-grey.
[[nodiscard]] std::array<MeterReading, kMeterKinds>
meterReadings(const Image& light, CandelaPerM2 middle, CandelaPerM2 most,
              const MeterWeights& weights = kLuminance);

} // namespace bslate
