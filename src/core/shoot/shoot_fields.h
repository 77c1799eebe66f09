#pragma once

#include "core/shoot/record_fields.h"
#include "core/shoot/setup_fields.h"
#include "core/shoot/shoot.h"

#include <algorithm>

/// The fields of a shoot: brief, days and their takes.
namespace bslate {

/// The first id that stands twice; everything else refers to them.
template<class Items>
[[nodiscard]] std::optional<FieldFault> doubleId(const char* key, const Items& items) {
    std::vector<std::string_view> ids;
    ids.reserve(items.size());
    for (const auto& item : items)
        ids.push_back(item.id);
    std::sort(ids.begin(), ids.end());
    const auto twice = std::adjacent_find(ids.begin(), ids.end());
    if (twice == ids.end())
        return std::nullopt;
    return FieldFault{key, std::string(*twice), "every id only once"};
}

inline constexpr NamedValue<DeliveryColour> kColourNames[] = {
    {"sdr", DeliveryColour::Sdr}, {"hlg", DeliveryColour::Hlg}, {"pq", DeliveryColour::Pq}};
inline constexpr NamedValue<GradeWeight> kGradeNames[] = {
    {"none", GradeWeight::None}, {"light", GradeWeight::Light}, {"full", GradeWeight::Full}};
inline constexpr NamedValue<Turnaround> kTurnaroundNames[] = {
    {"same-day", Turnaround::SameDay}, {"days", Turnaround::Days}, {"weeks", Turnaround::Weeks}};

template<>
struct Described<Brief> {
    static constexpr auto kName = "brief";
    static constexpr auto kFields = std::tuple{
        required("size", &Brief::size, as::kFrame, "Size"),
        required("rate", &Brief::rate, as::kRate, "Delivery rate"),
        required("colour", &Brief::colour, form::Named<DeliveryColour>{kColourNames}, "Colour"),
        required("mains", &Brief::mains, as::kHertz, "Mains"),
        required("grade", &Brief::grade, form::Named<GradeWeight>{kGradeNames}, "Grade"),
        written("graded_by", &Brief::gradedBy, form::Text{}, "Graded by"),
        required("turnaround", &Brief::turnaround, form::Named<Turnaround>{kTurnaroundNames},
                 "Turnaround"),
        written("schools", &Brief::schools, form::List{form::Named<School>{kSchoolNames}},
                "Schools", "preferred, the first choice first"),
        written("ambient", &Brief::ambient, as::kCelsius, "Air", "where a scene says nothing"),
        written("copies", &Brief::copies, form::Whole{1, 4}, "Copies",
                "verified, before a card is used again"),
        spared("finished", &Brief::finished, as::kDuration, "Finished",
               "length of what is delivered")};
};

template<>
struct Described<CardPin> {
    static constexpr auto kName = "card_pin";
    static constexpr auto kFields = std::tuple{
        required("setup", &CardPin::setup, form::Text{}, "Setup", "id"),
        required("slot", &CardPin::slot, form::Text{}, "Slot", "id"),
        required("card", &CardPin::card, form::Text{}, "Card", "`sd-v60:2`: the second of them")};
};

template<>
struct Described<Take> {
    static constexpr auto kName = "take";
    static constexpr auto kFields = std::tuple{
        required("id", &Take::id, form::Text{}, "Id"),
        written("name", &Take::name, form::Text{}, "Name"),
        required("setups", &Take::setups, form::List{form::Text{}}, "Setups",
                 "ids, one a camera, that roll together"),
        required("length", &Take::length, as::kDuration, "Length"),
        spared("at", &Take::at, as::kTimeOfDay, "At", "not before"),
        written("gap_s", &Take::gap, form::Number{0, 86400}, "Gap", "after the take ahead"),
        written("whole", &Take::whole, form::Flag{}, "Whole", "must not be interrupted"),
        spared("began", &Take::began, as::kTimeOfDay, "Began", "as it really was"),
        spared("ran", &Take::ran, as::kDuration, "Ran", "as it really was"),
        spared("cards", &Take::cards, form::List{form::Object<CardPin>{}}, "Cards",
               "chosen by hand, or used by then")};
    static std::optional<FieldFault> check(const Take& take) {
        if (take.setups.empty() || take.setups.size() > kMostCameras)
            return FieldFault{"setups", std::to_string(take.setups.size()),
                              "1 to " + std::to_string(kMostCameras) + " setups that roll"};
        for (auto at = take.setups.begin(); at != take.setups.end(); ++at)
            if (std::find(take.setups.begin(), at, *at) != at)
                return FieldFault{"setups", *at, "every setup only once"};
        return std::nullopt;
    }
};

template<>
struct Described<CardFailure> {
    static constexpr auto kName = "failure";
    static constexpr auto kFields =
        std::tuple{required("card", &CardFailure::card, form::Text{}, "Card"),
                   required("at", &CardFailure::at, as::kTimeOfDay, "At")};
};

template<>
struct Described<ShootDay> {
    static constexpr auto kName = "day";
    static constexpr auto kFields = std::tuple{
        required("number", &ShootDay::number, form::Whole{1, 10000}, "Day"),
        required("start", &ShootDay::start, as::kTimeOfDay, "Begins"),
        spared("safe_by", &ShootDay::safeBy, as::kTimeOfDay, "Safe by",
               "everything copied and checked; before the start: the next day"),
        written("takes", &ShootDay::takes,
                form::List{form::Object<Take>{}, kMostTakes, "takes a day"}, "Takes"),
        spared("failures", &ShootDay::failures,
               form::List{form::Object<CardFailure>{}, kMostFailures, "cards that failed in a day"},
               "Failed cards"),
        spared("accepted", &ShootDay::accepted, form::List{form::Object<Acceptance>{}},
               "Accepted")};
    static std::optional<FieldFault> check(const ShootDay& day) {
        std::size_t rolls = 0;
        for (const auto& take : day.takes)
            rolls += take.setups.size();
        if (rolls > kMostRolls)
            return FieldFault{"takes", std::to_string(rolls),
                              "at most " + std::to_string(kMostRolls) +
                                  " setups in all takes of a day"};
        return doubleId("takes", day.takes);
    }
};

/// An embedded kit, or the name of a kit file.
struct KitOfShootTag {};

template<>
struct Described<Shoot> {
    static constexpr auto kName = "shoot";
    static constexpr auto kFields = std::tuple{
        required("title", &Shoot::title, form::Text{.asks = "a title"}, "&Title"),
        written("note", &Shoot::note, form::Text{}, "&Note"),
        written("days", &Shoot::days, form::Whole{1, 10000}, "&Days"),
        written("snr_floor", &Shoot::snrFloor, form::Number{0.1, 100},
                "Noise floor at &signal-to-noise", "2 practical, 1 engineering"),
        written(
            "meter_k", [](auto& shoot) -> auto& { return shoot.meter.k; }, form::Number{5, 30},
            "Meter, reflected &K", "ISO 2720: 12.5 or 14"),
        written(
            "meter_c", [](auto& shoot) -> auto& { return shoot.meter.c; }, form::Number{100, 600},
            "Meter, incident &C", "250 flat, 330 to 340 dome"),
        written("brief", &Shoot::brief, form::Object<Brief>{}, "Brief"),
        required(
            "kit", [](auto& shoot) -> auto& { return shoot; }, form::Custom<KitOfShootTag>{}, "Kit",
            "an object, or the name of a kit file"),
        written("scenes", &Shoot::scenes, form::List{form::Object<Scene>{}}, "Scenes"),
        written("setups", &Shoot::setups, form::List{form::Object<Setup>{}}, "Setups"),
        spared("plan", &Shoot::plan, form::List{form::Object<ShootDay>{}}, "Plan",
               "days that were planned"),
        spared("records", &Shoot::records, form::List{form::Object<CameraRecord>{}}, "Records",
               "what is really set on the cameras", 5)};
    static void complete(Shoot& shoot) {
        std::stable_sort(shoot.plan.begin(), shoot.plan.end(),
                         [](const ShootDay& a, const ShootDay& b) { return a.number < b.number; });
    }
    static std::optional<FieldFault> check(const Shoot& shoot) {
        for (std::size_t i = 1; i < shoot.plan.size(); ++i)
            if (shoot.plan[i].number == shoot.plan[i - 1].number)
                return FieldFault{"plan", std::to_string(shoot.plan[i].number),
                                  "every day only once"};
        return firstFault([&] { return doubleId("scenes", shoot.scenes); },
                          [&] { return doubleId("setups", shoot.setups); },
                          [&] { return doubleId("records", shoot.records); });
    }
};

} // namespace bslate
