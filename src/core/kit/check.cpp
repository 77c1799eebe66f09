#include "core/kit/check.h"

#include "core/base/find_by_id.h"

#include <algorithm>
#include <set>

namespace bslate {
namespace {

// Collects the first fault with its JSON pointer; later checks do nothing.
struct Checker {
    std::optional<Error> error;

    void fail(ErrorCode code, std::string place, std::string got, std::string expected) {
        if (!error)
            error = Error{code, {}, std::move(place), std::move(got), std::move(expected)};
    }

    template<class Items>
    void uniqueIds(const Items& items, const std::string& place) {
        std::set<std::string_view> seen;
        for (std::size_t i = 0; i < items.size(); ++i)
            if (!seen.insert(items[i].id).second)
                fail(ErrorCode::OutOfRange, place + "/" + std::to_string(i) + "/id", items[i].id,
                     "every id only once in this list");
    }

    template<class Items>
    void known(const Items& items, const std::string& id, const std::string& place,
               const char* what) {
        if (findById(items, id))
            return;
        std::string offered;
        for (const auto& item : items)
            if (offered.size() < 80)
                offered += (offered.empty() ? " (" : ", ") + item.id;
        fail(ErrorCode::UnknownId, place, id,
             std::string("the id of ") + what + (offered.empty() ? "" : offered + ")"));
    }

    template<class Items>
    void allKnown(const Items& items, const std::vector<std::string>& ids, const std::string& place,
                  const char* what) {
        for (std::size_t i = 0; i < ids.size(); ++i)
            known(items, ids[i], place + "/" + std::to_string(i), what);
    }
};

void checkProfile(Checker& check, const Kit& kit, const Profile& profile, const std::string& at) {
    if (!profile.measured)
        return;
    const auto& measured = *profile.measured;
    check.known(kit.cameras, measured.camera, at + "/measured/camera", "a camera in this kit");
    check.known(kit.profiles, measured.nominal, at + "/measured/nominal", "a profile in this kit");
    const auto* nominal = findById(kit.profiles, measured.nominal);
    if (nominal && nominal->measured)
        check.fail(ErrorCode::OutOfRange, at + "/measured/nominal", measured.nominal,
                   "a profile that is not itself a measurement");
}

void checkMode(Checker& check, const Camera& camera, const RecordingMode& mode, const Kit& kit,
               const std::string& at) {
    check.known(camera.areas, mode.area, at + "/area", "a sensor area of this camera");
    check.known(camera.codecs, mode.codec, at + "/codec", "a codec of this camera");
    check.allKnown(kit.profiles, mode.profiles, at + "/profiles", "a profile in this kit");
    check.allKnown(camera.cardSlots, mode.slotIds, at + "/slots", "a slot of this camera");
    std::set<FrameRate> seen;
    for (std::size_t i = 0; i < mode.rates.size(); ++i)
        if (!seen.insert(mode.rates[i].rate).second)
            check.fail(ErrorCode::OutOfRange, at + "/rates/" + std::to_string(i) + "/rate", {},
                       "every rate only once in a mode");
    if (mode.offSpeed && mode.offSpeed->fastest < mode.offSpeed->slowest)
        check.fail(ErrorCode::OutOfRange, at + "/off_speed/fastest", {}, "no slower than slowest");
    for (std::size_t i = 1; i < mode.heat.size(); ++i)
        if (mode.heat[i].ambient <= mode.heat[i - 1].ambient)
            check.fail(ErrorCode::OutOfRange, at + "/heat/" + std::to_string(i) + "/ambient", {},
                       "rising temperatures");
}

// Ids named in a condition must exist; other values are checked when they are read.
void checkConditions(Checker& check, const Camera& camera, const Kit& kit,
                     const std::vector<Condition>& conditions, const std::string& at) {
    for (const auto& condition : conditions)
        for (const auto& value : condition.oneOf) {
            const auto* id = std::get_if<std::string>(&value);
            if (!id)
                continue;
            const std::string place = at + "/" + std::string(nameOf(condition.key));
            switch (condition.key) {
            case SettingKey::Mode:
                check.known(camera.modes, *id, place, "a recording mode of this camera");
                break;
            case SettingKey::Area:
                check.known(camera.areas, *id, place, "a sensor area of this camera");
                break;
            case SettingKey::Codec:
                check.known(camera.codecs, *id, place, "a codec of this camera");
                break;
            case SettingKey::Profile:
                check.known(kit.profiles, *id, place, "a profile in this kit");
                break;
            case SettingKey::Region:
                check.known(camera.rateSets, *id, place, "a rate set of this camera");
                break;
            case SettingKey::Slot:
                check.known(camera.cardSlots, *id, place, "a slot of this camera");
                break;
            default:
                break;
            }
        }
}

void checkCamera(Checker& check, const Kit& kit, std::size_t index) {
    const auto& camera = kit.cameras[index];
    const std::string at = "/cameras/" + std::to_string(index);
    check.uniqueIds(camera.areas, at + "/areas");
    check.uniqueIds(camera.codecs, at + "/codecs");
    check.uniqueIds(camera.modes, at + "/modes");
    check.uniqueIds(camera.cardSlots, at + "/slots");
    check.uniqueIds(camera.rateSets, at + "/rate_sets");
    check.uniqueIds(camera.constraints, at + "/constraints");
    check.allKnown(kit.profiles, camera.profiles, at + "/profiles", "a profile in this kit");
    check.allKnown(kit.batteries, camera.batteries, at + "/batteries", "a battery in this kit");
    if (!camera.fixedLens.empty())
        check.known(kit.lenses, camera.fixedLens, at + "/fixed_lens", "a lens in this kit");
    for (std::size_t i = 0; i < camera.modes.size(); ++i)
        checkMode(check, camera, camera.modes[i], kit, at + "/modes/" + std::to_string(i));
    for (std::size_t i = 0; i < camera.isoRules.size(); ++i) {
        const auto& rule = camera.isoRules[i];
        const std::string place = at + "/iso_rules/" + std::to_string(i);
        if (!rule.profile.empty())
            check.known(kit.profiles, rule.profile, place + "/profile", "a profile in this kit");
        if (!rule.codec.empty())
            check.known(camera.codecs, rule.codec, place + "/codec", "a codec of this camera");
    }
    for (std::size_t i = 0; i < camera.constraints.size(); ++i) {
        const auto& rule = camera.constraints[i];
        const std::string place = at + "/constraints/" + std::to_string(i);
        checkConditions(check, camera, kit, rule.when, place + "/when");
        checkConditions(check, camera, kit, rule.then,
                        place + "/" + std::string(nameOf(rule.kind)));
    }
    if (const auto outcome = checkConstraints(camera.constraints); !outcome)
        check.fail(outcome.error().code, at + "/constraints/" + outcome.error().place,
                   outcome.error().got, outcome.error().expected);
}

} // namespace

Outcome checkKit(const Kit& kit) {
    Checker check;
    check.uniqueIds(kit.cameras, "/cameras");
    check.uniqueIds(kit.profiles, "/profiles");
    check.uniqueIds(kit.lenses, "/lenses");
    check.uniqueIds(kit.recipes, "/recipes");
    for (std::size_t i = 0; i < kit.profiles.size(); ++i)
        checkProfile(check, kit, kit.profiles[i], "/profiles/" + std::to_string(i));
    for (std::size_t i = 0; i < kit.recipes.size(); ++i)
        if (const auto outcome = checkLook(kit.recipes[i].look); !outcome)
            check.fail(outcome.error().code, "/recipes/" + std::to_string(i) + "/look",
                       outcome.error().place, outcome.error().expected);
    check.uniqueIds(kit.filters, "/filters");
    check.uniqueIds(kit.gels, "/gels");
    check.uniqueIds(kit.cards, "/cards");
    check.uniqueIds(kit.batteries, "/batteries");
    check.uniqueIds(kit.readers, "/readers");
    check.uniqueIds(kit.drives, "/drives");
    check.uniqueIds(kit.chargers, "/chargers");
    for (std::size_t i = 0; i < kit.chargers.size(); ++i)
        check.allKnown(kit.batteries, kit.chargers[i].batteries,
                       "/chargers/" + std::to_string(i) + "/batteries", "a battery in this kit");
    for (std::size_t i = 0; i < kit.cameras.size() && !check.error; ++i)
        checkCamera(check, kit, i);
    if (check.error)
        return *check.error;
    return Done{};
}

} // namespace bslate
