#include "core/shoot/differences.h"

#include <map>

namespace bslate {
namespace {

// Of two lists whose entries are found again by a key; `nameOf` says what an entry is called.
template<class T, class Key, class Name>
void compare(const std::vector<T>& before, const std::vector<T>& after, Key keyOf, Name nameOf,
             std::vector<std::string>& told) {
    std::map<decltype(keyOf(before.front())), const T*> old;
    for (const auto& item : before)
        old.emplace(keyOf(item), &item);
    for (const auto& item : after) {
        const auto found = old.find(keyOf(item));
        if (found == old.end()) {
            told.push_back(nameOf(item) + " added");
            continue;
        }
        if (!(*found->second == item))
            told.push_back(nameOf(item) + " changed");
        old.erase(found);
    }
    for (const auto& item : before)
        if (old.contains(keyOf(item)))
            told.push_back(nameOf(item) + " removed");
}

} // namespace

std::vector<std::string> differencesBetween(const Shoot& before, const Shoot& after) {
    std::vector<std::string> told;
    if (before.title != after.title || before.note != after.note)
        told.emplace_back("title or note changed");
    if (!(before.brief == after.brief) || before.days != after.days ||
        before.snrFloor != after.snrFloor || !(before.meter == after.meter))
        told.emplace_back("brief changed");
    if (!(before.kit == after.kit) || before.kitFile != after.kitFile)
        told.emplace_back("kit changed");
    const auto id = [](const auto& item) { return item.id; };
    compare(
        before.scenes, after.scenes, id, [](const Scene& scene) { return "scene " + scene.name; },
        told);
    compare(
        before.setups, after.setups, id, [](const Setup& setup) { return "setup " + setup.number; },
        told);
    compare(
        before.plan, after.plan, [](const ShootDay& day) { return day.number; },
        [](const ShootDay& day) { return "plan of day " + std::to_string(day.number); }, told);
    if (told.empty() && !(before == after))
        told.emplace_back("keys of other programs changed");
    return told;
}

} // namespace bslate
