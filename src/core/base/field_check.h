#pragma once

#include "core/base/fields.h"

/// Looks through a value by the tables of its fields: what a file could not hold, or what would not
/// be read again. Reading refuses the same things; this refuses them before they are in a document.
namespace bslate {

struct PlacedFault {
    std::string place; ///< names of fields with positions in lists, "Patches 3, Name"
    std::string got;
    std::string expected;
    ErrorCode code = ErrorCode::OutOfRange;
};

/// The first fault; none when there is nothing wrong.
template<class T>
[[nodiscard]] std::optional<PlacedFault> faultIn(const T& value);

namespace fields {

using Found = std::optional<PlacedFault>;

// What is said of each sort of fault, apart from the tables: it is the same for every field.
[[nodiscard]] PlacedFault unfit(const form::Text& text, const std::string& value);
[[nodiscard]] PlacedFault outside(double low, double high, double value);
[[nodiscard]] PlacedFault unreadable(std::string said, const Error& again);
[[nodiscard]] PlacedFault tooMany(std::size_t items, std::size_t most, const char* what);
[[nodiscard]] PlacedFault ofStruct(const char* name, FieldFault&& fault);
void placeIn(PlacedFault& fault, const char* field);
void placeAt(PlacedFault& fault, std::size_t index);

inline Found fault(const form::Text& text, const std::string& value) {
    const bool fits = value.size() <= text.longest && !(text.mustSay && value.empty());
    return fits ? Found() : Found(unfit(text, value));
}
template<class Range>
Found outside(const Range& range, double value) {
    const bool inside = value >= range.low && value <= range.high;
    return inside ? Found() : Found(outside(range.low, range.high, value));
}
inline Found fault(form::Whole range, int value) {
    return outside(range, value);
}
inline Found fault(form::Number range, double value) {
    return outside(range, value);
}
template<class Q>
Found fault(form::Number range, const Q& value) {
    return outside(range, value.value());
}
template<class Q>
Found fault(form::Milliseconds range, const Q& value) {
    return outside(range, value.value() * 1000);
}
template<class Q>
Found fault(const form::Spelled<Q>& as, const Q& value) {
    auto said = as.spell(value);
    const auto again = as.parse(said);
    return again ? Found() : Found(unreadable(std::move(said), again.error()));
}
/// Names, flags, and what has code of its own.
template<class Form, class Value>
Found fault(const Form&, const Value&) {
    return std::nullopt;
}

template<class T>
Found fault(form::Object<T>, const T& value) {
    return faultIn(value);
}
template<class Item, class T>
Found fault(const form::List<Item>& list, const std::vector<T>& values) {
    if (values.size() > list.most)
        return tooMany(values.size(), list.most, list.what);
    for (std::size_t i = 0; i < values.size(); ++i)
        if (auto found = fault(list.item, values[i])) {
            placeAt(*found, i);
            return found;
        }
    return std::nullopt;
}
template<class T, class Access, class Form>
Found faultOfField(const T& owner, const Field<Access, Form>& field) {
    const auto& value = valueOf(field, owner);
    Found found;
    if constexpr (requires { value.has_value(); }) {
        if (value)
            found = fault(field.form, *value);
    } else {
        static const T untouched{};
        if (field.presence != Presence::Spared || !(value == valueOf(field, untouched)))
            found = fault(field.form, value);
    }
    if (found)
        placeIn(*found, field.name);
    return found;
}
template<class T, class Access, class... Fields>
Found faultOfField(const T& owner, const Field<Access, form::Group<Fields...>>& field) {
    Found found;
    std::apply([&](const auto&... each) { (void)((found = faultOfField(owner, each)) || ...); },
               field.form.fields);
    return found;
}

} // namespace fields

template<class T>
std::optional<PlacedFault> faultIn(const T& value) {
    fields::Found found;
    std::apply(
        [&](const auto&... field) { (void)((found = fields::faultOfField(value, field)) || ...); },
        Described<T>::kFields);
    if constexpr (requires { Described<T>::check(value); })
        if (!found)
            if (auto fault = Described<T>::check(value)) {
                const char* name = fieldName<T>(fault->key);
                found = fields::ofStruct(name, std::move(*fault));
            }
    return found;
}

} // namespace bslate
