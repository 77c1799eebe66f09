#include "io/json/fields_schema.h"

#include <algorithm>

namespace bslate::io::schema {

Json ofText(std::size_t longest, bool mustSay) {
    Json node = {{"type", "string"}, {"maxLength", longest}};
    if (mustSay)
        node["minLength"] = 1;
    return node;
}

Json ofNumber(double low, double high) {
    return {{"type", "number"}, {"minimum", low}, {"maximum", high}};
}

Json ofWhole(int low, int high) {
    return {{"type", "integer"}, {"minimum", low}, {"maximum", high}};
}

Json ofSpelled(const char* pattern, const char* about) {
    return {{"type", "string"}, {"pattern", pattern}, {"description", about}};
}

Json ofNames(const std::vector<std::string_view>& names) {
    Json list = Json::array();
    for (const auto name : names)
        list.push_back(std::string(name));
    return {{"enum", std::move(list)}};
}

Json ofList(Json items, std::size_t most) {
    Json node = {{"type", "array"}, {"items", std::move(items)}};
    if (most > 0)
        node["maxItems"] = most;
    return node;
}

Json described(Json node, const Told& field) {
    if (node.contains("$ref")) { // beside a reference nothing counts: it is told around it
        Json around = Json::object();
        around["allOf"].push_back(std::move(node));
        node = std::move(around);
    }
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
    return node;
}

void require(Json& object, const Told& field) {
    if (field.required)
        object["required"].push_back(field.key);
}

void addProperty(Json& object, const Told& field, Json node) {
    object["properties"][field.key] = std::move(node);
    require(object, field);
}

Json defined(Json& definitions, const std::string& name,
             void (*add)(Json& object, Json& definitions)) {
    if (!definitions.contains(name)) {
        definitions[name] = nullptr; // its place among the others
        Json object = {
            {"type", "object"}, {"required", Json::array()}, {"properties", Json::object()}};
        add(object, definitions);
        definitions[name] = std::move(object);
    }
    Json reference = Json::object();
    reference["$ref"] = "#/$defs/" + name;
    return reference;
}

} // namespace bslate::io::schema
