#include "io/json/shoot_json.h"

#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "io/json/fields_read.h"
#include "io/json/kit_json.h"
#include "io/json/kit_nodes.h"
#include "io/system/files.h"

namespace bslate::io {
namespace {

constexpr const char* kShootFormat = "bright-slate-shoot";

void readKitFile(ObjectReader& root, const char* key, Shoot& shoot,
                 const std::filesystem::path& folder, const AgreeToKit& agree) {
    auto& state = root.state();
    shoot.kitFile = root.text(key);
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

Result<Shoot> shootFrom(const Json& json, const std::string& file,
                        const std::filesystem::path& folder, const AgreeToKit& agree) {
    ReadState state;
    state.kitFile = [&](ObjectReader& root, const char* key, Shoot& shoot) {
        readKitFile(root, key, shoot, folder, agree);
    };
    ObjectReader root(json, "", state);
    state.version = checkFormat(root, kShootFormat, kShootVersion);
    auto shoot = readObject<Shoot>(root);
    if (state.error) {
        state.error->file = file;
        return *state.error;
    }
    return shoot;
}

} // namespace

namespace custom {

// An object is an embedded kit, a text names a kit file beside the shoot.
void read(KitOfShootTag, ObjectReader& node, const char* key, Shoot& shoot) {
    const Json& kit = node.child(key);
    if (node.state().error)
        return;
    if (!kit.is_object() && node.state().kitFile)
        return node.state().kitFile(node, key, shoot);
    ObjectReader reader(kit, node.pointer(key), node.state());
    shoot.kit = kitFrom(reader);
}

void write(KitOfShootTag, Json& node, const char* key, const Shoot& shoot) {
    node[key] = shoot.kitFile ? Json(*shoot.kitFile) : toJson(shoot.kit);
}

} // namespace custom

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
    Json node = {{"format", kShootFormat}, {"version", kShootVersion}};
    writeFields(node, shoot);
    appendExtra(node, shoot.extra);
    return node.dump(2, ' ', false, Json::error_handler_t::replace) + "\n";
}

Outcome saveShoot(const Shoot& shoot, const std::filesystem::path& path) {
    return writeFileAtomically(path, writeShoot(shoot));
}

} // namespace bslate::io
