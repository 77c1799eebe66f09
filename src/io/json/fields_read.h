#pragma once

#include "io/json/fields_write.h"

/// Structs of the documents out of JSON, by the tables of their fields (core/base/fields.h), with
/// unknown keys kept at every depth; fields_write.h writes them. Private to io.
namespace bslate::io {

template<class T>
[[nodiscard]] T readObject(ObjectReader& node);

namespace fields {

// ---- reading: a value that is there, by its form

inline std::string read(ObjectReader& node, const char* key, const form::Text& text, std::string*) {
    auto said = node.text(key, text.longest);
    if (text.mustSay && said.empty())
        node.fail(ErrorCode::EmptyText, key, {}, text.mustSay);
    return said;
}
inline bool read(ObjectReader& node, const char* key, form::Flag, bool*) {
    return node.flag(key);
}
inline int read(ObjectReader& node, const char* key, form::Whole range, int*) {
    return node.whole(key, range.low, range.high);
}
template<class Q>
Q read(ObjectReader& node, const char* key, form::Number range, Q*) {
    return Q(node.number(key, range.low, range.high));
}
inline Seconds read(ObjectReader& node, const char* key, form::Milliseconds range, Seconds*) {
    return Seconds(node.number(key, range.low, range.high) / 1000.0);
}
template<class Q>
Q read(ObjectReader& node, const char* key, const form::Spelled<Q>& as, Q*) {
    return node.quantity(key, as.parse);
}
template<class E>
E read(ObjectReader& node, const char* key, form::Named<E> names, E*) {
    return node.oneOf(key, names.names);
}
template<class T>
T read(ObjectReader& node, const char* key, form::Object<T>, T*) {
    ObjectReader child(node.child(key), node.pointer(key), node.state());
    T value = readObject<T>(child);
    if constexpr (!KeepsKeys<T>)
        node.keep(key, child.extra());
    return value;
}
inline std::vector<std::string> read(ObjectReader& node, const char* key,
                                     form::List<form::Text> list, std::vector<std::string>*) {
    return node.texts(key, list.most);
}
template<class Q>
std::vector<Q> read(ObjectReader& node, const char* key, const form::List<form::Spelled<Q>>& list,
                    std::vector<Q>*) {
    return node.quantities(key, list.item.parse);
}
template<class E>
std::vector<E> read(ObjectReader& node, const char* key, const form::List<form::Named<E>>& list,
                    std::vector<E>*) {
    std::vector<E> values;
    for (const auto& name : node.texts(key, list.most))
        if (const auto* value = node.named(key, name, list.item.names))
            values.push_back(*value);
    return values;
}
template<class T>
std::vector<T> read(ObjectReader& node, const char* key, const form::List<form::Object<T>>& list,
                    std::vector<T>*) {
    const auto entry = [](ObjectReader& item) { return readObject<T>(item); };
    if constexpr (KeepsKeys<T>)
        return node.list<T>(
            key,
            [&](const Json& item, const std::string& place) {
                ObjectReader reader(item, place, node.state());
                return entry(reader);
            },
            list.most, list.what);
    else
        return node.keptList<T>(key, entry, writeObject<T>, list.most, list.what);
}
template<class T>
T read(ObjectReader& node, const char* key, const form::Flags<T>& flags, T*) {
    T value;
    for (const auto& name : node.texts(key))
        if (const auto* flag = node.named(key, name, flags.names))
            value.** flag = true;
    return value;
}

/// The key to read of a field; null when the value stays what it is.
[[nodiscard]] const char* keyIn(ObjectReader& node, const char* key, const char* formerly,
                                Presence presence, int since);

template<class T, class Access, class Form>
void readField(ObjectReader& node, T& owner, const Field<Access, Form>& field);

template<class T, class Access, class... Fields>
void readField(ObjectReader& node, T& owner, const Field<Access, form::Group<Fields...>>& field) {
    if (!node.has(field.key))
        return;
    ObjectReader child(node.child(field.key), node.pointer(field.key), node.state());
    std::apply([&](const auto&... each) { (readField(child, owner, each), ...); },
               field.form.fields);
    node.keep(field.key, child.extra());
}

template<class T, class Access, class Form>
void readField(ObjectReader& node, T& owner, const Field<Access, Form>& field) {
    using Stored = StoredIn<T, Field<Access, Form>>;
    const char* key = keyIn(node, field.key, field.formerly, field.presence, field.since);
    if (!key)
        return;
    using Wanted = typename Plain<Stored>::Value;
    valueOf(field, owner) = read(node, key, field.form, static_cast<Wanted*>(nullptr));
}

template<class T, class Access, class Tag>
void readField(ObjectReader& node, T& owner, const Field<Access, form::Custom<Tag>>& field) {
    if (field.presence == Presence::Required || node.has(field.key))
        custom::read(Tag{}, node, field.key, valueOf(field, owner));
}

} // namespace fields

/// The fields of a struct, which may share an object with others; completed and checked.
template<class T>
void readFields(ObjectReader& node, T& value) {
    std::apply([&](const auto&... field) { (fields::readField(node, value, field), ...); },
               Described<T>::kFields);
    custom::readOlder(node, value);
    if (node.state().error)
        return;
    if constexpr (requires { Described<T>::complete(value); })
        Described<T>::complete(value);
    if constexpr (requires { Described<T>::check(value); })
        if (auto fault = Described<T>::check(value))
            node.fail(fault->code, fault->key, std::move(fault->got), std::move(fault->expected));
}
template<class T>
T readObject(ObjectReader& node) {
    T value;
    readFields(node, value);
    if constexpr (fields::KeepsKeys<T>)
        value.extra = node.extra();
    return value;
}

} // namespace bslate::io
