#include "io/json/schemas.h"

#include "io/json/fields_schema.h"
#include "io/json/kit_json.h"

#include <algorithm>

namespace bslate::io {
namespace {

constexpr const char* kDraft = "https://json-schema.org/draft/2020-12/schema";

// The object of a document, with the keys that say what it is.
template<class T>
Json documentOf(const char* format, int version, Json& definitions) {
    Json object = {
        {"type", "object"},
        {"required", {"format", "version"}},
        {"properties", {{"format", {{"const", format}}}, {"version", {{"const", version}}}}}};
    addFields<T>(object, definitions);
    return object;
}

Json kitObject(Json& definitions) {
    return documentOf<Kit>("bright-slate-kit", kKitVersion, definitions);
}

Json rooted(const char* title, Json object, Json definitions) {
    Json root = {{"$schema", kDraft}, {"title", title}};
    root.update(object);
    root["$defs"] = std::move(definitions);
    return root;
}

Json kitRoot() {
    Json definitions = Json::object();
    Json object = kitObject(definitions);
    return rooted("Bright Slate kit", std::move(object), std::move(definitions));
}

Json shootRoot() {
    Json definitions = Json::object();
    Json object = documentOf<Shoot>("bright-slate-shoot", kShootVersion, definitions);
    return rooted("Bright Slate shoot", std::move(object), std::move(definitions));
}

std::string rangeText(const Json& node) {
    return node["minimum"].dump() + " to " + node["maximum"].dump();
}

std::string formText(const Json& node) {
    if (node.contains("$ref")) {
        const auto name = node["$ref"].get<std::string>();
        return "`" + name.substr(name.rfind('/') + 1) + "`";
    }
    if (node.contains("allOf"))
        return formText(node["allOf"][0]);
    if (node.contains("enum")) {
        std::string names;
        for (const auto& name : node["enum"])
            names += (names.empty() ? "`" : ", `") + name.get<std::string>() + "`";
        return names;
    }
    if (node.contains("oneOf")) {
        std::string forms;
        for (const auto& form : node["oneOf"])
            forms += (forms.empty() ? "" : ", or ") + formText(form);
        return forms;
    }
    const auto type = node.value("type", std::string("object"));
    if (type == "array")
        return "list of " + formText(node["items"]);
    if (type == "string")
        return "text";
    if (type == "boolean")
        return "yes or no";
    if (type == "number" || type == "integer")
        return (type == "number" ? "number, " : "whole number, ") + rangeText(node);
    std::string keys;
    const Json properties = node.value("properties", Json::object());
    for (const auto& [key, child] : properties.items())
        keys += (keys.empty() ? "object of `" : "`, `") + key;
    return keys.empty() ? "object" : keys + "`";
}

bool isRequired(const Json& object, const std::string& key) {
    const Json required = object.value("required", Json::array());
    return std::any_of(required.begin(), required.end(),
                       [&](const Json& name) { return name == key; });
}

void addTable(std::string& text, const std::string& name, const Json& object) {
    if (object["properties"].empty())
        return;
    text += "\n## `" + name +
            "`\n\n| key | name | what stands there | without it |\n|---|---|---|---|\n";
    for (const auto& [key, node] : object["properties"].items()) {
        if (node.contains("const"))
            continue;
        std::string form = formText(node);
        if (node.contains("description"))
            form += (form.empty() ? "" : "; ") + node["description"].get<std::string>();
        const std::string absent = isRequired(object, key)    ? "refused"
                                   : node.contains("default") ? "`" + node["default"].dump() + "`"
                                                              : "none";
        text += "| `" + key + "` | " + node.value("title", std::string()) + " | " + form + " | " +
                absent + " |\n";
    }
}

} // namespace

namespace custom {

void describe(KitOfShootTag, Json& object, const char* key, Json& definitions) {
    if (!definitions.contains("kit")) {
        definitions["kit"] = nullptr;
        Json kit = kitObject(definitions);
        definitions["kit"] = std::move(kit);
    }
    object["properties"][key] = {
        {"oneOf", {{{"type", "string"}, {"maxLength", 4000}}, {{"$ref", "#/$defs/kit"}}}}};
}

} // namespace custom

std::string kitSchema() {
    return kitRoot().dump(2) + "\n";
}

std::string shootSchema() {
    return shootRoot().dump(2) + "\n";
}

std::string keyTables() {
    const Json shoot = shootRoot();
    std::string text =
        "# Keys of the file formats\n\n"
        "Written by `bslate schema keys` from the tables that read and write the files; "
        "[file-format.md](file-format.md) says what they mean together. Quantities are texts as "
        "people type them. \"Refused\": a file without the key is not opened.\n";
    addTable(text, "shoot", shoot);
    for (const auto& [name, object] : shoot["$defs"].items())
        addTable(text, name, object);
    return text;
}

} // namespace bslate::io
