#include "core/kit/profile_edit.h"

#include "core/base/find_by_id.h"

#include <algorithm>

namespace bslate {
namespace {

Error unknown(std::string_view place, std::string_view id, std::string_view expected) {
    return {ErrorCode::UnknownId, {}, std::string(place), std::string(id), std::string(expected)};
}

std::string freshId(const Kit& kit, const std::string& wanted) {
    std::string id = wanted;
    for (int n = 2; findProfile(kit, id); ++n)
        id = wanted + "-" + std::to_string(n);
    return id;
}

void addOnce(std::vector<std::string>& ids, const std::string& id) {
    if (std::find(ids.begin(), ids.end(), id) == ids.end())
        ids.push_back(id);
}

// Wherever a list speaks of the nominal profile it speaks of the measured one too.
void addBeside(std::vector<std::string>& ids, const std::string& nominal, const std::string& id) {
    if (std::find(ids.begin(), ids.end(), nominal) != ids.end())
        addOnce(ids, id);
}

void addBeside(std::vector<Condition>& conditions, const std::string& nominal,
               const std::string& id) {
    for (auto& condition : conditions) {
        auto& values = condition.oneOf;
        const bool speaks =
            condition.key == SettingKey::Profile &&
            std::find(values.begin(), values.end(), SettingValue(nominal)) != values.end();
        if (speaks && std::find(values.begin(), values.end(), SettingValue(id)) == values.end())
            values.emplace_back(id);
    }
}

void standBeside(Camera& camera, const std::string& nominal, const std::string& id) {
    addOnce(camera.profiles, id);
    for (auto& mode : camera.modes)
        addBeside(mode.profiles, nominal, id);
    const auto rules = camera.isoRules;
    for (const auto& rule : rules) {
        const bool there = std::any_of(rules.begin(), rules.end(), [&](const IsoRule& other) {
            return other.profile == id && other.codec == rule.codec;
        });
        if (rule.profile != nominal || there)
            continue;
        auto copy = rule;
        copy.profile = id;
        // Before the nominal rule: the first that matches counts.
        camera.isoRules.insert(camera.isoRules.begin(), std::move(copy));
    }
    for (auto& constraint : camera.constraints) {
        addBeside(constraint.when, nominal, id);
        addBeside(constraint.then, nominal, id);
    }
}

} // namespace

Result<Kit> withProfile(const Kit& kit, Profile profile, const std::vector<std::string>& cameras) {
    Kit result = kit;
    profile.id = freshId(kit, profile.id.empty() ? "profile" : profile.id);
    for (const auto& id : cameras) {
        auto* camera = findById(result.cameras, id);
        if (!camera)
            return unknown("cameras", id, "the id of a camera in the kit");
        addOnce(camera->profiles, profile.id);
        // A mode that names its profiles records this one when it records another of its sort.
        for (auto& mode : camera->modes)
            if (std::any_of(mode.profiles.begin(), mode.profiles.end(), [&](const auto& named) {
                    const auto* other = findProfile(kit, named);
                    return other && isLog(*other) == isLog(profile);
                }))
                addOnce(mode.profiles, profile.id);
    }
    result.profiles.push_back(std::move(profile));
    return result;
}

Kit withoutProfile(Kit kit, const std::string& wanted) {
    const auto profiles = kit.profiles;
    for (const auto& profile : profiles)
        if (profile.id != wanted && profile.measured && profile.measured->nominal == wanted)
            kit = withoutProfile(std::move(kit), profile.id);
    std::erase_if(kit.profiles, [&](const Profile& profile) { return profile.id == wanted; });
    for (auto& camera : kit.cameras) {
        std::erase(camera.profiles, wanted);
        for (auto& mode : camera.modes)
            std::erase(mode.profiles, wanted);
        std::erase_if(camera.isoRules, [&](const IsoRule& rule) { return rule.profile == wanted; });
        for (auto& constraint : camera.constraints)
            for (auto* list : {&constraint.when, &constraint.then})
                for (auto& condition : *list)
                    if (condition.key == SettingKey::Profile && condition.oneOf.size() > 1)
                        std::erase(condition.oneOf, SettingValue(wanted));
    }
    return kit;
}

Measurement measurementOf(const SeriesFit& fit, std::vector<SeriesReading> readings, double snr) {
    Measurement measured;
    measured.clip = fit.clip;
    measured.noiseFloor = fit.noiseFloor;
    measured.snr = snr;
    measured.shift = fit.shift;
    measured.relative = fit.relative;
    measured.flare = fit.flare;
    measured.rms = fit.rms;
    measured.readings = std::move(readings);
    return measured;
}

Result<Kit> withMeasured(const Kit& kit, const Measurement& measurement, const Curve& curve) {
    Kit result = kit;
    auto* camera = findById(result.cameras, measurement.camera);
    if (!camera)
        return unknown("camera", measurement.camera, "the id of a camera in the kit");
    const auto* nominal = findProfile(kit, measurement.nominal);
    if (!nominal || nominal->measured)
        return unknown("profile", measurement.nominal, "the id of a nominal profile in the kit");
    if (std::none_of(camera->bases.begin(), camera->bases.end(),
                     [&](const BaseIso& base) { return base.iso == measurement.base; }))
        return unknown("base", std::to_string(static_cast<int>(measurement.base.value())),
                       "a base ISO of this camera");
    Profile profile = *nominal;
    profile.curve = curve;
    profile.measured = measurement;
    profile.name = nominal->name + ", measured";
    for (auto& earlier : result.profiles)
        if (earlier.measured && earlier.measured->camera == measurement.camera &&
            earlier.measured->nominal == measurement.nominal &&
            earlier.measured->base == measurement.base) {
            profile.id = earlier.id;
            profile.name = earlier.name;
            earlier = std::move(profile);
            return result;
        }
    profile.id = freshId(kit, nominal->id + "-" + camera->id);
    standBeside(*camera, nominal->id, profile.id);
    result.profiles.push_back(std::move(profile));
    return result;
}

Result<Kit> withRecipeIn(const Kit& kit, std::string_view profile, std::string_view recipe) {
    Kit result = kit;
    auto* slot = findById(result.profiles, profile);
    if (!slot)
        return unknown("profile", profile, "the id of a profile in the kit");
    const auto* wanted = findRecipe(kit, recipe);
    if (!wanted)
        return unknown("recipe", recipe, "the id of a recipe in the kit");
    *slot = applied(*slot, *wanted);
    return result;
}

} // namespace bslate
