#pragma once

#include "core/quantity/quantities.h"

#include <array>
#include <string_view>

/// Light described in words before anyone has metered it: a range of illuminance to plan with,
/// always marked as an estimate.
namespace bslate {

enum class DescribedLight {
    DirectSun,
    HazySun,
    Overcast,
    OpenShade,
    Dusk,
    NightStreet,
    Office,
    Domestic,
    Candle
};

inline constexpr std::array kDescribedLights = {
    DescribedLight::DirectSun, DescribedLight::HazySun,  DescribedLight::Overcast,
    DescribedLight::OpenShade, DescribedLight::Dusk,     DescribedLight::NightStreet,
    DescribedLight::Office,    DescribedLight::Domestic, DescribedLight::Candle};

struct LuxRange {
    Lux low;
    Lux high;
    std::string_view
        source; ///< published source with "from memory" where it is, or common practice
};

/// The usual range on a surface facing the light.
[[nodiscard]] LuxRange luxOf(DescribedLight light);

/// The geometric middle of the range: the reading an estimate starts from.
[[nodiscard]] Lux middleOf(const LuxRange& range);

/// Half the width of the range in stops: how far the estimate may be off.
[[nodiscard]] Stops uncertaintyOf(const LuxRange& range);

} // namespace bslate
