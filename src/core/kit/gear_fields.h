#pragma once

#include "core/kit/kit.h"
#include "core/quantity/spelled.h"
#include "core/schedule/carriers.h"

/// The fields of lenses, filters, cards, batteries and what they are emptied into.
namespace bslate {

inline constexpr NamedValue<CardForm> kFormNames[] = {
    {"sd", CardForm::Sd, "SD"},
    {"cfexpress-a", CardForm::CfExpressA, "CFexpress A"},
    {"cfexpress-b", CardForm::CfExpressB, "CFexpress B"},
    {"cfexpress-c", CardForm::CfExpressC, "CFexpress C"},
    {"cfast", CardForm::CFast, "CFast"}};

/// A speed class or a bus by its name in any case.
[[nodiscard]] Result<std::string> knownClass(std::string_view text);
[[nodiscard]] Result<std::string> knownBus(std::string_view text);

inline constexpr form::Text kGearName{.longest = 4000, .asks = "a name people know it by"};

/// The buses a card form has, for messages.
[[nodiscard]] std::string busesOf(CardForm form);
/// A bus that is none, or belongs to another form.
[[nodiscard]] std::optional<FieldFault> busFault(std::string_view bus, CardForm form);

inline constexpr form::Number kShareOfOne{0.01, 1, true};
inline constexpr form::Whole kFew{0, 100};

template<>
struct Described<Filter> {
    static constexpr auto kName = "filter";
    static constexpr auto kFields =
        std::tuple{required("id", &Filter::id, form::Text{}, "Id"),
                   required("name", &Filter::name, kGearName, "Name"),
                   required("loss", &Filter::label, as::kLoss, "Loss", "as it is engraved"),
                   spared("ir_cut", &Filter::irCut, form::Flag{}, "Cuts infrared",
                          "strong stacks stay neutral"),
                   spared(
                       "shift_mired", [](auto& filter) -> auto& { return filter.shift.mired; },
                       form::Number{-500, 500}, "Shift, mired", "positive warms"),
                   spared(
                       "shift_duv", [](auto& filter) -> auto& { return filter.shift.duv; },
                       form::Number{-0.05, 0.05}, "Shift, Duv", "positive greens")};
};

template<>
struct Described<Gel> {
    static constexpr auto kName = "gel";
    static constexpr auto kFields = std::tuple{
        required("id", &Gel::id, form::Text{}, "Id"),
        required("name", &Gel::name, kGearName, "Name"),
        required("shift_mired", &Gel::shift, form::Number{-500, 500}, "Shift, mired",
                 "positive warms"),
        spared("shift_duv", &Gel::duv, form::Number{-0.05, 0.05}, "Shift, Duv", "positive greens"),
        written("transmission", &Gel::transmission, as::kShare, "Lets through",
                "of the light, above 0")};
    static std::optional<FieldFault> check(const Gel& gel) {
        if (!(gel.transmission.value() > 0))
            return FieldFault{"transmission", spell(gel.transmission), "no less than some light"};
        return std::nullopt;
    }
};

template<>
struct Described<Lens> {
    static constexpr auto kName = "lens";
    static constexpr auto kFields =
        std::tuple{required("id", &Lens::id, form::Text{}, "Id"),
                   required("name", &Lens::name, kGearName, "Name"),
                   required("widest", &Lens::widest, as::kTStop, "Widest T-stop"),
                   required("narrowest", &Lens::narrowest, as::kTStop, "Narrowest T-stop"),
                   spared("shortest", &Lens::shortest, as::kMillimetres, "Shortest focal length"),
                   spared("longest", &Lens::longest, as::kMillimetres, "Longest focal length",
                          "of a zoom; as shortest when missing"),
                   spared("widest_f", &Lens::wideF, as::kFNumber, "f-number at the widest",
                          "for depth of field"),
                   spared("closest", &Lens::closest, as::kMetres, "Closest focus")};
    static void complete(Lens& lens) {
        if (lens.longest.value() <= 0)
            lens.longest = lens.shortest;
    }
    /// The other end of a range goes no further than the one that was typed.
    static void follow(Lens& lens, std::string_view key);
    static std::optional<FieldFault> check(const Lens& lens) {
        if (lens.narrowest < lens.widest)
            return FieldFault{"narrowest", {}, "no wider than widest"};
        if (lens.longest < lens.shortest)
            return FieldFault{"longest", {}, "no shorter than shortest"};
        return std::nullopt;
    }
};

template<>
struct Described<Slot> {
    static constexpr auto kName = "slot";
    static constexpr auto kFields =
        std::tuple{required("id", &Slot::id, form::Text{}, "Id"),
                   required("name", &Slot::name, form::Text{}, "Name"),
                   required("form", &Slot::form, form::Named<CardForm>{kFormNames}, "Form"),
                   required("bus", &Slot::bus, form::Text{}, "Bus"),
                   spared("most", &Slot::most, as::kBitRate, "Most",
                          "the body writes no more here and lowers the bit rate unasked")};
    static std::optional<FieldFault> check(const Slot& slot) {
        return busFault(slot.bus, slot.form);
    }
};

template<>
struct Described<MemoryCard> {
    static constexpr auto kName = "card";
    static constexpr auto kFields = std::tuple{
        required("id", &MemoryCard::id, form::Text{}, "Id"),
        required("name", &MemoryCard::name, kGearName, "Name"),
        elsewhere(required("form", &MemoryCard::form, form::Named<CardForm>{kFormNames}, "Form")),
        required("capacity", &MemoryCard::capacity, as::kSize, "Capacity"),
        required("speed_class", &MemoryCard::speedClass, form::Text{.known = knownClass},
                 "Guaranteed class", "a name of the associations, V60"),
        required("bus", &MemoryCard::bus, form::Text{.known = knownBus}, "Bus", "UHS-II ..."),
        written("usable", &MemoryCard::usable, kShareOfOne, "Usable share",
                "share left after formatting and reserve"),
        written("count", &MemoryCard::count, form::Whole{0, kMostUnits}, "How many"),
        spared("read", &MemoryCard::read, as::kByteRate, "Reads at", "sustained, when known")};
    /// The form is that of the bus.
    static void follow(MemoryCard& card, std::string_view key);
    static std::optional<FieldFault> check(const MemoryCard& card) {
        const auto known = findSpeedClass(card.speedClass);
        if (!known || known->name != card.speedClass)
            return FieldFault{"speed_class", card.speedClass,
                              "a class such as C10, U3, V60, V90 or VPG400", ErrorCode::WrongType};
        return busFault(card.bus, card.form);
    }
};

template<>
struct Described<Battery> {
    static constexpr auto kName = "battery";
    static constexpr auto kFields = std::tuple{
        required("id", &Battery::id, form::Text{}, "Id"),
        required("name", &Battery::name, kGearName, "Name"),
        required("energy", &Battery::energy, as::kWattHours, "Energy", "as printed on it"),
        spared("usable", &Battery::usable, kShareOfOne, "Usable until the camera stops", "a share"),
        spared("health", &Battery::health, kShareOfOne, "Health left by age",
               "share of its energy that age has left"),
        written("count", &Battery::count, form::Whole{0, kMostUnits}, "How many")};
};

template<>
struct Described<CardReader> {
    static constexpr auto kName = "reader";
    static constexpr auto kFields = std::tuple{
        required("id", &CardReader::id, form::Text{}, "Id"),
        required("name", &CardReader::name, kGearName, "Name"),
        written("forms", &CardReader::forms, form::List{form::Named<CardForm>{kFormNames}}, "Takes",
                "one card at a time"),
        required("bus", &CardReader::bus, as::kByteRate, "To the computer"),
        written("count", &CardReader::count, kFew, "How many")};
};

template<>
struct Described<Drive> {
    static constexpr auto kName = "drive";
    static constexpr auto kFields =
        std::tuple{required("id", &Drive::id, form::Text{}, "Id"),
                   required("name", &Drive::name, kGearName, "Name"),
                   required("capacity", &Drive::capacity, as::kSize, "Capacity"),
                   required("write", &Drive::write, as::kByteRate, "Writes at", "sustained"),
                   required("read", &Drive::read, as::kByteRate, "Reads at", "sustained"),
                   written("count", &Drive::count, kFew, "How many")};
};

template<>
struct Described<Charger> {
    static constexpr auto kName = "charger";
    static constexpr auto kFields =
        std::tuple{required("id", &Charger::id, form::Text{}, "Id"),
                   required("name", &Charger::name, kGearName, "Name"),
                   required("bays", &Charger::bays, form::Whole{1, 100}, "Bays"),
                   required("power", &Charger::power, as::kWatts, "Power of a bay", "above 0"),
                   elsewhere(written("batteries", &Charger::batteries, form::List{form::Text{}},
                                     "Batteries", "ids it takes; empty: any")),
                   written("count", &Charger::count, kFew, "How many")};
    static std::optional<FieldFault> check(const Charger& charger) {
        if (!(charger.power.value() > 0))
            return FieldFault{"power", spell(charger.power), "more than 0 W a bay"};
        return std::nullopt;
    }
};

} // namespace bslate
