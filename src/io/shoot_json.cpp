#include "io/shoot_json.h"

#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "io/files.h"
#include "io/kit_json.h"
#include "io/kit_nodes.h"

#include <array>

namespace bslate::io {
namespace {

constexpr std::array kRoleNames = {NamedValue<PatchRole>{"grey", PatchRole::Grey},
                                   NamedValue<PatchRole>{"skin-light", PatchRole::SkinLight},
                                   NamedValue<PatchRole>{"skin-medium", PatchRole::SkinMedium},
                                   NamedValue<PatchRole>{"skin-dark", PatchRole::SkinDark},
                                   NamedValue<PatchRole>{"highlight", PatchRole::Highlight},
                                   NamedValue<PatchRole>{"shadow", PatchRole::Shadow},
                                   NamedValue<PatchRole>{"white", PatchRole::White},
                                   NamedValue<PatchRole>{"spare", PatchRole::Spare}};
constexpr std::array kSchoolNames = {
    NamedValue<School>{"nominal", School::Nominal}, NamedValue<School>{"rated", School::Rated},
    NamedValue<School>{"to-the-right", School::ToTheRight},
    NamedValue<School>{"guard", School::Guard}, NamedValue<School>{"raw", School::Raw}};
constexpr std::array kPayerNames = {
    NamedValue<Payer>{"nd", Payer::Nd}, NamedValue<Payer>{"iris", Payer::Iris},
    NamedValue<Payer>{"light", Payer::Light}, NamedValue<Payer>{"rating", Payer::Rating},
    NamedValue<Payer>{"nobody", Payer::Nobody}};

template<class E, std::size_t N>
std::span<const NamedValue<E>> table(const std::array<NamedValue<E>, N>& names) {
    return names;
}

Patch patchFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Patch patch;
    patch.id = node.text("id");
    patch.name = node.text("name");
    patch.role = node.oneOf("role", table(kRoleNames));
    patch.reading = node.quantity("reading", parseLightReading);
    patch.reflectance = node.quantityOr("reflectance", parseReflectance, Reflectance(0.18));
    patch.extra = node.extra();
    return patch;
}

Json patchJson(const Patch& patch) {
    Json node = {{"id", patch.id},
                 {"name", patch.name},
                 {"role", nameIn(table(kRoleNames), patch.role)},
                 {"reading", spell(patch.reading)},
                 {"reflectance", spell(patch.reflectance)}};
    appendExtra(node, patch.extra);
    return node;
}

Hazards hazardsFrom(ObjectReader& scene) {
    Hazards hazards;
    const auto names = scene.texts("hazards");
    for (const auto& name : names) {
        if (name == "sun")
            hazards.sun = true;
        else if (name == "water")
            hazards.water = true;
        else if (name == "mains")
            hazards.mains = true;
        else if (name == "heights")
            hazards.heights = true;
        else
            scene.fail(ErrorCode::WrongType, "hazards", name, "sun, water, mains or heights");
    }
    return hazards;
}

Json hazardsJson(const Hazards& hazards) {
    Json names = Json::array();
    if (hazards.sun)
        names.push_back("sun");
    if (hazards.water)
        names.push_back("water");
    if (hazards.mains)
        names.push_back("mains");
    if (hazards.heights)
        names.push_back("heights");
    return names;
}

Scene sceneFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Scene scene;
    scene.id = node.text("id");
    scene.name = node.text("name");
    scene.day = node.wholeOr("day", 1, 10000, 1);
    scene.note = node.textOr("note", {});
    scene.hazards = hazardsFrom(node);
    scene.patches = node.list<Patch>("patches", [&](const Json& item, const std::string& at) {
        return patchFrom(item, at, state);
    });
    scene.extra = node.extra();
    return scene;
}

Json sceneJson(const Scene& scene) {
    Json patches = Json::array();
    for (const auto& patch : scene.patches)
        patches.push_back(patchJson(patch));
    Json node = {{"id", scene.id},
                 {"name", scene.name},
                 {"day", scene.day},
                 {"note", scene.note},
                 {"hazards", hazardsJson(scene.hazards)},
                 {"patches", patches}};
    appendExtra(node, scene.extra);
    return node;
}

Acceptance acceptanceFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Acceptance acceptance{node.text("finding"), node.text("reason"), {}};
    acceptance.extra = node.extra();
    if (acceptance.reason.empty())
        node.fail(ErrorCode::EmptyText, "reason", {}, "why this is accepted");
    return acceptance;
}

Setup setupFrom(const Json& json, const std::string& place, ReadState& state) {
    ObjectReader node(json, place, state);
    Setup setup;
    setup.id = node.text("id");
    setup.number = node.text("number");
    setup.name = node.text("name");
    setup.scene = node.text("scene");
    setup.camera = node.text("camera");
    setup.mode = node.text("mode");
    setup.profile = node.text("profile");
    setup.lens = node.textOr("lens", {});
    setup.rate = node.quantity("rate", parseFrameRate);
    setup.shutter = node.quantity("shutter", parseShutter);
    setup.iris = node.quantity("iris", parseTStop);
    setup.filters = node.texts("filters");
    setup.base = node.quantity("base", parseExposureIndex);
    setup.rating = node.quantity("rating", parseExposureIndex);
    setup.white = node.quantityOr("white", parseKelvin, Kelvin(5600));
    setup.school = node.oneOf("school", table(kSchoolNames));
    setup.payer = node.oneOf("payer", table(kPayerNames));
    setup.bank = node.wholeOr("bank", 0, 100, 0);
    setup.accepted =
        node.list<Acceptance>("accepted", [&](const Json& item, const std::string& at) {
            return acceptanceFrom(item, at, state);
        });
    setup.extra = node.extra();
    return setup;
}

Json setupJson(const Setup& setup) {
    Json accepted = Json::array();
    for (const auto& item : setup.accepted) {
        accepted.push_back({{"finding", item.finding}, {"reason", item.reason}});
        appendExtra(accepted.back(), item.extra);
    }
    Json node = {{"id", setup.id},
                 {"number", setup.number},
                 {"name", setup.name},
                 {"scene", setup.scene},
                 {"camera", setup.camera},
                 {"mode", setup.mode},
                 {"profile", setup.profile},
                 {"lens", setup.lens},
                 {"rate", spell(setup.rate)},
                 {"shutter", spell(setup.shutter)},
                 {"iris", spell(setup.iris)},
                 {"filters", setup.filters},
                 {"base", spell(setup.base)},
                 {"rating", spell(setup.rating)},
                 {"white", spell(setup.white)},
                 {"school", nameIn(table(kSchoolNames), setup.school)},
                 {"payer", nameIn(table(kPayerNames), setup.payer)},
                 {"bank", setup.bank},
                 {"accepted", accepted}};
    appendExtra(node, setup.extra);
    return node;
}

// Ids must be unique: everything else refers to them.
template<class Item>
void checkIds(const std::vector<Item>& items, const char* key, ObjectReader& root) {
    std::set<std::string_view> seen;
    for (const auto& item : items)
        if (!seen.insert(item.id).second)
            root.fail(ErrorCode::OutOfRange, key, item.id, "every id only once");
}

// An object is an embedded kit, a text names a kit file beside the shoot.
void readKitOf(ObjectReader& root, Shoot& shoot, const std::filesystem::path& folder) {
    const Json& node = root.child("kit");
    auto& state = root.state();
    if (state.error)
        return;
    if (node.is_object()) {
        ObjectReader kit(node, "/kit", state);
        shoot.kit = kitFrom(kit);
        return;
    }
    shoot.kitFile = root.text("kit");
    if (state.error)
        return;
    auto kit = loadKit(folder / *shoot.kitFile);
    if (kit)
        shoot.kit = *std::move(kit);
    else
        state.fail(kit.error().code, "/kit", *shoot.kitFile,
                   "a kit file beside the shoot (" + message(kit.error()) + ")");
}

} // namespace

Result<Shoot> readShoot(std::string_view text, const std::string& file,
                        const std::filesystem::path& folder) {
    const auto json = parseJson(text, file);
    if (!json)
        return json.error();
    ReadState state;
    ObjectReader root(*json, "", state);
    checkFormat(root, "bright-slate-shoot", kShootVersion);
    Shoot shoot;
    shoot.title = root.text("title");
    shoot.note = root.textOr("note", {});
    shoot.days = root.wholeOr("days", 1, 10000, 1);
    shoot.snrFloor = root.numberOr("snr_floor", 0.1, 100, 2);
    shoot.meter.k = root.numberOr("meter_k", 5, 30, 12.5);
    shoot.meter.c = root.numberOr("meter_c", 100, 600, 250);
    readKitOf(root, shoot, folder);
    shoot.scenes = root.list<Scene>("scenes", [&](const Json& item, const std::string& at) {
        return sceneFrom(item, at, state);
    });
    shoot.setups = root.list<Setup>("setups", [&](const Json& item, const std::string& at) {
        return setupFrom(item, at, state);
    });
    checkIds(shoot.scenes, "scenes", root);
    checkIds(shoot.setups, "setups", root);
    shoot.extra = root.extra();
    if (state.error) {
        state.error->file = file;
        return *state.error;
    }
    return shoot;
}

Result<Shoot> loadShoot(const std::filesystem::path& path) {
    const auto text = readFile(path);
    return text ? readShoot(*text, path.string(), path.parent_path()) : Result<Shoot>(text.error());
}

std::string writeShoot(const Shoot& shoot) {
    Json node = {{"format", "bright-slate-shoot"},
                 {"version", kShootVersion},
                 {"title", shoot.title},
                 {"note", shoot.note},
                 {"days", shoot.days},
                 {"snr_floor", shoot.snrFloor},
                 {"meter_k", shoot.meter.k},
                 {"meter_c", shoot.meter.c}};
    node["kit"] = shoot.kitFile ? Json(*shoot.kitFile) : toJson(shoot.kit);
    node["scenes"] = Json::array();
    for (const auto& scene : shoot.scenes)
        node["scenes"].push_back(sceneJson(scene));
    node["setups"] = Json::array();
    for (const auto& setup : shoot.setups)
        node["setups"].push_back(setupJson(setup));
    appendExtra(node, shoot.extra);
    return node.dump(2, ' ', false, Json::error_handler_t::replace) + "\n";
}

Outcome saveShoot(const Shoot& shoot, const std::filesystem::path& path) {
    return writeFileAtomically(path, writeShoot(shoot));
}

} // namespace bslate::io
