// A curve: the family it names, and the parameters of that family beside it.
#include "io/json/fields_schema.h"

#include <algorithm>

namespace bslate::io::custom {
namespace {

static_assert(std::size(kFamilyNames) == std::variant_size_v<CurveFamily>);

// The alternative of this index, read from the object that names it.
template<std::size_t index = 0>
void readFamily(ObjectReader& node, std::size_t wanted, CurveFamily& family) {
    if constexpr (index < std::variant_size_v<CurveFamily>) {
        if (index != wanted)
            return readFamily<index + 1>(node, wanted, family);
        std::variant_alternative_t<index, CurveFamily> own;
        readFields(node, own);
        if (!node.state().error)
            family = std::move(own);
    }
}

} // namespace

void read(CurveFamilyTag, ObjectReader& node, const char* key, CurveFamily& family) {
    const std::string name = node.text(key);
    const auto found = std::find(std::begin(kFamilyNames), std::end(kFamilyNames), name);
    if (found != std::end(kFamilyNames))
        return readFamily(node, static_cast<std::size_t>(found - kFamilyNames), family);
    std::string expected;
    for (const auto known : kFamilyNames)
        expected += (expected.empty() ? "one of " : ", ") + std::string(known);
    node.fail(ErrorCode::WrongType, key, name, expected);
}

void write(CurveFamilyTag, Json& node, const char* key, const CurveFamily& family) {
    node[key] = kFamilyNames[family.index()];
    std::visit([&](const auto& own) { writeFields(node, own); }, family);
}

namespace {

template<std::size_t index = 0>
void describeFamilies(Json& object, Json& definitions) {
    if constexpr (index < std::variant_size_v<CurveFamily>) {
        Json own = Json::object();
        addFields<std::variant_alternative_t<index, CurveFamily>>(own, definitions);
        const auto properties = own.value("properties", Json::object());
        for (const auto& [key, node] : properties.items())
            object["properties"][key] = node;
        describeFamilies<index + 1>(object, definitions);
    }
}

} // namespace

void describe(CurveFamilyTag, Json& object, const char* key, Json& definitions) {
    object["properties"][key] = {
        {"enum", Json(std::vector<std::string>(std::begin(kFamilyNames), std::end(kFamilyNames)))}};
    describeFamilies(object, definitions);
}

} // namespace bslate::io::custom
