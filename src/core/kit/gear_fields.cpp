#include "core/kit/gear_fields.h"

#include "core/quantity/scan.h"

#include <algorithm>

namespace bslate {

std::string busesOf(CardForm form) {
    std::string names;
    for (const auto& bus : buses())
        if (bus.form == form)
            names += (names.empty() ? "one of " : ", ") + std::string(bus.name);
    return names + " for " + std::string(nameOf(form));
}

std::optional<FieldFault> busFault(std::string_view bus, CardForm form) {
    const auto known = findBus(bus);
    if (known && known->form == form)
        return std::nullopt;
    return FieldFault{"bus", std::string(bus), busesOf(form), ErrorCode::WrongType};
}

Result<std::string> knownClass(std::string_view text) {
    if (const auto known = findSpeedClass(text))
        return std::string(known->name);
    return Error{ErrorCode::UnknownId,
                 {},
                 {},
                 std::string(text),
                 "a class such as C10, U3, V60, V90 or VPG400"};
}

Result<std::string> knownBus(std::string_view text) {
    std::string names;
    for (const auto& known : buses()) {
        if (lowered(known.name) == lowered(text))
            return std::string(known.name);
        names += (names.empty() ? "one of " : ", ") + std::string(known.name);
    }
    return Error{ErrorCode::UnknownId, {}, {}, std::string(text), names};
}

void Described<Lens>::follow(Lens& lens, std::string_view key) {
    if (key == "shortest") {
        lens.longest = std::max(lens.longest, lens.shortest);
    } else if (key == "longest") {
        lens.shortest =
            lens.shortest.value() > 0 ? std::min(lens.shortest, lens.longest) : lens.longest;
    } else if (key == "widest") {
        lens.narrowest = std::max(lens.narrowest, lens.widest);
    } else if (key == "narrowest") {
        lens.widest = std::min(lens.widest, lens.narrowest);
    }
}

void Described<MemoryCard>::follow(MemoryCard& card, std::string_view key) {
    if (const auto bus = findBus(card.bus); key == "bus" && bus)
        card.form = bus->form;
}

} // namespace bslate
