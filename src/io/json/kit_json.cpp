#include "io/json/kit_json.h"

#include "core/base/find_by_id.h"
#include "core/kit/check.h"
#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "core/schedule/carriers.h"
#include "io/json/kit_nodes.h"
#include "io/system/files.h"

#include <numeric>

namespace bslate::io {

Filter filterFrom(const Json& json, const std::string& place, ReadState& state, bool builtIn) {
    ObjectReader node(json, place, state);
    Filter filter{node.text("id"),
                  node.text("name"),
                  node.quantity("loss", parseNdLabel),
                  node.flagOr("ir_cut", false),
                  builtIn,
                  {}};
    filter.extra = node.extra();
    return filter;
}

Json filterJson(const Filter& filter) {
    Json node = {{"id", filter.id}, {"name", filter.name}, {"loss", spell(filter.label)}};
    if (filter.irCut)
        node["ir_cut"] = true;
    appendExtra(node, filter.extra);
    return node;
}

namespace {

Lens lensFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Lens lens;
    lens.id = node.text("id");
    lens.name = node.text("name");
    lens.widest = node.quantity("widest", parseTStop);
    lens.narrowest = node.quantity("narrowest", parseTStop);
    lens.shortest = node.quantityOr("shortest", parseMillimetres, Millimetres(0));
    lens.longest = node.quantityOr("longest", parseMillimetres, lens.shortest);
    if (node.has("widest_f"))
        lens.wideF = node.quantity("widest_f", parseFNumber);
    if (node.has("closest"))
        lens.closest = node.quantity("closest", parseMetres);
    lens.extra = node.extra();
    if (!state.error && lens.narrowest < lens.widest)
        node.fail(ErrorCode::OutOfRange, "narrowest", {}, "no wider than widest");
    if (!state.error && lens.longest < lens.shortest)
        node.fail(ErrorCode::OutOfRange, "longest", {}, "no shorter than shortest");
    return lens;
}

Json lensJson(const Lens& lens) {
    Json node = {{"id", lens.id},
                 {"name", lens.name},
                 {"widest", spell(lens.widest)},
                 {"narrowest", spell(lens.narrowest)}};
    if (lens.shortest.value() > 0)
        node["shortest"] = spell(lens.shortest);
    if (lens.longest.value() > 0)
        node["longest"] = spell(lens.longest);
    if (lens.wideF)
        node["widest_f"] = spell(*lens.wideF);
    if (lens.closest)
        node["closest"] = spell(*lens.closest);
    appendExtra(node, lens.extra);
    return node;
}

// Version 1 let a camera name profiles that were not there; they meant nothing.
void dropDanglingProfiles(Kit& kit) {
    const auto dangling = [&](const std::string& id) { return !findById(kit.profiles, id); };
    for (auto& camera : kit.cameras) {
        std::erase_if(camera.profiles, dangling);
        for (auto& mode : camera.modes)
            std::erase_if(mode.profiles, dangling);
    }
}

} // namespace

namespace {
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
    Kit kit;
    const int version = checkFormat(node, "bright-slate-kit", kKitVersion);
    kit.name = node.textOr("name", {});
    kit.cameras = node.list<Camera>("cameras", [&](const Json& item, const std::string& at) {
        return cameraFrom(item, at, state, version);
    });
    kit.profiles = node.list<Profile>("profiles", [&](const Json& item, const std::string& at) {
        return profileFrom(item, at, state);
    });
    kit.lenses = node.list<Lens>("lenses", [&](const Json& item, const std::string& at) {
        return lensFrom(item, at, state);
    });
    kit.filters = node.list<Filter>("filters", [&](const Json& item, const std::string& at) {
        return filterFrom(item, at, state, false);
    });
    kit.filterSlots = node.wholeOr("filter_slots", 0, 8, 2);
    kit.cards = node.list<MemoryCard>(
        "cards", [&](const Json& item, const std::string& at) { return cardFrom(item, at, state); },
        kMostKinds);
    kit.batteries = node.list<Battery>(
        "batteries",
        [&](const Json& item, const std::string& at) { return batteryFrom(item, at, state); },
        kMostKinds);
    checkUnits(node, "cards", kit.cards);
    checkUnits(node, "batteries", kit.batteries);
    readStation(node, kit);
    kit.recipes = node.list<Recipe>("recipes", [&](const Json& item, const std::string& at) {
        return recipeFrom(item, at, state);
    });
    kit.extra = node.extra();
    if (version == 1)
        dropDanglingProfiles(kit);
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
    Json node = {{"format", "bright-slate-kit"}, {"version", kKitVersion}, {"name", kit.name}};
    putList(node, "cameras", kit.cameras, cameraJson);
    putList(node, "profiles", kit.profiles, profileJson);
    putList(node, "lenses", kit.lenses, lensJson);
    putList(node, "filters", kit.filters, filterJson);
    node["filter_slots"] = kit.filterSlots;
    putList(node, "cards", kit.cards, cardJson);
    putList(node, "batteries", kit.batteries, batteryJson);
    writeStation(node, kit);
    putList(node, "recipes", kit.recipes, recipeJson);
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
