#include "io/json/shoot_json.h"

#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "io/json/kit_json.h"
#include "io/json/kit_nodes.h"
#include "io/json/shoot_nodes.h"
#include "io/system/files.h"

#include <algorithm>
#include <array>

namespace bslate::io {
namespace {

constexpr std::array kPayerNames = {
    NamedValue<Payer>{"nd", Payer::Nd}, NamedValue<Payer>{"iris", Payer::Iris},
    NamedValue<Payer>{"light", Payer::Light}, NamedValue<Payer>{"rating", Payer::Rating},
    NamedValue<Payer>{"nobody", Payer::Nobody}};

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
    setup.focal = node.quantityOr("focal", parseMillimetres, Millimetres(0));
    if (node.has("focus"))
        setup.focus = node.quantity("focus", parseMetres);
    setup.externalPower = node.flagOr("external_power", false);
    if (node.has("second_slot"))
        setup.secondSlot = node.oneOf("second_slot", table(kSecondSlotNames));
    setup.rate = node.quantity("rate", parseFrameRate);
    setup.shutter = node.quantity("shutter", parseShutter);
    setup.iris = node.quantity("iris", parseTStop);
    setup.filters = node.texts("filters");
    setup.base = node.quantity("base", parseExposureIndex);
    setup.rating = node.quantity("rating", parseExposureIndex);
    setup.white = node.quantityOr("white", parseKelvin, Kelvin(5600));
    setup.school = node.oneOf("school", table(kSchoolNames));
    if (node.has("shutter_school"))
        setup.shutterSchool = node.oneOf("shutter_school", table(kShutterSchoolNames));
    setup.payer = node.oneOf("payer", table(kPayerNames));
    setup.bank = node.wholeOr("bank", 0, 100, 0);
    setup.accepted = acceptedFrom(node);
    setup.extra = node.extra();
    return setup;
}

Json setupJson(const Setup& setup) {
    Json node = {{"id", setup.id},           {"number", setup.number}, {"name", setup.name},
                 {"scene", setup.scene},     {"camera", setup.camera}, {"mode", setup.mode},
                 {"profile", setup.profile}, {"lens", setup.lens}};
    if (setup.focal.value() > 0)
        node["focal"] = spell(setup.focal);
    if (setup.focus)
        node["focus"] = spell(*setup.focus);
    if (setup.externalPower)
        node["external_power"] = true;
    if (setup.secondSlot != SecondSlot::Unused)
        node["second_slot"] = nameIn(table(kSecondSlotNames), setup.secondSlot);
    node.update({{"rate", spell(setup.rate)},
                 {"shutter", spell(setup.shutter)},
                 {"iris", spell(setup.iris)},
                 {"filters", setup.filters},
                 {"base", spell(setup.base)},
                 {"rating", spell(setup.rating)},
                 {"white", spell(setup.white)},
                 {"school", nameIn(table(kSchoolNames), setup.school)},
                 {"shutter_school", nameIn(table(kShutterSchoolNames), setup.shutterSchool)},
                 {"payer", nameIn(table(kPayerNames), setup.payer)},
                 {"bank", setup.bank},
                 {"accepted", acceptedJson(setup.accepted)}});
    appendExtra(node, setup.extra);
    return node;
}

// An object is an embedded kit, a text names a kit file beside the shoot.
void readKitOf(ObjectReader& root, Shoot& shoot, const std::filesystem::path& folder,
               const AgreeToKit& agree) {
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
    const auto path = folder / *shoot.kitFile;
    if (!isWithin(path, folder) && !(agree && agree(*shoot.kitFile))) {
        state.error = Error{ErrorCode::FileElsewhere,
                            {},
                            "/kit",
                            *shoot.kitFile,
                            "a kit beside or below the shoot, or leave to read it"};
        return;
    }
    auto kit = loadKit(path);
    if (kit)
        shoot.kit = *std::move(kit);
    else
        state.fail(kit.error().code, "/kit", *shoot.kitFile,
                   "a kit file beside the shoot (" + message(kit.error()) + ")");
}

} // namespace

namespace {
Result<Shoot> shootFrom(const Json& json, const std::string& file,
                        const std::filesystem::path& folder, const AgreeToKit& agree) {
    ReadState state;
    ObjectReader root(json, "", state);
    checkFormat(root, "bright-slate-shoot", kShootVersion);
    Shoot shoot;
    shoot.title = root.text("title");
    shoot.note = root.textOr("note", {});
    shoot.days = root.wholeOr("days", 1, 10000, 1);
    shoot.snrFloor = root.numberOr("snr_floor", 0.1, 100, 2);
    shoot.meter.k = root.numberOr("meter_k", 5, 30, 12.5);
    shoot.meter.c = root.numberOr("meter_c", 100, 600, 250);
    if (root.has("brief"))
        shoot.brief = briefFrom(root);
    readKitOf(root, shoot, folder, agree);
    shoot.scenes = root.list<Scene>("scenes", [&](const Json& item, const std::string& at) {
        return sceneFrom(item, at, state);
    });
    shoot.setups = root.list<Setup>("setups", [&](const Json& item, const std::string& at) {
        return setupFrom(item, at, state);
    });
    if (root.has("plan"))
        shoot.plan = root.list<ShootDay>("plan", [&](const Json& item, const std::string& at) {
            return dayFrom(item, at, state);
        });
    std::stable_sort(shoot.plan.begin(), shoot.plan.end(),
                     [](const ShootDay& a, const ShootDay& b) { return a.number < b.number; });
    for (std::size_t i = 1; i < shoot.plan.size(); ++i)
        if (shoot.plan[i].number == shoot.plan[i - 1].number)
            root.fail(ErrorCode::OutOfRange, "plan", std::to_string(shoot.plan[i].number),
                      "every day only once");
    checkIds(shoot.scenes, "scenes", root);
    checkIds(shoot.setups, "setups", root);
    shoot.extra = root.extra();
    if (state.error) {
        state.error->file = file;
        return *state.error;
    }
    return shoot;
}

} // namespace

Result<Shoot> readShoot(std::string_view text, const std::string& file,
                        const std::filesystem::path& folder, const AgreeToKit& agree) {
    const auto json = parseJson(text, file);
    return json ? shootFrom(*json, file, folder, agree) : Result<Shoot>(json.error());
}

Result<Shoot> loadShoot(const std::filesystem::path& path, const AgreeToKit& agree) {
    auto text = readFile(path);
    if (!text)
        return text.error();
    const auto json = parseJson(*text, path.string());
    text = std::string(); // of a large file, one copy less
    return json ? shootFrom(*json, path.string(), path.parent_path(), agree)
                : Result<Shoot>(json.error());
}

std::string writeShoot(const Shoot& shoot) {
    Json node = {{"format", "bright-slate-shoot"},
                 {"version", kShootVersion},
                 {"title", shoot.title},
                 {"note", shoot.note},
                 {"days", shoot.days},
                 {"snr_floor", shoot.snrFloor},
                 {"meter_k", shoot.meter.k},
                 {"meter_c", shoot.meter.c},
                 {"brief", briefJson(shoot.brief)}};
    node["kit"] = shoot.kitFile ? Json(*shoot.kitFile) : toJson(shoot.kit);
    node["scenes"] = Json::array();
    for (const auto& scene : shoot.scenes)
        node["scenes"].push_back(sceneJson(scene));
    node["setups"] = Json::array();
    for (const auto& setup : shoot.setups)
        node["setups"].push_back(setupJson(setup));
    if (!shoot.plan.empty())
        putList(node, "plan", shoot.plan, dayJson);
    appendExtra(node, shoot.extra);
    return node.dump(2, ' ', false, Json::error_handler_t::replace) + "\n";
}

Outcome saveShoot(const Shoot& shoot, const std::filesystem::path& path) {
    return writeFileAtomically(path, writeShoot(shoot));
}

} // namespace bslate::io
