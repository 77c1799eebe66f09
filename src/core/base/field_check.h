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

inline Found fault(const form::Text& text, const std::string& value) {
    if (value.size() > text.longest)
        return PlacedFault{
            {}, shortened(value), "a text of at most " + std::to_string(text.longest) + " bytes"};
    if (text.mustSay && value.empty())
        return PlacedFault{{}, {}, text.mustSay, ErrorCode::EmptyText};
    return std::nullopt;
}
template<class Range>
Found outside(const Range& range, double value) {
    if (value >= range.low && value <= range.high)
        return std::nullopt;
    const auto plain = [](double number) {
        std::string text = std::to_string(number);
        text.erase(text.find_last_not_of('0') + 1);
        return text.back() == '.' ? text.substr(0, text.size() - 1) : text;
    };
    return PlacedFault{
        {}, plain(value), "a number from " + plain(range.low) + " to " + plain(range.high)};
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
    const auto said = as.spell(value);
    const auto again = as.parse(said);
    if (again)
        return std::nullopt;
    return PlacedFault{{}, said, again.error().expected, again.error().code};
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
        return PlacedFault{{},
                           std::to_string(values.size()),
                           "at most " + std::to_string(list.most) + " " + list.what};
    for (std::size_t i = 0; i < values.size(); ++i)
        if (auto found = fault(list.item, values[i])) {
            found->place =
                std::to_string(i + 1) + (found->place.empty() ? "" : ", ") + found->place;
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
    if (found) {
        std::string name(field.name);
        std::erase(name, '&');
        found->place = name + (found->place.empty() ? "" : " ") + found->place;
    }
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
                std::string name(fieldName<T>(fault->key) ? fieldName<T>(fault->key) : fault->key);
                std::erase(name, '&');
                found = PlacedFault{std::move(name), std::move(fault->got),
                                    std::move(fault->expected), fault->code};
            }
    return found;
}

} // namespace bslate
