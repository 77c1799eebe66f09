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

/// Kinds a scene's line can tell. A steady lamp is no need of the scene, and a measured one is
/// nothing without its harmonics: both are edited as lamps and kept when the line is rewritten.
[[nodiscard]] constexpr bool isOnTheLine(SourceKind kind) {
    return kind != SourceKind::Steady && kind != SourceKind::Measured;
}

[[nodiscard]] constexpr std::string_view wordOf(SourceKind kind) {
    for (const auto& known : kSourceWords)
        if (known.kind == kind)
            return known.word;
    return {};
}

} // namespace bslate
