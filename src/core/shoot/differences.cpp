#include "core/shoot/differences.h"

#include "core/shoot/revision.h"

#include <algorithm>

namespace bslate {
namespace {

// `nameOf` says what a part is called, `same` whether two are the same one.
template<class Part, class Name, class Same>
void tell(const std::vector<Part>& before, const std::vector<Part>& after,
          const PartsRevision<Part>& revision, Name nameOf, Same same,
          std::vector<std::string>& told) {
    const auto has = [&](const std::vector<Part>& parts, const Part& wanted) {
        return std::any_of(parts.begin(), parts.end(),
                           [&](const Part& part) { return same(part, wanted); });
    };
    for (const auto& part : revision.put)
        told.push_back(nameOf(part) + (has(before, part) ? " changed" : " added"));
    if (revision.order) // else they are the same ones
        for (const auto& part : before)
            if (!has(after, part))
                told.push_back(nameOf(part) + " removed");
}

constexpr auto kSameId = [](const auto& a, const auto& b) { return a.id == b.id; };
constexpr auto kSameNumber = [](const ShootDay& a, const ShootDay& b) {
    return a.number == b.number;
};

} // namespace

std::vector<std::string> differencesBetween(const Shoot& before, const Shoot& after) {
    const auto revision = revisionBetween(before, after);
    std::vector<std::string> told;
    if (before.title != after.title || before.note != after.note)
        told.emplace_back("title or note changed");
    if (revision.brief || before.days != after.days || before.snrFloor != after.snrFloor ||
        !(before.meter == after.meter))
        told.emplace_back("brief changed");
    if (revision.kit || before.kitFile != after.kitFile)
        told.emplace_back("kit changed");
    tell(
        before.scenes, after.scenes, revision.scenes,
        [](const Scene& scene) { return "scene " + scene.name; }, kSameId, told);
    tell(
        before.setups, after.setups, revision.setups,
        [&](const Setup& setup) {
            const auto* was = findSetup(before, setup.id);
            auto other = setup;
            if (was)
                other.ticks = was->ticks;
            const bool ticked = was && findSetup(after, setup.id) && other == *was;
            return (ticked ? "checks of setup " : "setup ") + setup.number;
        },
        kSameId, told);
    tell(
        before.plan, after.plan, revision.plan,
        [](const ShootDay& day) { return "plan of day " + std::to_string(day.number); },
        kSameNumber, told);
    tell(
        before.records, after.records, revision.records,
        [&](const CameraRecord& record) {
            const auto* camera = findCamera(after.kit, record.id);
            return "record of " + (camera ? camera->name : record.id);
        },
        kSameId, told);
    if (told.empty() && !(before == after))
        told.emplace_back("keys of other programs changed");
    return told;
}

} // namespace bslate
