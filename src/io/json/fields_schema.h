#pragma once

#include "io/json/fields_read.h"

/// JSON Schema of the structs of the documents, by the tables of their fields. Private to io.
namespace bslate::io {

/// A reference to the definition of a struct, which is made when it is not there yet.
template<class T>
[[nodiscard]] Json referenceTo(Json& definitions);

namespace schema {

inline Json of(const form::Text& text, Json&) {
    Json node = {{"type", "string"}, {"maxLength", text.longest}};
    if (text.mustSay)
        node["minLength"] = 1;
    return node;
}
inline Json of(form::Flag, Json&) {
    return {{"type", "boolean"}};
}
inline Json of(form::Whole range, Json&) {
    return {{"type", "integer"}, {"minimum", range.low}, {"maximum", range.high}};
}
inline Json of(form::Number range, Json&) {
    return {{"type", "number"}, {"minimum", range.low}, {"maximum", range.high}};
}
inline Json of(form::Milliseconds range, Json&) {
    return {{"type", "number"}, {"minimum", range.low}, {"maximum", range.high}};
}
template<class Q>
Json of(const form::Spelled<Q>& as, Json&) {
    return {{"type", "string"}, {"pattern", as.pattern}, {"description", as.about}};
}
template<class Value>
Json namesOf(std::span<const NamedValue<Value>> names) {
    Json list = Json::array();
    for (const auto& entry : names)
        list.push_back(std::string(entry.name));
    return {{"enum", list}};
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
    return {{"type", "array"}, {"items", of(list.item, definitions)}, {"maxItems", list.most}};
}
template<class T>
Json of(const form::Flags<T>& flags, Json&) {
    return {{"type", "array"}, {"items", namesOf(flags.names)}};
}

/// Some quantities begin as nothing, which nobody can write.
template<class Form>
bool isReadable(const Form&, const Json&) {
    return true;
}
template<class Q>
bool isReadable(const form::Spelled<Q>& as, const Json& value) {
    return as.parse(value.get<std::string>()).ok();
}

template<class T, class Access, class Form>
concept Writable = requires(const T& owner, const Field<Access, Form>& field) {
    fields::write(field.form, valueOf(field, owner));
};

/// What a value is when its key is missing: told of plain values only.
template<class T, class Access, class Form>
void addDefault(Json&, const Field<Access, Form>&) {}
template<class T, class Access, class Form>
requires Writable<T, Access, Form>
void addDefault(Json& node, const Field<Access, Form>& field) {
    if (field.presence == Presence::Required)
        return;
    const Json value = fields::write(field.form, valueOf(field, fields::untouched<T>()));
    if (value.is_primitive() && value != Json("") && isReadable(field.form, value))
        node["default"] = value;
}

template<class Access, class Form>
void describe(Json& node, const Field<Access, Form>& field) {
    std::string title(field.name);
    std::erase(title, '&');
    node["title"] = title;
    std::string about = node.value("description", std::string());
    if (const std::string help(field.help); !help.empty())
        about = about.empty() ? help : help + ": " + about;
    if (field.since > 1)
        about +=
            (about.empty() ? "since version " : "; since version ") + std::to_string(field.since);
    node.erase("description");
    if (!about.empty())
        node["description"] = about;
}

template<class Access, class Form>
void require(Json& object, const Field<Access, Form>& field) {
    if (field.presence == Presence::Required)
        object["required"].push_back(field.key);
}

template<class T, class Access, class Form>
void addField(Json& object, const Field<Access, Form>& field, Json& definitions) {
    Json node = of(field.form, definitions);
    // Beside a reference nothing counts: it is told around it.
    if (node.contains("$ref")) {
        Json around = Json::object();
        around["allOf"].push_back(std::move(node));
        node = std::move(around);
    }
    describe(node, field);
    addDefault<T>(node, field);
    object["properties"][field.key] = std::move(node);
    require(object, field);
}

template<class T, class Access, class... Fields>
void addField(Json& object, const Field<Access, form::Group<Fields...>>& field, Json& definitions) {
    Json node = {{"type", "object"}, {"properties", Json::object()}};
    std::apply([&](const auto&... each) { (addField<T>(node, each, definitions), ...); },
               field.form.fields);
    describe(node, field);
    object["properties"][field.key] = std::move(node);
}

template<class T, class Access, class Tag>
void addField(Json& object, const Field<Access, form::Custom<Tag>>& field, Json& definitions) {
    require(object, field);
    custom::describe(Tag{}, object, field.key, definitions);
    describe(object["properties"][field.key], field);
}

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
    const std::string name(Described<T>::kName);
    if (!definitions.contains(name)) {
        definitions[name] = nullptr; // its place among the others
        Json object = {
            {"type", "object"}, {"required", Json::array()}, {"properties", Json::object()}};
        addFields<T>(object, definitions);
        definitions[name] = std::move(object);
    }
    Json reference = Json::object();
    reference["$ref"] = "#/$defs/" + name;
    return reference;
}

} // namespace bslate::io
