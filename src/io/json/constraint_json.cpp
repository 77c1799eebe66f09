#include "core/kit/setting_value.h"
#include "io/json/kit_nodes.h"

#include <algorithm>

namespace bslate::io {
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

} // namespace

Constraint constraintFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Constraint constraint;
    constraint.id = node.text("id");
    if (node.has("when"))
        constraint.when = conditionsFrom(node.child("when"), node.pointer("when"), state);
    int kinds = 0;
    for (const auto kind :
         {ConstraintKind::Requires, ConstraintKind::Excludes, ConstraintKind::Limits}) {
        const std::string key(nameOf(kind));
        if (!node.has(key.c_str()))
            continue;
        ++kinds;
        constraint.kind = kind;
        constraint.then = conditionsFrom(node.child(key.c_str()), node.pointer(key.c_str()), state);
        if (constraint.then.empty())
            node.fail(ErrorCode::EmptyText, key.c_str(), {}, "at least one setting");
    }
    if (kinds != 1)
        node.fail(ErrorCode::MissingKey, "requires", {},
                  "exactly one of requires, excludes and limits");
    constraint.reason = node.text("reason");
    if (constraint.reason.empty())
        node.fail(ErrorCode::EmptyText, "reason", {}, "why, in words a person understands");
    constraint.extra = node.extra();
    return constraint;
}

Json constraintJson(const Constraint& constraint) {
    Json node = {{"id", constraint.id}};
    if (!constraint.when.empty())
        node["when"] = conditionsJson(constraint.when);
    node[std::string(nameOf(constraint.kind))] = conditionsJson(constraint.then);
    node["reason"] = constraint.reason;
    appendExtra(node, constraint.extra);
    return node;
}

} // namespace bslate::io
