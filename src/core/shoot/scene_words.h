#pragma once

#include "core/base/enumerated.h"
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

struct LampWord {
    std::string_view word;
    LampKind kind;
};
inline constexpr std::array kLampWords = {
    LampWord{"bulbs", LampKind::Filament},      LampWord{"tubes", LampKind::Ballast},
    LampWord{"panels", LampKind::Electronic},   LampWord{"dimmed", LampKind::DimmedLed},
    LampWord{"rectified", LampKind::Rectified}, LampWord{"measured", LampKind::Measured},
    LampWord{"steady", LampKind::Steady}};
static_assert(kLampWords.size() == countOf<LampKind>(), "a word for every kind");

/// Names that tell the kind where no word of it stands; they stay in the name.
inline constexpr std::array kLampNouns = {
    LampWord{"bulb", LampKind::Filament}, LampWord{"candle", LampKind::Steady},
    LampWord{"tube", LampKind::Ballast}, LampWord{"panel", LampKind::Electronic}};

struct SideWord {
    std::string_view word;
    LightSide side;
};
inline constexpr std::array kSideWords = {
    SideWord{"key", LightSide::Key}, SideWord{"fill", LightSide::Fill},
    SideWord{"kicker", LightSide::Kicker}, SideWord{"back", LightSide::Background}};

struct SupportWord {
    std::string_view word;
    Support support;
};
inline constexpr std::array kSupportWords = {
    SupportWord{"tripod", Support::Tripod}, SupportWord{"gimbal", Support::Gimbal},
    SupportWord{"shoulder", Support::Shoulder}, SupportWord{"handheld", Support::Hand}};

struct FocusWord {
    std::string_view word;
    FocusBy focus;
};
inline constexpr std::array kFocusWords = {FocusWord{"handfocus", FocusBy::Hand},
                                           FocusWord{"autofocus", FocusBy::Continuous},
                                           FocusWord{"facefocus", FocusBy::Faces}};

/// Where the sound comes from; each of them says that there is some.
struct SoundWord {
    std::string_view word;
    SoundBy sound;
};
inline constexpr std::array kSoundWords = {SoundWord{"onboard", SoundBy::Camera},
                                           SoundWord{"wired", SoundBy::Wired},
                                           SoundWord{"radio", SoundBy::Radio}};

/// Kinds a scene's line can tell. A steady lamp is no need of the scene, and a measured one is
/// nothing without its harmonics: both are edited as lamps and kept when the line is rewritten.
[[nodiscard]] constexpr bool isOnTheLine(LampKind kind) {
    return kind != LampKind::Steady && kind != LampKind::Measured;
}

[[nodiscard]] constexpr std::string_view wordOf(LampKind kind) {
    for (const auto& known : kLampWords)
        if (known.kind == kind)
            return known.word;
    return {};
}

} // namespace bslate
