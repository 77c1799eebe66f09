#pragma once

#include "core/kit/body_fields.h"
#include "core/kit/gear_fields.h"
#include "core/kit/mode_fields.h"
#include "core/kit/profile_fields.h"
#include "core/kit/white_fields.h"

/// The fields of a camera: sensor, dials, slots, rules; and of a kit.
namespace bslate {

inline constexpr NamedValue<ZebraTap> kTapNames[] = {
    {"recorded", ZebraTap::Recorded, "on the recorded signal"},
    {"viewing-lut", ZebraTap::ViewingLut, "on the viewing LUT"}};
inline constexpr NamedValue<ZebraKind> kZebraKinds[] = {{"limit", ZebraKind::Limit},
                                                        {"band", ZebraKind::Band}};

template<>
struct Described<BaseIso> {
    static constexpr auto kName = "base";
    static constexpr auto kFields = std::tuple{
        required("iso", &BaseIso::iso, as::kIso, "ISO"),
        required(
            "full_well_e", [](auto& base) -> auto& { return base.sensor.fullWell; },
            form::Number{1, 1e9}, "Full well", "electrons"),
        required(
            "read_noise_e", [](auto& base) -> auto& { return base.sensor.readNoise; },
            form::Number{0, 1e5}, "Read noise", "electrons"),
        written(
            "prnu", [](auto& base) -> auto& { return base.sensor.prnu; }, form::Number{0, 0.1},
            "Non-uniformity", "of the pixels, a share of the signal"),
        required(
            "clip_stops", [](auto& base) -> auto& { return base.sensor.clip; },
            form::Number{-5, 20}, "Clip", "stops above mid-grey")};
};

template<>
struct Described<IsoRule> {
    static constexpr auto kName = "iso_rule";
    static constexpr auto kFields = std::tuple{
        written("profile", &IsoRule::profile, form::Text{}, "Profile", "id; empty: any"),
        written("codec", &IsoRule::codec, form::Text{}, "Codec", "id; empty: any"),
        required("iso", &IsoRule::behaviour, form::Named<IsoBehaviour>{kIsoNames}, "ISO dial"),
        spared("minimum_iso", &IsoRule::minimum, as::kIso, "Lowest"),
        spared("maximum_iso", &IsoRule::maximum, as::kIso, "Highest")};
    static std::optional<FieldFault> check(const IsoRule& rule) {
        if (rule.minimum && rule.maximum && *rule.maximum < *rule.minimum)
            return FieldFault{"maximum_iso", {}, "no less than minimum_iso"};
        return std::nullopt;
    }
};

template<>
struct Described<RateSet> {
    static constexpr auto kName = "rate_set";
    static constexpr auto kFields =
        std::tuple{required("id", &RateSet::id, form::Text{}, "Id", "24.00, 50 Hz"),
                   written("rates", &RateSet::rates, form::List{as::kRate}, "Rates")};
};

struct ConditionsTag {};
/// The one of `requires`, `excludes` and `limits` that a rule has.
struct ConstraintThenTag {};

template<>
struct Described<Constraint> {
    static constexpr auto kName = "constraint";
    static constexpr auto kFields =
        std::tuple{required("id", &Constraint::id, form::Text{}, "Id"),
                   spared("when", &Constraint::when, form::Custom<ConditionsTag>{}, "When",
                          "all must hold; missing: always"),
                   required(
                       "requires", [](auto& constraint) -> auto& { return constraint; },
                       form::Custom<ConstraintThenTag>{}, "Then",
                       "or `excludes`, or `limits`: exactly one of them"),
                   required("reason", &Constraint::reason,
                            form::Text{4000, "why, in words a person understands"}, "Reason")};
};

/// Times of a dial, alone or as a named series.
struct DialTimesTag {};

template<>
struct Described<ShutterDial> {
    static constexpr auto kName = "shutter";
    static constexpr auto kFields =
        std::tuple{written("angle_step_deg", &ShutterDial::angleStep, form::Number{0, 90},
                           "Angle step", "0: no angles"),
                   written("times", &ShutterDial::times, form::Custom<DialTimesTag>{}, "Times",
                           "`third-stops`, `half-stops`, or each")};
};

template<>
struct Described<ZebraDial> {
    static constexpr auto kName = "zebra";
    static constexpr auto kFields = std::tuple{
        required("step_percent", &ZebraDial::step, form::Number{0.1, 50}, "Step"),
        written("lowest_percent", &ZebraDial::lowest, form::Number{0, 110}, "Lowest"),
        written("highest_percent", &ZebraDial::highest, form::Number{0, 110}, "Highest"),
        required("tap", &ZebraDial::tap, form::Named<ZebraTap>{kTapNames}, "Measured",
                 "on the recorded signal or on the viewing LUT"),
        written("kinds", &ZebraDial::kinds, form::List{form::Named<ZebraKind>{kZebraKinds}},
                "Kinds", "from a level up, or a level plus and minus a range")};
    static std::optional<FieldFault> check(const ZebraDial& zebra) {
        if (zebra.highest < zebra.lowest)
            return FieldFault{"highest_percent", {}, "no less than lowest_percent"};
        return std::nullopt;
    }
};

template<>
struct Described<BankCount> {
    static constexpr auto kName = "banks";
    static constexpr auto kFields = std::tuple{
        written("internal", &BankCount::internal, kFew, "Internal"),
        written("on_card", &BankCount::onCard, kFew, "On the card", "which a format loses")};
};

/// A member of the camera's body, or of the facts about it.
template<auto member>
inline constexpr auto inBody = [](auto& camera) -> auto& {
    return camera.body.*member;
};
template<auto member>
inline constexpr auto inFacts = [](auto& camera) -> auto& {
    return camera.body.facts.*member;
};

template<>
struct Described<Camera> {
    static constexpr auto kName = "camera";
    static constexpr auto kFields = std::tuple{
        required("id", &Camera::id, form::Text{}, "Id"),
        required("name", &Camera::name, kGearName, "&Name"),
        spared("guessed", &Camera::guessed, form::List{form::Named<CameraFact>{kFactNames}, 20},
               "Guessed", "facts nobody knew: the values are usual ones of such a body", 6),
        required("bases", &Camera::bases, form::List{form::Object<BaseIso>{}}, "&Base ISOs",
                 "at least one, ascending"),
        written("profiles", &Camera::profiles, form::List{form::Text{}}, "&Profiles", "ids"),
        written("iso_rules", &Camera::isoRules, form::List{form::Object<IsoRule>{}}, "ISO rules",
                "where the dial does something else than the profile says; the first counts"),
        required("areas", &Camera::areas, form::List{form::Object<SensorArea>{}}, "Sensor areas",
                 "the first is the whole sensor", 2),
        written("codecs", &Camera::codecs, form::List{form::Object<Codec>{}}, "Codecs", "", 2),
        required("modes", &Camera::modes, form::List{form::Object<RecordingMode>{}},
                 "Recording modes", "at least one", 2),
        written("rate_sets", &Camera::rateSets, form::List{form::Object<RateSet>{}}, "Regions",
                "rates of each mains or rate setting"),
        written("region_switch", &Camera::regionSwitch, form::Text{}, "Region switch",
                "what changing it costs"),
        written("constraints", &Camera::constraints,
                form::List{form::Object<Constraint>{}, kMostConstraints}, "Rules"),
        required("shutter", &Camera::shutter, form::Object<ShutterDial>{}, "Sh&utter"),
        required("zebra", &Camera::zebra, form::Object<ZebraDial>{}, "&Zebra"),
        written(
            "white_step_k", [](auto& camera) -> auto& { return camera.white.step; },
            form::Number{1, 1000}, "&White step, K"),
        spared(
            "white_lowest", [](auto& camera) -> auto& { return camera.white.lowest; }, as::kKelvin,
            "Lowest white", "", 6),
        spared(
            "white_highest", [](auto& camera) -> auto& { return camera.white.highest; },
            as::kKelvin, "Highest white", "", 6),
        spared(
            "tint", [](auto& camera) -> auto& { return camera.white.tint; },
            form::Object<TintDial>{}, "Tint", "missing: the body has none", 6),
        spared("primaries", &Camera::primaries, form::Object<Gamut>{}, "Sensor primaries",
               "missing: a stated generic", 6),
        spared("white_gains", &Camera::whiteGains, form::List{form::Object<FoundGains>{}, 64},
               "Gains found", "at some whites", 6),
        written("banks", &Camera::banks, form::Object<BankCount>{}, "Ban&ks",
                "how many; counted anew where each is described", 2),
        spared("each_bank", inBody<&Body::banks>, form::List{form::Object<Bank>{}, kMostBanks},
               "Each bank", "", 5),
        spared("slips", inBody<&Body::slips>, form::List{form::Object<Slip>{}}, "What slips", "",
               5),
        spared("automatics", inBody<&Body::automatics>, form::List{form::Object<Automatic>{}},
               "Automatics", "what the body does by itself", 5),
        spared("controls", inBody<&Body::controls>,
               form::List{form::Object<Control>{}, kMostControls}, "Controls", "", 5),
        spared("quick_menu", inBody<&Body::quickMenu>, form::Whole{0, 40}, "Quick menu",
               "places of it", 5),
        spared("own_menu", inBody<&Body::ownMenu>, form::Whole{0, 20}, "Own menu",
               "pages of six lines", 5),
        spared("firmware", inFacts<&BodyFacts::firmware>, form::Text{100}, "Firmware",
               "as it was found", 5),
        spared("region_found", inFacts<&BodyFacts::region>, form::Text{100}, "Region",
               "as it was found", 5),
        spared("clock_found", inFacts<&BodyFacts::clock>, form::Text{100}, "Clock",
               "when it was set, or how far it was off", 5),
        written("slots", &Camera::cardSlots, form::List{form::Object<Slot>{}}, "Card s&lots"),
        written("batteries", &Camera::batteries, form::List{form::Text{}}, "Batteries",
                "ids it runs on; empty: any"),
        spared("draw", &Camera::draw, as::kWatts, "Power &draw", "while recording"),
        spared("standby", &Camera::standby, as::kWatts, "Standby", "while on and not recording"),
        spared("buffer", &Camera::buffer, as::kSize, "Buffer", "between encoder and card"),
        spared("proxy_rate", &Camera::proxyRate, as::kBitRate, "Proxy bit rate"),
        written("fan", &Camera::fan, form::Flag{}, "Fan"),
        spared("fixed_lens", &Camera::fixedLens, form::Text{}, "Fixed lens", "id"),
        written("built_in_nd", &Camera::builtInNd, form::List{form::Object<Filter>{}},
                "Built-in ND")};
    static void complete(Camera& camera) {
        for (auto& filter : camera.builtInNd)
            filter.builtIn = true;
        countBanks(camera);
    }
    static std::optional<FieldFault> check(const Camera& camera) {
        if (camera.bases.empty())
            return FieldFault{"bases", {}, "at least one base ISO"};
        if (camera.areas.empty())
            return FieldFault{"areas", {}, "at least one sensor area"};
        if (camera.modes.empty())
            return FieldFault{"modes", {}, "at least one recording mode"};
        if (camera.white.highest < camera.white.lowest)
            return FieldFault{"white_highest", {}, "no less than white_lowest"};
        if (camera.primaries && !isValid(*camera.primaries))
            return FieldFault{"primaries", {}, "no less than a triangle with its white"};
        return firstFault([&] { return doubleLabel("each_bank", camera.body.banks); },
                          [&] { return doubleLabel("controls", camera.body.controls); });
    }
};

template<>
struct Described<Kit> {
    static constexpr auto kName = "kit";
    static constexpr auto kFields = std::tuple{
        written("name", &Kit::name, form::Text{}, "&Name"),
        written("cameras", &Kit::cameras, form::List{form::Object<Camera>{}}, "Cameras"),
        written("profiles", &Kit::profiles, form::List{form::Object<Profile>{}}, "Profiles"),
        written("lenses", &Kit::lenses, form::List{form::Object<Lens>{}}, "Lenses"),
        written("filters", &Kit::filters, form::List{form::Object<Filter>{}}, "Filters"),
        spared("gels", &Kit::gels, form::List{form::Object<Gel>{}}, "Gels", "for lamps", 6),
        renamed(written("filter_stages", &Kit::filterStages, form::Whole{0, 8}, "Filter stages",
                        "of the holder"),
                "filter_slots"),
        written("cards", &Kit::cards, form::List{form::Object<MemoryCard>{}, kMostKinds}, "Cards"),
        written("batteries", &Kit::batteries, form::List{form::Object<Battery>{}, kMostKinds},
                "Batteries"),
        written("readers", &Kit::readers, form::List{form::Object<CardReader>{}}, "Readers"),
        written("drives", &Kit::drives, form::List{form::Object<Drive>{}}, "Drives",
                "copies go to them in this order"),
        written("chargers", &Kit::chargers, form::List{form::Object<Charger>{}}, "Chargers"),
        written("recipes", &Kit::recipes, form::List{form::Object<Recipe>{}}, "Recipes")};
};

} // namespace bslate
