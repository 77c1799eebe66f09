#pragma once

#include "core/kit/body_fields.h"
#include "core/shoot/scene_fields.h"
#include "core/shoot/shoot.h"

/// The fields of a setup: what it is set to, what is left to the camera, what was accepted and
/// ticked.
namespace bslate {

inline constexpr NamedValue<School> kSchoolNames[] = {{"nominal", School::Nominal},
                                                      {"rated", School::Rated},
                                                      {"to-the-right", School::ToTheRight},
                                                      {"guard", School::Guard},
                                                      {"raw", School::Raw}};
inline constexpr NamedValue<ShutterSchool> kShutterSchoolNames[] = {
    {"half-frame", ShutterSchool::HalfFrame},
    {"crisp", ShutterSchool::Crisp},
    {"mains-locked", ShutterSchool::MainsLocked},
    {"custom", ShutterSchool::Custom}};
inline constexpr NamedValue<SecondSlot> kSecondSlotNames[] = {
    {"unused", SecondSlot::Unused, "not used"},
    {"mirror", SecondSlot::Mirror, "mirror: the same again"},
    {"relay", SecondSlot::Relay, "relay: goes on when the first is full"},
    {"proxy", SecondSlot::Proxy, "proxy: a low-rate copy"}};
inline constexpr NamedValue<WhiteBy> kWhiteByNames[] = {{"preset", WhiteBy::Preset},
                                                        {"card", WhiteBy::Card}};
inline constexpr NamedValue<Payer> kPayerNames[] = {{"nd", Payer::Nd},
                                                    {"iris", Payer::Iris},
                                                    {"light", Payer::Light},
                                                    {"rating", Payer::Rating},
                                                    {"nobody", Payer::Nobody}};
inline constexpr NamedValue<Stabiliser> kStabiliserNames[] = {
    {"as-support", Stabiliser::AsSupport, "as the support asks"},
    {"off", Stabiliser::Off},
    {"on", Stabiliser::On}};

template<>
struct Described<Acceptance> {
    static constexpr auto kName = "accepted";
    static constexpr auto kFields =
        std::tuple{required("finding", &Acceptance::finding, form::Text{}, "Finding",
                            "`id`, or `id:patch` or `id:take`"),
                   required("reason", &Acceptance::reason, form::Text{4000, "why this is accepted"},
                            "Reason")};
};

template<>
struct Described<LeftAutomatic> {
    static constexpr auto kName = "left_automatic";
    static constexpr auto kFields = std::tuple{
        required("kind", &LeftAutomatic::kind, form::Named<AutomaticKind>{kAutomaticNames}, "Kind"),
        spared("low", &LeftAutomatic::low, form::Number{1, 1e7}, "From", "ISO, or kelvin"),
        spared("high", &LeftAutomatic::high, form::Number{1, 1e7}, "To", "ISO, or kelvin")};
    static std::optional<FieldFault> check(const LeftAutomatic& left) {
        if (left.low.has_value() != left.high.has_value() || (left.low && *left.high < *left.low))
            return FieldFault{"high", {}, "both bounds or none, high no less than low"};
        return std::nullopt;
    }
};

template<>
struct Described<Tick> {
    static constexpr auto kName = "tick";
    static constexpr auto kFields =
        std::tuple{required("check", &Tick::check, form::Text{200}, "Check", "id of the pre-roll"),
                   written("about", &Tick::about, form::Text{}, "About", "what it was then"),
                   required("when", &Tick::when, form::Text{16}, "When", "2026-05-01 07:40")};
    static std::optional<FieldFault> check(const Tick& tick) {
        if (!isMoment(tick.when))
            return FieldFault{"when", tick.when, "a moment such as 2026-05-01 07:40"};
        return std::nullopt;
    }
};

template<>
struct Described<Setup> {
    static constexpr auto kName = "setup";
    static constexpr auto kFields = std::tuple{
        required("id", &Setup::id, form::Text{}, "Id"),
        required("number", &Setup::number, form::Text{.asks = "a number for the slate, such as 2A"},
                 "&Number", "as on the slate"),
        required("name", &Setup::name, form::Text{}, "N&ame"),
        required("scene", &Setup::scene, form::Text{}, "&Scene", "id"),
        required("camera", &Setup::camera, form::Text{}, "&Camera", "id"),
        required("mode", &Setup::mode, form::Text{}, "&Recording", "id of a mode"),
        required("profile", &Setup::profile, form::Text{}, "&Profile", "id"),
        written("lens", &Setup::lens, form::Text{}, "&Lens", "id; empty: none"),
        spared("focal", &Setup::focal, as::kMillimetres, "F&ocal length",
               "of a zoom; empty: its shortest"),
        spared("focus", &Setup::focus, as::kMetres, "Focus&ed at", "empty: not planned"),
        spared("external_power", &Setup::externalPower, form::Flag{}, "E&xternal power"),
        spared("second_slot", &Setup::secondSlot, form::Named<SecondSlot>{kSecondSlotNames},
               "Second slo&t"),
        required("rate", &Setup::rate, as::kRate, "&Frame rate", "captured"),
        elsewhere(required("shutter", &Setup::shutter, as::kShutter, "Shutter")),
        elsewhere(required("iris", &Setup::iris, as::kTStop, "Iris")),
        elsewhere(written("filters", &Setup::filters, form::List{form::Text{}}, "ND",
                          "ids, in the order they are stacked")),
        elsewhere(required("base", &Setup::base, as::kIso, "Base ISO")),
        elsewhere(required("rating", &Setup::rating, as::kIso, "Rating")),
        written("white", &Setup::white, as::kKelvin, "&White"),
        elsewhere(spared("tint", &Setup::tint, form::Number{-1000, 1000}, "Tint",
                         "the camera's units; above 0 answers green light", 6)),
        elsewhere(spared("white_by", &Setup::whiteBy, form::Named<WhiteBy>{kWhiteByNames},
                         "White by", "", 6)),
        elsewhere(spared("white_nd_stops", &Setup::whiteNd, form::Number{0, 40}, "Measured through",
                         "stops of ND on the lens then", 6)),
        spared("wanted_white", &Setup::wantedWhite, as::kKelvin, "Wanted white",
               "the grade is to have; empty: as shot", 6),
        elsewhere(required("school", &Setup::school, form::Named<School>{kSchoolNames}, "School")),
        elsewhere(written("shutter_school", &Setup::shutterSchool,
                          form::Named<ShutterSchool>{kShutterSchoolNames}, "Shutter school")),
        elsewhere(required("payer", &Setup::payer, form::Named<Payer>{kPayerNames}, "Payer",
                           "who compensates a change")),
        written("bank", &Setup::bank, form::Whole{0, 100}, "&Bank", "from 1; 0: none"),
        spared("support", &Setup::support, form::Named<Support>{kSupportNames}, "S&upport",
               "unsaid: as the scene", 5),
        spared("focus_by", &Setup::focusBy, form::Named<FocusBy>{kFocusNames}, "Focus b&y",
               "unsaid: as the scene", 5),
        spared("sound_by", &Setup::soundBy, form::Named<SoundBy>{kSoundNames}, "Soun&d from",
               "unsaid: as the scene", 5),
        spared("stabiliser", &Setup::stabiliser, form::Named<Stabiliser>{kStabiliserNames},
               "Stabiliser", "as-support: off on a tripod or gimbal, on in the hand", 5),
        spared("wireless", &Setup::wireless, form::Flag{}, "Wireless", "used during the take", 5),
        spared("automatics", &Setup::automatics, form::List{form::Object<LeftAutomatic>{}},
               "Auto&matics", "left to the camera on purpose", 5),
        spared("ticks", &Setup::ticks, form::List{form::Object<Tick>{}}, "Ticks", "of the pre-roll",
               5),
        written("accepted", &Setup::accepted, form::List{form::Object<Acceptance>{}}, "Accepted",
                "findings taken on purpose")};
};

} // namespace bslate
