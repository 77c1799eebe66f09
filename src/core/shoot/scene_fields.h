#pragma once

#include "core/quantity/print.h"
#include "core/quantity/spelled.h"
#include "core/shoot/scene.h"

/// The fields of a scene, its lamps and its patches.
namespace bslate {

namespace as {
inline constexpr form::Spelled<LightColour> kLightColour{
    parseLightColour, written::exactly<LightColour>,
    "^[0-9]+(\\.[0-9]+)?K( duv[+-][0-9]+(\\.[0-9]+)?)?$",
    "the colour of a light: kelvin, 1667 to 40 000, and Duv where it is not as usual"};
} // namespace as

inline constexpr NamedValue<PatchRole> kRoleNames[] = {{"grey", PatchRole::Grey},
                                                       {"skin-light", PatchRole::SkinLight},
                                                       {"skin-medium", PatchRole::SkinMedium},
                                                       {"skin-dark", PatchRole::SkinDark},
                                                       {"highlight", PatchRole::Highlight},
                                                       {"shadow", PatchRole::Shadow},
                                                       {"white", PatchRole::White},
                                                       {"spare", PatchRole::Spare}};
inline constexpr NamedValue<Place> kPlaceNames[] = {
    {"unknown", Place::Unknown}, {"interior", Place::Interior}, {"exterior", Place::Exterior}};
inline constexpr NamedValue<DescribedLight> kLightNames[] = {
    {"direct-sun", DescribedLight::DirectSun},
    {"hazy-sun", DescribedLight::HazySun},
    {"overcast", DescribedLight::Overcast},
    {"open-shade", DescribedLight::OpenShade},
    {"dusk", DescribedLight::Dusk},
    {"night-street", DescribedLight::NightStreet},
    {"office", DescribedLight::Office},
    {"domestic", DescribedLight::Domestic},
    {"candle", DescribedLight::Candle}};
inline constexpr NamedValue<LightSide> kSideNames[] = {{"unsaid", LightSide::Unsaid},
                                                       {"key", LightSide::Key},
                                                       {"fill", LightSide::Fill},
                                                       {"kicker", LightSide::Kicker},
                                                       {"background", LightSide::Background}};
inline constexpr NamedValue<Support> kSupportNames[] = {{"unsaid", Support::Unsaid, "as the scene"},
                                                        {"tripod", Support::Tripod},
                                                        {"gimbal", Support::Gimbal},
                                                        {"shoulder", Support::Shoulder},
                                                        {"hand", Support::Hand}};
inline constexpr NamedValue<FocusBy> kFocusNames[] = {{"unsaid", FocusBy::Unsaid, "as the scene"},
                                                      {"hand", FocusBy::Hand},
                                                      {"continuous", FocusBy::Continuous},
                                                      {"faces", FocusBy::Faces}};
inline constexpr NamedValue<SoundBy> kSoundNames[] = {
    {"unsaid", SoundBy::Unsaid, "as the scene"},
    {"none", SoundBy::None, "no sound here"},
    {"camera", SoundBy::Camera, "camera microphone"},
    {"wired", SoundBy::Wired, "wired microphone"},
    {"radio", SoundBy::Radio, "radio microphone"}};
inline constexpr NamedValue<LampKind> kLampNames[] = {
    {"filament", LampKind::Filament},     {"ballast", LampKind::Ballast},
    {"electronic", LampKind::Electronic}, {"dimmed-led", LampKind::DimmedLed},
    {"rectified", LampKind::Rectified},   {"measured", LampKind::Measured},
    {"steady", LampKind::Steady}};
inline constexpr NamedValue<bool Hazards::*> kHazardNames[] = {{"sun", &Hazards::sun},
                                                               {"water", &Hazards::water},
                                                               {"mains", &Hazards::mains},
                                                               {"heights", &Hazards::heights}};

template<>
struct Described<FramePlace> {
    static constexpr auto kName = "place";
    static constexpr auto kFields =
        std::tuple{required("x", &FramePlace::x, form::Number{0, 1}, "From the left"),
                   required("y", &FramePlace::y, form::Number{0, 1}, "From the top"),
                   required("width", &FramePlace::width, form::Number{kLeastPlace, 1}, "Width"),
                   required("height", &FramePlace::height, form::Number{kLeastPlace, 1}, "Height")};
};

template<>
struct Described<Patch> {
    static constexpr auto kName = "patch";
    static constexpr auto kFields = std::tuple{
        required("id", &Patch::id, form::Text{}, "Id"),
        required("name", &Patch::name, form::Text{}, "Name"),
        required("role", &Patch::role, form::Named<PatchRole>{kRoleNames}, "Role"),
        required("reading", &Patch::reading, as::kReading, "Reading"),
        written("reflectance", &Patch::reflectance, as::kReflectance, "Reflectance",
                "used when the reading is in lx or fc"),
        spared("estimated", &Patch::estimated, form::Flag{}, "Estimated", "until it is metered"),
        spared("side", &Patch::side, form::Named<LightSide>{kSideNames}, "Side",
               "which light is on it", 6),
        spared("lamp", &Patch::lamp, form::Text{}, "Lit by", "name of a lamp; empty: all", 6),
        spared("place", &Patch::place, form::Object<FramePlace>{}, "Place",
               "in the drawn frame, as shares of it; else by its role", 7)};
};

template<>
struct Described<Harmonic> {
    static constexpr auto kName = "harmonic";
    static constexpr auto kFields =
        std::tuple{written("order", &Harmonic::order, form::Whole{1, kHighestHarmonic}, "Order"),
                   required("depth", &Harmonic::depth, as::kShare, "Depth", "of the mean")};
};

template<>
struct Described<Lamp> {
    static constexpr auto kName = "lamp";
    static constexpr auto kFields = std::tuple{
        required("name", &Lamp::name, form::Text{}, "Name"),
        required("kind", &Lamp::kind, form::Named<LampKind>{kLampNames}, "Kind"),
        spared("pulses", &Lamp::pulses, as::kHertz, "Pulses", "else twice the mains"),
        spared("depth", &Lamp::depth, as::kShare, "Depth", "how far it pulses"),
        spared("duty", &Lamp::duty, as::kShare, "Duty", "how long a dimmed LED is on, above 0"),
        spared("share", &Lamp::share, as::kShare, "Share", "of the light on the subject"),
        spared("harmonics", &Lamp::harmonics, form::List{form::Object<Harmonic>{}}, "Harmonics",
               "of a measured lamp"),
        spared("colour", &Lamp::colour, as::kLightColour, "Colour",
               "before its gels; missing: usual for the kind", 6),
        spared("colour_end", &Lamp::colourEnd, as::kLightColour, "Goes to", "during the take", 6),
        spared("behind", &Lamp::behind, as::kShare, "Behind", "share of the background's light", 6),
        spared("side", &Lamp::side, form::Named<LightSide>{kSideNames}, "Side", "", 6),
        spared("gels", &Lamp::gels, form::List{form::Text{}, kMostGels, "gels on a lamp"}, "Gels",
               "ids", 6)};
    static std::optional<FieldFault> check(const Lamp& lamp) {
        if (lamp.duty && lamp.duty->value() <= 0)
            return FieldFault{"duty", {}, "above 0"};
        if (lamp.kind == LampKind::Measured && lamp.harmonics.empty())
            return FieldFault{
                "harmonics", {}, "at least one, of a measured lamp", ErrorCode::MissingKey};
        return std::nullopt;
    }
};

template<>
struct Described<LightChange> {
    static constexpr auto kName = "light_change";
    static constexpr auto kFields =
        std::tuple{required("to", &LightChange::to, as::kReading, "To", "of the grey card"),
                   required("over", &LightChange::over, as::kDuration, "Over")};
};

template<>
struct Described<DepthWish> {
    static constexpr auto kName = "depth";
    static constexpr auto kFields =
        std::tuple{required("widest", &DepthWish::widest, as::kTStop, "Widest"),
                   required("narrowest", &DepthWish::narrowest, as::kTStop, "Narrowest")};
    static std::optional<FieldFault> check(const DepthWish& depth) {
        if (depth.narrowest < depth.widest)
            return FieldFault{"narrowest", {}, "no wider than widest"};
        return std::nullopt;
    }
};

template<>
struct Described<Scene> {
    static constexpr auto kName = "scene";
    static constexpr auto kFields = std::tuple{
        required("id", &Scene::id, form::Text{}, "Id"),
        written("number", &Scene::number, form::Text{}, "Number"),
        required("name", &Scene::name, form::Text{}, "Name"),
        written("day", &Scene::day, form::Whole{1, 10000}, "Day"),
        spared("start", &Scene::start, as::kTimeOfDay, "Start"),
        spared("place", &Scene::place, form::Named<Place>{kPlaceNames}, "Place"),
        written("note", &Scene::note, form::Text{}, "Note"),
        written("hazards", &Scene::hazards, form::Flags<Hazards>{kHazardNames}, "Hazards",
                "that the caution is about"),
        spared("described", &Scene::described, form::Named<DescribedLight>{kLightNames},
               "Described light", "in a word, before it is metered"),
        spared("light_change", &Scene::change, form::Object<LightChange>{}, "Light change"),
        spared("light", &Scene::light, as::kLightColour, "Colour of the light",
               "where no lamps are told", 6),
        spared("key_over_fill_stops", &Scene::keyOverFill, form::Number{-15, 15}, "Key over fill",
               "wanted", 6),
        spared("key_over_kicker_stops", &Scene::keyOverKicker, form::Number{-15, 15},
               "Key over kicker", "wanted"),
        spared("key_over_back_stops", &Scene::keyOverBack, form::Number{-15, 15},
               "Subject over background", "wanted", 6),
        renamed(spared("lamps", &Scene::lamps,
                       form::List{form::Object<Lamp>{}, kMostLamps, "lamps in a scene"}, "Lamps"),
                "sources"),
        spared("depth", &Scene::depth, form::Object<DepthWish>{}, "Depth of field",
               "the irises that give it"),
        renamed(spared("subject_speed_widths_s", &Scene::subjectSpeed, form::Number{0, 1000},
                       "Subject's speed", "frame widths a second"),
                "subject_speed"),
        spared("pan", &Scene::pan, as::kPan, "Pan"),
        spared("slow_motion", &Scene::slowMotion, as::kFactor, "Slow motion"),
        written("sound", &Scene::sound, form::Flag{}, "Sound"),
        spared("sound_by", &Scene::soundBy, form::Named<SoundBy>{kSoundNames}, "Sound from", "", 5),
        spared("support", &Scene::support, form::Named<Support>{kSupportNames}, "Support", "", 5),
        spared("focus_by", &Scene::focusBy, form::Named<FocusBy>{kFocusNames}, "Focus by", "", 5),
        spared("longest_take", &Scene::longestTake, as::kDuration, "Longest take",
               "that must not be interrupted"),
        spared("footage", &Scene::footage, as::kDuration, "Footage", "planned in all"),
        spared("view", &Scene::view, as::kDegrees, "Angle of view", "horizontal"),
        spared("ambient", &Scene::ambient, as::kCelsius, "Air"),
        written("patches", &Scene::patches,
                form::List{form::Object<Patch>{}, kMostPatches, "patches in a scene"}, "Patches")};
    static std::optional<FieldFault> check(const Scene& scene) {
        if (const auto over = overlit(scene.lamps))
            return FieldFault{"lamps", print(over->sum), expectedInsteadOf(*over)};
        return std::nullopt;
    }
    static void complete(Scene& scene) {
        if (scene.soundBy != SoundBy::None)
            return;
        scene.sound = false;
        scene.soundBy = SoundBy::Unsaid;
    }
};

} // namespace bslate
