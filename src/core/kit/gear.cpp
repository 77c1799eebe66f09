#include "core/kit/gear.h"

#include "core/kit/edit.h"
#include "core/kit/profile_edit.h"

#include <algorithm>

namespace bslate {

std::optional<std::string> copyGear(Kit& kit, GearKind kind, const std::string& id,
                                    const std::string& suffix) {
    return withGear(kit, kind, [&](auto& items, const char* prefix) -> std::optional<std::string> {
        const auto* item = findById(items, id);
        if (!item)
            return std::nullopt;
        auto copy = *item;
        copy.id = freshId(items, prefix);
        copy.name += suffix;
        const auto copied = copy.id;
        items.insert(items.begin() + (item - items.data()) + 1, std::move(copy));
        return copied;
    });
}

void removeGear(Kit& kit, GearKind kind, const std::string& id) {
    withGear(kit, kind, [&](auto& items, const char*) {
        std::erase_if(items, [&](const auto& item) { return item.id == id; });
    });
    if (kind != GearKind::Camera)
        return;
    const auto profiles = kit.profiles;
    for (const auto& profile : profiles)
        if (profile.measured && profile.measured->camera == id)
            kit = withoutProfile(std::move(kit), profile.id);
}

std::optional<Kit> extracted(const Kit& kit, GearKind kind, const std::string& id) {
    if (kind == GearKind::Camera) {
        auto camera = extracted(kit, id);
        return camera ? std::optional(*std::move(camera)) : std::nullopt;
    }
    Kit chosen;
    const bool found = withGear(kit, kind, [&](const auto& items, const char*) {
        const auto* item = findById(items, id);
        if (!item)
            return false;
        chosen.name = item->name;
        withGear(chosen, kind, [&](auto& list, const char*) {
            if constexpr (std::is_same_v<std::decay_t<decltype(list)>,
                                         std::decay_t<decltype(items)>>)
                list = {*item};
        });
        return true;
    });
    for (const auto& charger : chosen.chargers)
        for (const auto& battery : kit.batteries)
            if (std::find(charger.batteries.begin(), charger.batteries.end(), battery.id) !=
                charger.batteries.end())
                chosen.batteries.push_back(battery);
    return found ? std::optional(std::move(chosen)) : std::nullopt;
}

} // namespace bslate
