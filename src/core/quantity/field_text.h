#pragma once

#include "core/base/enumerated.h"
#include "core/base/field_check.h"
#include "core/base/result.h"

#include <algorithm>
#include <vector>

/// A field of the documents as people type and read it: the same tables as the files, other
/// spellings. Sheets and the page of the kit loop over it.
namespace bslate {

namespace typed {

/// Ways a field is asked for.
enum class How {
    Typed,   ///< a line
    Chosen,  ///< one of the words of its names
    Counted, ///< a whole number between two
    Ticked   ///< `yes` or `no`
};

// ---- a value as text

[[nodiscard]] std::string textOf(form::Number form, double value);
[[nodiscard]] std::string textOf(form::Whole, int value);
[[nodiscard]] inline std::string textOf(const form::Text&, const std::string& value) {
    return value;
}
[[nodiscard]] inline std::string textOf(form::Flag, bool value) {
    return value ? "yes" : "no";
}
template<class Q>
[[nodiscard]] std::string textOf(form::Number form, const Q& value) {
    return textOf(form, value.value());
}
template<class Q>
[[nodiscard]] std::string textOf(form::Milliseconds form, const Q& value) {
    return textOf(form::Number{form.low, form.high}, value.value() * 1000);
}
template<class Q>
[[nodiscard]] std::string textOf(const form::Spelled<Q>& as, const Q& value) {
    return as.print ? as.print(value) : as.spell(value);
}
template<class E>
[[nodiscard]] std::string textOf(form::Named<E> names, E value) {
    return std::string(wordsIn(names.names, value));
}
template<class Item, class V>
[[nodiscard]] std::string textOf(const form::List<Item>& list, const std::vector<V>& values) {
    std::string text;
    for (const auto& value : values)
        text += (text.empty() ? "" : ", ") + textOf(list.item, value);
    return text;
}

// ---- a text as value; each fails with what is expected

[[nodiscard]] Result<double> parsed(form::Number form, std::string_view text);
[[nodiscard]] Result<int> parsedWhole(form::Whole form, std::string_view text);
[[nodiscard]] Result<bool> parsedFlag(std::string_view text);
/// The position of the name or the words among those given, upper and lower case alike.
[[nodiscard]] Result<std::size_t> parsedName(std::span<const std::string_view> names,
                                             std::span<const std::string_view> words,
                                             std::string_view text);
/// Parts between commas, spaces around them dropped.
[[nodiscard]] std::vector<std::string_view> parts(std::string_view text);

template<class V>
[[nodiscard]] Result<V> valueFrom(const form::Text& form, std::string_view text, V*) {
    if (form.known)
        return form.known(text);
    if (text.empty() && form.asks)
        return Error{ErrorCode::EmptyText, {}, {}, {}, form.asks};
    return std::string(text);
}
template<class V>
[[nodiscard]] Result<V> valueFrom(form::Flag, std::string_view text, V*) {
    return parsedFlag(text);
}
template<class V>
[[nodiscard]] Result<V> valueFrom(form::Whole form, std::string_view text, V*) {
    return parsedWhole(form, text);
}
template<class V>
[[nodiscard]] Result<V> valueFrom(form::Number form, std::string_view text, V*) {
    const auto number = parsed(form, text);
    return number ? Result<V>(V(*number)) : number.error();
}
template<class V>
[[nodiscard]] Result<V> valueFrom(form::Milliseconds form, std::string_view text, V*) {
    const auto number = parsed(form::Number{form.low, form.high}, text);
    return number ? Result<V>(V(*number / 1000)) : number.error();
}
template<class Q>
[[nodiscard]] Result<Q> valueFrom(const form::Spelled<Q>& as, std::string_view text, Q*) {
    return as.parse(text);
}
template<class E>
[[nodiscard]] Result<E> valueFrom(form::Named<E> form, std::string_view text, E*) {
    std::vector<std::string_view> names, words;
    for (const auto& entry : form.names) {
        names.push_back(entry.name);
        words.push_back(wordsOf(entry));
    }
    const auto at = parsedName(names, words, text);
    return at ? Result<E>(form.names[*at].value) : at.error();
}
template<class Item, class V>
[[nodiscard]] Result<std::vector<V>> valueFrom(const form::List<Item>& list, std::string_view text,
                                               std::vector<V>*) {
    std::vector<V> values;
    for (const auto part : parts(text)) {
        auto value = valueFrom(list.item, part, static_cast<V*>(nullptr));
        if (!value)
            return value.error();
        values.push_back(*std::move(value));
    }
    return values;
}

// ---- which forms can be asked for on one line

template<class Form>
inline constexpr bool kOnALine = false;
template<>
inline constexpr bool kOnALine<form::Text> = true;
template<>
inline constexpr bool kOnALine<form::Flag> = true;
template<>
inline constexpr bool kOnALine<form::Whole> = true;
template<>
inline constexpr bool kOnALine<form::Number> = true;
template<>
inline constexpr bool kOnALine<form::Milliseconds> = true;
template<class Q>
inline constexpr bool kOnALine<form::Spelled<Q>> = true;
template<class E>
inline constexpr bool kOnALine<form::Named<E>> = true;
template<class Item>
inline constexpr bool kOnALine<form::List<Item>> = kOnALine<Item>;

template<class Form>
inline constexpr How kHow = How::Typed;
template<>
inline constexpr How kHow<form::Flag> = How::Ticked;
template<>
inline constexpr How kHow<form::Whole> = How::Counted;
template<class E>
inline constexpr How kHow<form::Named<E>> = How::Chosen;

} // namespace typed

/// The field as text: empty while an optional value is missing, or while a spared one is what its
/// struct begins with and can be typed away.
template<class T, class Access, class Form>
[[nodiscard]] std::string textOf(const Field<Access, Form>& field, const T& owner) {
    const auto& value = valueOf(field, owner);
    if constexpr (requires { value.has_value(); }) {
        return value ? typed::textOf(field.form, *value) : std::string();
    } else {
        static const T untouched{};
        if (field.presence == Presence::Spared && typed::kHow<Form> == typed::How::Typed &&
            value == valueOf(field, untouched))
            return {};
        return typed::textOf(field.form, value);
    }
}

/// Takes a text over, and what follows from it by the struct's own rule (`Described<T>::follow`).
/// An empty one gives a missing or spared value back. Fails as the form's parser does, saying what
/// is expected, or with what the struct's fields must not be together; `owner` is then as it was.
template<class T, class Access, class Form>
[[nodiscard]] Outcome setFromText(const Field<Access, Form>& field, T& owner,
                                  std::string_view text) {
    T after = owner;
    auto& value = valueOf(field, after);
    using Stored = std::decay_t<decltype(value)>;
    while (!text.empty() && (text.front() == ' ' || text.front() == '\t'))
        text.remove_prefix(1);
    while (!text.empty() && (text.back() == ' ' || text.back() == '\t'))
        text.remove_suffix(1);
    const auto put = [&](auto* wanted) -> Outcome {
        auto taken = typed::valueFrom(field.form, text, wanted);
        if (!taken)
            return taken.error();
        value = *std::move(taken);
        return Done{};
    };
    Outcome done = Done{};
    if constexpr (requires { value.has_value(); }) {
        if (text.empty())
            value.reset();
        else
            done = put(static_cast<typename Stored::value_type*>(nullptr));
    } else {
        if (T untouched{}; text.empty() && field.presence == Presence::Spared)
            value = valueOf(field, untouched);
        else
            done = put(static_cast<Stored*>(nullptr));
    }
    if (!done)
        return done;
    if constexpr (requires { Described<T>::follow(after, field.key); })
        Described<T>::follow(after, field.key);
    owner = std::move(after);
    return Done{};
}

} // namespace bslate
