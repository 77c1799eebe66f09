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

/// Looks until it has found something. What it does of each form is compiled once; a field of a
/// table costs a call or two.
class Search {
public:
    [[nodiscard]] bool found() const { return m_fault.has_value(); }
    [[nodiscard]] std::optional<PlacedFault> taken() && { return std::move(m_fault); }

    void text(const form::Text& text, const std::string& value);
    void number(double low, double high, double value);
    void refused(std::string said, const Error& again);
    void items(std::size_t items, std::size_t most, const char* what);
    void ofStruct(const char* name, FieldFault&& fault);

    /// Puts a name, or a position in a list, before the place of what was found.
    void in(const char* field);
    void at(std::size_t index);

private:
    std::optional<PlacedFault> m_fault;
};

template<class T>
void look(Search& search, const T& owner);

inline void check(Search& search, const form::Text& text, const std::string& value) {
    search.text(text, value);
}
inline void check(Search& search, form::Whole range, int value) {
    search.number(range.low, range.high, value);
}
inline void check(Search& search, form::Number range, double value) {
    search.number(range.low, range.high, value);
}
template<class Q>
void check(Search& search, form::Number range, const Q& value) {
    search.number(range.low, range.high, value.value());
}
template<class Q>
void check(Search& search, form::Milliseconds range, const Q& value) {
    search.number(range.low, range.high, value.value() * 1000);
}
template<class Q>
void check(Search& search, const form::Spelled<Q>& as, const Q& value) {
    auto said = as.spell(value);
    if (const auto again = as.parse(said); !again)
        search.refused(std::move(said), again.error());
}
/// Names, flags, and what has code of its own.
template<class Form, class Value>
void check(Search&, const Form&, const Value&) {}

template<class T>
void check(Search& search, form::Object<T>, const T& value) {
    look(search, value);
}
template<class Item, class T>
void check(Search& search, const form::List<Item>& list, const std::vector<T>& values) {
    search.items(values.size(), list.most, list.what);
    for (std::size_t i = 0; i < values.size() && !search.found(); ++i) {
        check(search, list.item, values[i]);
        search.at(i);
    }
}
template<class T, class Access, class Form>
void lookAt(Search& search, const T& owner, const Field<Access, Form>& field) {
    const auto& value = valueOf(field, owner);
    if constexpr (requires { value.has_value(); }) {
        if (value)
            check(search, field.form, *value);
    } else {
        static const T untouched{};
        if (field.presence != Presence::Spared || !(value == valueOf(field, untouched)))
            check(search, field.form, value);
    }
    search.in(field.name);
}
template<class T, class Access, class... Fields>
void lookAt(Search& search, const T& owner, const Field<Access, form::Group<Fields...>>& field) {
    std::apply(
        [&](const auto&... each) { (void)((lookAt(search, owner, each), search.found()) || ...); },
        field.form.fields);
}

template<class T>
void look(Search& search, const T& owner) {
    std::apply(
        [&](const auto&... field) {
            (void)((lookAt(search, owner, field), search.found()) || ...);
        },
        Described<T>::kFields);
    if constexpr (requires { Described<T>::check(owner); })
        if (!search.found())
            if (auto fault = Described<T>::check(owner)) {
                const char* name = fieldName<T>(fault->key);
                search.ofStruct(name, std::move(*fault));
            }
}

} // namespace fields

template<class T>
std::optional<PlacedFault> faultIn(const T& value) {
    fields::Search search;
    fields::look(search, value);
    return std::move(search).taken();
}

} // namespace bslate
