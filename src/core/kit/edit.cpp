#include "core/kit/edit.h"

#include "core/base/fresh_id.h"
#include "core/kit/body_line.h"
#include "core/kit/mode_line.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

void rename(std::vector<std::string>& ids, const std::string& from, const std::string& to) {
    std::replace(ids.begin(), ids.end(), from, to);
}

void renameIn(std::vector<Condition>& conditions, SettingKey key, const std::string& from,
              const std::string& to) {
    for (auto& condition : conditions)
        if (condition.key == key)
            for (auto& value : condition.oneOf)
                if (value == SettingValue(from))
                    value = to;
}

void renameProfile(Kit& kit, const std::string& from, const std::string& to) {
    for (auto& profile : kit.profiles)
        if (profile.measured && profile.measured->nominal == from)
            profile.measured->nominal = to;
    for (auto& camera : kit.cameras) {
        rename(camera.profiles, from, to);
        for (auto& mode : camera.modes)
            rename(mode.profiles, from, to);
        for (auto& rule : camera.isoRules)
            if (rule.profile == from)
                rule.profile = to;
        for (auto& constraint : camera.constraints) {
            renameIn(constraint.when, SettingKey::Profile, from, to);
            renameIn(constraint.then, SettingKey::Profile, from, to);
        }
    }
}

// Adds the items of `from` to `into`; `renamed(old, new)` is told of every id that had to change.
template<class Item, class Renamed>
void add(std::vector<Item>& into, std::vector<Item>& from, Renamed renamed) {
    for (auto& item : from) {
        const auto* there = findById(into, item.id);
        if (there && *there == item)
            continue;
        if (there) {
            const std::string old = item.id;
            item.id = freeIdIn(old, [&](const std::string& id) {
                return findById(into, id) ||
                       std::count_if(from.begin(), from.end(), [&](const Item& other) {
                           return &other != &item && other.id == id;
                       }) > 0;
            });
            renamed(old, item.id);
        }
        into.push_back(item);
    }
}

} // namespace

Kit merged(const Kit& kit, Kit other) {
    Kit result = kit;
    const auto nobody = [](const std::string&, const std::string&) {};
    // What cameras name comes first, so that their references are settled before they are added.
    // A body that has to be renamed takes its measurements along, so its new id comes before them.
    for (auto& camera : other.cameras) {
        const auto* there = findCamera(kit, camera.id);
        if (!there || *there == camera)
            continue;
        const std::string fresh = freeIdIn(camera.id, [&](const std::string& id) {
            return findCamera(kit, id) || findCamera(other, id);
        });
        for (auto& profile : other.profiles)
            if (profile.measured && profile.measured->camera == camera.id)
                profile.measured->camera = fresh;
        camera.id = fresh;
    }
    add(result.profiles, other.profiles,
        [&](const std::string& from, const std::string& to) { renameProfile(other, from, to); });
    add(result.lenses, other.lenses, [&](const std::string& from, const std::string& to) {
        for (auto& camera : other.cameras)
            if (camera.fixedLens == from)
                camera.fixedLens = to;
    });
    add(result.batteries, other.batteries, [&](const std::string& from, const std::string& to) {
        for (auto& camera : other.cameras)
            rename(camera.batteries, from, to);
        for (auto& charger : other.chargers)
            rename(charger.batteries, from, to);
    });
    add(result.filters, other.filters, nobody);
    add(result.gels, other.gels, nobody);
    add(result.cards, other.cards, nobody);
    add(result.readers, other.readers, nobody);
    add(result.drives, other.drives, nobody);
    add(result.chargers, other.chargers, nobody);
    add(result.recipes, other.recipes, nobody);
    add(result.cameras, other.cameras, nobody);
    return result;
}

namespace {

// A measurement is nothing without the profile it was made in.
void dropWithoutNominal(Kit& kit) {
    const auto orphan = [&](const Profile& profile) {
        return profile.measured && !findProfile(kit, profile.measured->nominal);
    };
    for (const auto& profile : kit.profiles)
        if (orphan(profile))
            for (auto& camera : kit.cameras)
                std::erase(camera.profiles, profile.id);
    std::erase_if(kit.profiles, orphan);
}

} // namespace

Result<Kit> extracted(const Kit& kit, std::string_view id) {
    const auto* camera = findCamera(kit, id);
    if (!camera)
        return Error{
            ErrorCode::UnknownId, {}, {}, std::string(id), "the id of a camera in the kit"};
    Kit result;
    result.name = camera->name;
    result.cameras = {*camera};
    const auto named = [](const std::vector<std::string>& ids, const std::string& wanted) {
        return std::find(ids.begin(), ids.end(), wanted) != ids.end();
    };
    for (const auto& profile : kit.profiles) {
        bool needed = named(camera->profiles, profile.id);
        for (const auto& mode : camera->modes)
            needed = needed || named(mode.profiles, profile.id);
        for (const auto& rule : camera->isoRules)
            needed = needed || rule.profile == profile.id;
        for (const auto& constraint : camera->constraints)
            for (const auto* list : {&constraint.when, &constraint.then})
                for (const auto& condition : *list)
                    needed =
                        needed || (condition.key == SettingKey::Profile &&
                                   std::find(condition.oneOf.begin(), condition.oneOf.end(),
                                             SettingValue(profile.id)) != condition.oneOf.end());
        if (needed && (!profile.measured || profile.measured->camera == camera->id))
            result.profiles.push_back(profile);
    }
    if (result.profiles.size() < kit.profiles.size())
        dropWithoutNominal(result);
    for (const auto& lens : kit.lenses)
        if (lens.id == camera->fixedLens)
            result.lenses.push_back(lens);
    for (const auto& battery : kit.batteries)
        if (named(camera->batteries, battery.id))
            result.batteries.push_back(battery);
    return result;
}

Result<Camera> withModeLines(Camera camera, const std::vector<std::string>& lines) {
    const auto before = camera.modes;
    std::vector<std::string> own;
    own.reserve(before.size());
    for (const auto& mode : before)
        own.push_back(lineOf(camera, mode));
    const auto sameAs = [&](const std::string& line) {
        return static_cast<std::size_t>(std::find(own.begin(), own.end(), line) - own.begin());
    };
    camera.modes.clear();
    std::size_t position = 0;
    for (std::size_t i = 0; i < lines.size(); ++i) {
        if (lines[i].find_first_not_of(" \t") == std::string::npos)
            continue;
        const std::size_t at = position++;
        if (const auto same = sameAs(lines[i]); same < before.size()) {
            if (!findById(camera.modes, before[same].id)) {
                camera.modes.push_back(before[same]);
                continue;
            }
        }
        const auto line = parseModeLine(lines[i]);
        if (!line) {
            Error error = line.error();
            error.place = "line " + std::to_string(i + 1);
            return error;
        }
        const bool replaces = at < before.size() &&
                              std::find(lines.begin(), lines.end(), own[at]) == lines.end() &&
                              !findById(camera.modes, before[at].id);
        addMode(camera, *line);
        if (replaces) {
            auto& mode = camera.modes.back();
            mode.id = before[at].id;
            mode.profiles = before[at].profiles;
            mode.slotIds = before[at].slotIds;
            mode.proxy = before[at].proxy;
            mode.extra = before[at].extra;
        }
    }
    if (camera.modes.empty())
        return Error{ErrorCode::EmptyText,
                     {},
                     "line 1",
                     {},
                     "at least one mode, such as: UHD long 10-bit 4:2:2 24/25@100"};
    if (std::any_of(camera.modes.begin(), camera.modes.end(),
                    [](const RecordingMode& mode) { return !mode.heat.empty(); }))
        std::erase(camera.guessed, CameraFact::Heat);
    return camera;
}

Result<Camera> withBodyLines(Camera camera, const std::vector<std::string>& lines) {
    auto body = bodyFrom(camera.body, lines);
    if (!body)
        return body.error();
    camera.body = *std::move(body);
    countBanks(camera);
    return camera;
}

Electrons readNoiseFor(Electrons fullWell, Stops range) {
    const double n = fullWell.value() / ratio(range);
    return Electrons(std::sqrt(std::max(0.0, n * n / 4.0 - n)));
}

} // namespace bslate
