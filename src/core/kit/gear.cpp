#include "core/kit/gear.h"

#include "core/kit/edit.h"
#include "core/kit/profile_edit.h"

#include <algorithm>

namespace bslate {

std::optional<std::string> copyGear(Kit& kit, KitPart kind, const std::string& id,
                                    const std::string& suffix) {
    return withPart(kit, kind, [&](auto& items) -> std::optional<std::string> {
        const auto* item = findById(items, id);
        if (!item)
            return std::nullopt;
        auto copy = *item;
        copy.id = freshId(items, kIdPrefix[kind]);
        copy.name += suffix;
        const auto copied = copy.id;
        items.insert(items.begin() + (item - items.data()) + 1, std::move(copy));
        return copied;
    });
}

void removeGear(Kit& kit, KitPart kind, const std::string& id) {
    withPart(kit, kind, [&](auto& items) {
        std::erase_if(items, [&](const auto& item) { return item.id == id; });
    });
    if (kind != KitPart::Camera)
        return;
    const auto profiles = kit.profiles;
    for (const auto& profile : profiles)
        if (profile.measured && profile.measured->camera == id)
            kit = withoutProfile(std::move(kit), profile.id);
}

std::optional<Kit> extracted(const Kit& kit, KitPart kind, const std::string& id) {
    if (kind == KitPart::Camera) {
        auto camera = extracted(kit, id);
        return camera ? std::optional(*std::move(camera)) : std::nullopt;
    }
    Kit chosen;
    const bool found = withPart(kit, kind, [&](const auto& items) {
        const auto* item = findById(items, id);
        if (!item)
            return false;
        chosen.name = item->name;
        withPart(chosen, kind, [&](auto& list) {
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
