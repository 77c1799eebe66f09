#include "cli/inputs.h"

#include "core/quantity/print.h"
#include "core/quantity/scan.h"
#include "core/shoot/shoot_fields.h"
#include "io/json/shoot_json.h"
#include "io/system/files.h"

#include <charconv>

namespace bslate::cli {
namespace {

template<class Items>
std::string idsOf(const Items& items) {
    std::string ids;
    for (const auto& item : items)
        ids += (ids.empty() ? "one of " : ", ") + item.id;
    return ids.empty() ? "an id; there is none" : ids;
}

} // namespace

Error usage(std::string place, std::string got, std::string expected) {
    return {ErrorCode::Usage, {}, std::move(place), std::move(got), std::move(expected)};
}

Result<double> numberOf(const char* option, const std::string& text, double low, double high,
                        std::string_view expected) {
    const auto scanned = scan(text, expected);
    if (!scanned || !scanned->prefix.empty() || !scanned->unit.empty() || scanned->value < low ||
        scanned->value > high)
        return usage(option, text, std::string(expected));
    return scanned->value;
}

Result<std::int64_t> wholeOf(const char* option, const std::string& text, std::int64_t low,
                             std::int64_t high, std::string_view expected) {
    std::int64_t value = 0;
    const auto end = text.data() + text.size();
    const auto read = std::from_chars(text.data(), end, value);
    if (text.empty() || read.ec != std::errc() || read.ptr != end || value < low || value > high)
        return usage(option, text, std::string(expected));
    return value;
}

Result<double> snrOf(const std::string& text) {
    return numberOf("--snr", text, 0.01, 100, "a signal-to-noise ratio from 0.01 to 100");
}

std::string_view keyOf(School school) {
    return nameIn(std::span<const NamedValue<School>>(kSchoolNames), school);
}

Result<School> schoolNamed(const std::string& text) {
    if (const auto* school = valueIn(std::span<const NamedValue<School>>(kSchoolNames), text))
        return *school;
    return usage("--school", text, "nominal, rated, to-the-right, guard or raw");
}

Result<Shoot> opened(const ShootFile& file) {
    auto shoot = io::loadShoot(file.path, [&](const std::string&) { return file.kitElsewhere; });
    if (shoot || shoot.error().code != ErrorCode::FileElsewhere)
        return shoot;
    Error error = shoot.error();
    error.expected = "a kit beside or below the shoot; --kit-elsewhere reads it there";
    return error;
}

Result<const Setup*> setupNamed(const Shoot& shoot, const std::string& file,
                                const std::string& name) {
    for (const auto& setup : shoot.setups)
        if (setup.id == name || setup.number == name)
            return &setup;
    return Error{ErrorCode::UnknownId, file, "--setup", name, idsOf(shoot.setups)};
}

Result<OpenedSetup> openedSetup(const ShootFile& file, const std::string& name) {
    auto shoot = opened(file);
    if (!shoot)
        return shoot.error();
    const auto setup = setupNamed(*shoot, file.path, name);
    if (!setup)
        return setup.error();
    const auto index = static_cast<std::size_t>(*setup - shoot->setups.data());
    return OpenedSetup{*std::move(shoot), index};
}

Result<const Camera*> cameraNamed(const Kit& kit, const std::string& file, const std::string& id) {
    if (const auto* camera = findCamera(kit, id))
        return camera;
    return Error{ErrorCode::UnknownId, file, "--camera", id, idsOf(kit.cameras)};
}

Result<const Profile*> profileNamed(const Kit& kit, const std::string& file,
                                    const std::string& id) {
    if (const auto* profile = findProfile(kit, id))
        return profile;
    return Error{ErrorCode::UnknownId, file, "--profile", id, idsOf(kit.profiles)};
}

std::string basesText(const Camera& camera, const Profile& profile) {
    std::string text;
    for (const auto& base : camera.bases)
        if (nearestBase(camera, profile, base.iso).iso == base.iso)
            text += (text.empty() ? "" : ", ") + print(base.iso);
    return text;
}

Outcome writeOutput(const std::string& path, std::string_view text, bool force) {
    const auto obstacles = io::obstaclesTo(path);
    if (!obstacles.empty() && !force && obstacles.back() != io::Obstacle::NotAFile)
        return Error{ErrorCode::FileUnwritable,
                     path,
                     "--output",
                     {},
                     "a name that is free, or --force: it " +
                         std::string(io::wordsFor(obstacles.back()))};
    return io::writeFileAtomically(path, text);
}

} // namespace bslate::cli
