#pragma once

#include "core/shoot/scene.h"

#include <array>
#include <string_view>

/// The words of a scene's line, read and written.
namespace bslate {

struct LightWord {
    std::string_view word;
    DescribedLight light;
};
inline constexpr std::array kLightWords = {LightWord{"sun", DescribedLight::DirectSun},
                                           LightWord{"hazy", DescribedLight::HazySun},
                                           LightWord{"overcast", DescribedLight::Overcast},
                                           LightWord{"shade", DescribedLight::OpenShade},
                                           LightWord{"dusk", DescribedLight::Dusk},
                                           LightWord{"night", DescribedLight::NightStreet},
                                           LightWord{"office", DescribedLight::Office},
                                           LightWord{"home", DescribedLight::Domestic},
                                           LightWord{"candle", DescribedLight::Candle}};

struct SourceWord {
    std::string_view word;
    SourceKind kind;
};
inline constexpr std::array kSourceWords = {
    SourceWord{"bulbs", SourceKind::Filament},      SourceWord{"tubes", SourceKind::Ballast},
    SourceWord{"panels", SourceKind::Electronic},   SourceWord{"dimmed", SourceKind::DimmedLed},
    SourceWord{"rectified", SourceKind::Rectified}, SourceWord{"measured", SourceKind::Measured},
    SourceWord{"steady", SourceKind::Steady}};

[[nodiscard]] constexpr std::string_view wordOf(SourceKind kind) {
    for (const auto& known : kSourceWords)
        if (known.kind == kind)
            return known.word;
    return {};
}

} // namespace bslate
