#include "io/json/kit_json.h"

#include "core/base/find_by_id.h"
#include "core/kit/check.h"
#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "core/schedule/carriers.h"
#include "io/json/fields_read.h"
#include "io/json/kit_nodes.h"
#include "io/system/files.h"

#include <numeric>

namespace bslate::io {

namespace {

constexpr const char* kKitFormat = "bright-slate-kit";

// Version 1 let a camera name profiles that were not there; they meant nothing.
void dropDanglingProfiles(Kit& kit) {
    const auto dangling = [&](const std::string& id) { return !findById(kit.profiles, id); };
    for (auto& camera : kit.cameras) {
        std::erase_if(camera.profiles, dangling);
        for (auto& mode : camera.modes)
            std::erase_if(mode.profiles, dangling);
    }
}

// Days are planned with every single one.
template<class Kinds>
void checkUnits(ObjectReader& node, const char* key, const Kinds& kinds) {
    const int count = std::accumulate(kinds.begin(), kinds.end(), 0,
                                      [](int sum, const auto& kind) { return sum + kind.count; });
    if (count > kMostUnits)
        node.fail(ErrorCode::OutOfRange, key, std::to_string(count),
                  "at most " + std::to_string(kMostUnits) + " of all kinds together");
}
} // namespace

Kit kitFrom(ObjectReader& node) {
    auto& state = node.state();
    const int around = state.version; // a kit in a shoot has a version of its own
    state.version = checkFormat(node, kKitFormat, kKitVersion);
    Kit kit = readObject<Kit>(node);
    if (state.version == 1)
        dropDanglingProfiles(kit);
    state.version = around;
    checkUnits(node, "cards", kit.cards);
    checkUnits(node, "batteries", kit.batteries);
    if (state.error)
        return kit;
    if (const auto outcome = checkKit(kit); !outcome) {
        const auto& error = outcome.error();
        state.fail(error.code,
                   node.pointer("").substr(0, node.pointer("").size() - 1) + error.place, error.got,
                   error.expected);
    }
    return kit;
}

Json toJson(const Kit& kit) {
    Json node = {{"format", kKitFormat}, {"version", kKitVersion}};
    writeFields(node, kit);
    appendExtra(node, kit.extra);
    return node;
}

Result<Kit> readKit(std::string_view text, const std::string& file) {
    const auto json = parseJson(text, file);
    if (!json)
        return json.error();
    ReadState state;
    ObjectReader root(*json, "", state);
    Kit kit = kitFrom(root);
    if (state.error) {
        state.error->file = file;
        return *state.error;
    }
    return kit;
}

Result<Kit> loadKit(const std::filesystem::path& path) {
    const auto text = readFile(path);
    return text ? readKit(*text, path.string()) : Result<Kit>(text.error());
}

std::string writeKit(const Kit& kit) {
    return toJson(kit).dump(2, ' ', false, Json::error_handler_t::replace) + "\n";
}

} // namespace bslate::io
