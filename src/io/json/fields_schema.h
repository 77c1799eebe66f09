#pragma once

#include "io/json/fields_read.h"

/// JSON Schema of the structs of the documents, by the tables of their fields. Private to io.
namespace bslate::io {

/// A reference to the definition of a struct, which is made when it is not there yet.
template<class T>
[[nodiscard]] Json referenceTo(Json& definitions);

namespace schema {

[[nodiscard]] Json ofText(std::size_t longest, bool mustSay);
[[nodiscard]] Json ofNumber(double low, double high);
[[nodiscard]] Json ofWhole(int low, int high);
[[nodiscard]] Json ofSpelled(const char* pattern, const char* about);
[[nodiscard]] Json ofNames(const std::vector<std::string_view>& names);
[[nodiscard]] Json ofList(Json items, std::size_t most);

inline Json of(const form::Text& text, Json&) {
    return ofText(text.longest, text.mustSay);
}
inline Json of(form::Flag, Json&) {
    return {{"type", "boolean"}};
}
inline Json of(form::Whole range, Json&) {
    return ofWhole(range.low, range.high);
}
inline Json of(form::Number range, Json&) {
    return ofNumber(range.low, range.high);
}
inline Json of(form::Milliseconds range, Json&) {
    return ofNumber(range.low, range.high);
}
template<class Q>
Json of(const form::Spelled<Q>& as, Json&) {
    return ofSpelled(as.pattern, as.about);
}
template<class Value>
Json namesOf(std::span<const NamedValue<Value>> names) {
    std::vector<std::string_view> list;
    for (const auto& entry : names)
        list.push_back(entry.name);
    return ofNames(list);
}
template<class E>
Json of(form::Named<E> names, Json&) {
    return namesOf(names.names);
}
template<class T>
Json of(form::Object<T>, Json& definitions) {
    return referenceTo<T>(definitions);
}
template<class Item>
Json of(const form::List<Item>& list, Json& definitions) {
    return ofList(of(list.item, definitions), list.most);
}
template<class T>
Json of(const form::Flags<T>& flags, Json&) {
    return ofList(namesOf(flags.names), 0);
}

/// What a value is when its key is missing: told of plain values only, and not of those that begin
/// as nothing, which nobody can write.
inline bool isTold(const form::Text&, const std::string& text) {
    return !text.empty();
}
template<class Q>
bool isTold(const form::Spelled<Q>& as, const std::string& spelled) {
    return as.parse(spelled).ok();
}
template<class Form, class Value>
bool isTold(const Form&, const Value&) {
    return !std::is_same_v<Value, Json>;
}

template<class T, class Access, class Form>
concept Writable = requires(const T& owner, const Field<Access, Form>& field) {
    fields::write(field.form, valueOf(field, owner));
};

template<class T, class Access, class Form>
void addDefault(Json&, const Field<Access, Form>&) {}
template<class T, class Access, class Form>
requires Writable<T, Access, Form>
void addDefault(Json& node, const Field<Access, Form>& field) {
    if (field.presence == Presence::Required)
        return;
    auto&& value = fields::write(field.form, valueOf(field, fields::untouched<T>()));
    if (isTold(field.form, value))
        fields::put(node, "default", std::forward<decltype(value)>(value));
}

/// What a field says of itself, whatever its form.
struct Told {
    const char* key;
    const char* name;
    const char* help;
    int since;
    bool required;
};
template<class Access, class Form>
Told told(const Field<Access, Form>& field) {
    return {field.key, field.name, field.help, field.since, field.presence == Presence::Required};
}

/// A node with what the field says of itself.
[[nodiscard]] Json described(Json node, const Told& field);
void require(Json& object, const Told& field);
void addProperty(Json& object, const Told& field, Json node);

template<class T, class Access, class Form>
void addField(Json& object, const Field<Access, Form>& field, Json& definitions) {
    Json node = described(of(field.form, definitions), told(field));
    addDefault<T>(node, field);
    addProperty(object, told(field), std::move(node));
}

template<class T, class Access, class... Fields>
void addField(Json& object, const Field<Access, form::Group<Fields...>>& field, Json& definitions) {
    Json node = {{"type", "object"}, {"properties", Json::object()}};
    std::apply([&](const auto&... each) { (addField<T>(node, each, definitions), ...); },
               field.form.fields);
    addProperty(object, told(field), described(std::move(node), told(field)));
}

template<class T, class Access, class Tag>
void addField(Json& object, const Field<Access, form::Custom<Tag>>& field, Json& definitions) {
    require(object, told(field));
    custom::describe(Tag{}, object, field.key, definitions);
    Json& node = object["properties"][field.key];
    node = described(std::move(node), told(field));
}

/// A reference to the definition of that name, whose properties `add` adds the first time.
[[nodiscard]] Json defined(Json& definitions, const std::string& name,
                           void (*add)(Json& object, Json& definitions));

} // namespace schema

/// The properties of a struct, added to an object that may have others.
template<class T>
void addFields(Json& object, Json& definitions) {
    std::apply(
        [&](const auto&... field) { (schema::addField<T>(object, field, definitions), ...); },
        Described<T>::kFields);
}

template<class T>
Json referenceTo(Json& definitions) {
    return schema::defined(definitions, std::string(Described<T>::kName), &addFields<T>);
}

} // namespace bslate::io
