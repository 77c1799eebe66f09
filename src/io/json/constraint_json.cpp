#include "core/kit/setting_value.h"
#include "io/json/custom_json.h"

#include <algorithm>

namespace bslate::io::custom {
namespace {

struct ConditionReader {
    const Json& node;
    std::string place;
    SettingKey key;
    ReadState& state;

    SettingValue one(const Json& json, const std::string& at) const {
        if (!json.is_string()) {
            state.fail(ErrorCode::WrongType, at, json.type_name(), "a text in quotes");
            return std::string();
        }
        const auto value = parseSettingValue(key, json.get<std::string>());
        if (value)
            return *value;
        state.fail(value.error().code, at, json.get<std::string>(), value.error().expected);
        return std::string();
    }

    Condition read() const {
        Condition condition;
        condition.key = key;
        if (node.is_array()) {
            for (std::size_t i = 0; i < node.size(); ++i)
                condition.oneOf.push_back(one(node[i], place + "/" + std::to_string(i)));
            if (node.empty())
                state.fail(ErrorCode::EmptyText, place, {}, "at least one value");
        } else if (node.is_object()) {
            range(condition);
        } else {
            condition.oneOf.push_back(one(node, place));
        }
        return condition;
    }

    void range(Condition& condition) const {
        if (!isOrdered(key))
            state.fail(ErrorCode::WrongType, place, "a range",
                       "a value or a list: this setting has no order");
        for (const auto& [name, value] : node.items()) {
            if (name == "at_least")
                condition.atLeast = one(value, place + "/at_least");
            else if (name == "at_most")
                condition.atMost = one(value, place + "/at_most");
            else
                state.fail(ErrorCode::WrongType, place, name, "at_least or at_most");
        }
        if (node.empty())
            state.fail(ErrorCode::EmptyText, place, {}, "at_least or at_most");
    }
};

std::vector<Condition> conditionsFrom(const Json& node, const std::string& place,
                                      ReadState& state) {
    std::vector<Condition> conditions;
    if (!node.is_object()) {
        state.fail(ErrorCode::WrongType, place, node.type_name(), "an object { ... }");
        return conditions;
    }
    for (const auto& [name, value] : node.items()) {
        const auto key = findSettingKey(name);
        if (key) {
            conditions.push_back(ConditionReader{value, place + "/" + name, *key, state}.read());
            continue;
        }
        std::string known;
        for (std::size_t i = 0; i < kSettingKeys; ++i)
            known += (i ? ", " : "one of ") + std::string(nameOf(static_cast<SettingKey>(i)));
        state.fail(ErrorCode::WrongType, place, name, known);
    }
    return conditions;
}

Json conditionsJson(const std::vector<Condition>& conditions) {
    Json node = Json::object();
    for (const auto& condition : conditions) {
        auto& entry = node[std::string(nameOf(condition.key))];
        if (condition.oneOf.empty()) {
            entry = Json::object();
            if (condition.atLeast)
                entry["at_least"] = spell(condition.key, *condition.atLeast);
            if (condition.atMost)
                entry["at_most"] = spell(condition.key, *condition.atMost);
            continue;
        }
        entry = Json::array();
        for (const auto& value : condition.oneOf)
            entry.push_back(spell(condition.key, value));
    }
    return node;
}

constexpr ConstraintKind kKinds[] = {ConstraintKind::Requires, ConstraintKind::Excludes,
                                     ConstraintKind::Limits};

} // namespace

void read(ConditionsTag, ObjectReader& node, const char* key, std::vector<Condition>& conditions) {
    conditions = conditionsFrom(node.child(key), node.pointer(key), node.state());
}

void write(ConditionsTag, Json& node, const char* key, const std::vector<Condition>& conditions) {
    if (!conditions.empty())
        node[key] = conditionsJson(conditions);
}

void read(ConstraintThenTag, ObjectReader& node, const char* key, Constraint& constraint) {
    int kinds = 0;
    for (const auto kind : kKinds) {
        const std::string name(nameOf(kind));
        if (!node.has(name.c_str()))
            continue;
        ++kinds;
        constraint.kind = kind;
        constraint.then =
            conditionsFrom(node.child(name.c_str()), node.pointer(name.c_str()), node.state());
        if (constraint.then.empty())
            node.fail(ErrorCode::EmptyText, name.c_str(), {}, "at least one setting");
    }
    if (kinds != 1)
        node.fail(ErrorCode::MissingKey, key, {}, "exactly one of requires, excludes and limits");
}

void write(ConstraintThenTag, Json& node, const char*, const Constraint& constraint) {
    node[std::string(nameOf(constraint.kind))] = conditionsJson(constraint.then);
}

namespace {

Json conditionsReference(Json& definitions) {
    const Json text = {{"type", "string"}};
    Json properties = Json::object();
    for (std::size_t i = 0; i < kSettingKeys; ++i) {
        const auto key = static_cast<SettingKey>(i);
        Json forms = {text, {{"type", "array"}, {"items", text}, {"minItems", 1}}};
        if (isOrdered(key))
            forms.push_back({{"type", "object"},
                             {"properties", {{"at_least", text}, {"at_most", text}}},
                             {"additionalProperties", false},
                             {"minProperties", 1}});
        properties[std::string(nameOf(key))] = {{"oneOf", forms}};
    }
    definitions["conditions"] = {
        {"type", "object"}, {"properties", properties}, {"additionalProperties", false}};
    return {{"$ref", "#/$defs/conditions"}};
}

} // namespace

void describe(ConditionsTag, Json& object, const char* key, Json& definitions) {
    object["properties"][key] = {{"allOf", Json::array({conditionsReference(definitions)})}};
}

void describe(ConstraintThenTag, Json& object, const char* key, Json& definitions) {
    Json one = Json::array();
    for (const auto kind : kKinds) {
        object["properties"][std::string(nameOf(kind))] = {
            {"allOf", Json::array({conditionsReference(definitions)})}};
        one.push_back({{"required", {std::string(nameOf(kind))}}});
    }
    object["oneOf"] = one;
    // Which one it is, no more.
    std::erase(object["required"].get_ref<Json::array_t&>(), Json(key));
}

} // namespace bslate::io::custom
