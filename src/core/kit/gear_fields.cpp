#include "core/kit/gear_fields.h"

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

} // namespace bslate
