#pragma once

#include "core/base/fields.h"
#include "io/json/custom_json.h"
#include "io/json/json_reader.h"

/// Structs of the documents as JSON, by the tables of their fields. What is compiled anew for each
/// field is a call or two; the rest stands in the source. Private to io.
namespace bslate::io {

template<class T>
[[nodiscard]] Json writeObject(const T& value);

namespace fields {

/// A struct that has room for the keys this version does not know.
template<class T>
concept KeepsKeys = requires(T value) {
    value.extra.json;
};

template<class T>
struct Plain {
    using Value = T;
};
template<class T>
struct Plain<std::optional<T>> {
    using Value = T;
};
template<class Owner, class Field>
using StoredIn = std::remove_cvref_t<std::invoke_result_t<decltype(Field::access), Owner&>>;

/// A quantity, and no optional one.
template<class Q>
concept Measure = std::is_same_v<decltype(std::declval<const Q>().value()), double>;

// ---- a value as it stands in JSON: plain ones as they are

inline const std::string& write(const form::Text&, const std::string& text) {
    return text;
}
inline bool write(form::Flag, bool flag) {
    return flag;
}
inline int write(form::Whole, int number) {
    return number;
}
inline double write(form::Number, double number) {
    return number;
}
template<Measure Q>
double write(form::Number, Q quantity) {
    return quantity.value();
}
[[nodiscard]] double write(form::Milliseconds, Seconds time);
template<class Q>
std::string write(const form::Spelled<Q>& as, const Q& quantity) {
    return as.spell(quantity);
}
template<class E>
std::string_view write(form::Named<E> names, E value) {
    return nameIn(names.names, value);
}
template<class T>
Json write(form::Object<T>, const T& value) {
    return writeObject(value);
}

/// Puts a value under a key, or at the end of a list.
void put(Json& node, const char* key, bool flag);
void put(Json& node, const char* key, int number);
void put(Json& node, const char* key, double number);
void put(Json& node, const char* key, std::string_view text);
void put(Json& node, const char* key, const std::string& text);
void put(Json& node, const char* key, Json&& value);
void append(Json& list, double number);
void append(Json& list, std::string_view text);
void append(Json& list, const std::string& text);
void append(Json& list, Json&& value);

template<class Item, class T>
Json write(const form::List<Item>& list, const std::vector<T>& values) {
    Json node = Json::array();
    for (const auto& value : values)
        append(node, write(list.item, value));
    return node;
}
template<class T>
Json write(const form::Flags<T>& flags, const T& value) {
    Json names = Json::array();
    for (const auto& flag : flags.names)
        if (value.*flag.value)
            append(names, flag.name);
    return names;
}

template<class T>
[[nodiscard]] const T& untouched() {
    static const T value{};
    return value;
}

template<class T, class Access, class Form>
void writeField(Json& node, const T& owner, const Field<Access, Form>& field) {
    const auto& value = valueOf(field, owner);
    if constexpr (std::is_same_v<std::remove_cvref_t<decltype(value)>,
                                 std::optional<typename Plain<
                                     StoredIn<const T, Field<Access, Form>>>::Value>>) {
        if (value)
            put(node, field.key, write(field.form, *value));
    } else if (field.presence != Presence::Spared || !(value == valueOf(field, untouched<T>()))) {
        put(node, field.key, write(field.form, value));
    }
}

template<class T, class Access, class... Fields>
void writeField(Json& node, const T& owner, const Field<Access, form::Group<Fields...>>& field) {
    Json child = Json::object();
    std::apply([&](const auto&... each) { (writeField(child, owner, each), ...); },
               field.form.fields);
    put(node, field.key, std::move(child));
}

template<class T, class Access, class Tag>
void writeField(Json& node, const T& owner, const Field<Access, form::Custom<Tag>>& field) {
    custom::write(Tag{}, node, field.key, valueOf(field, owner));
}

} // namespace fields

template<class T>
void writeFields(Json& node, const T& value) {
    std::apply([&](const auto&... field) { (fields::writeField(node, value, field), ...); },
               Described<T>::kFields);
}

template<class T>
Json writeObject(const T& value) {
    Json node = Json::object();
    writeFields(node, value);
    if constexpr (fields::KeepsKeys<T>)
        appendExtra(node, value.extra);
    return node;
}

} // namespace bslate::io
