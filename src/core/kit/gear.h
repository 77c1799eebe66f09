#pragma once

#include "core/base/enumerated.h"
#include "core/base/find_by_id.h"
#include "core/base/fresh_id.h"
#include "core/kit/kit.h"

#include <optional>

/// The lists of a kit as sorts of one thing.
namespace bslate {

/// Every sort of part.
enum class KitPart {
    Camera,
    Lens,
    Filter,
    Gel,
    Card,
    Battery,
    Reader,
    Drive,
    Charger,
    Profile,
    Recipe
};
/// Those that are carried.
inline constexpr std::array kGear{KitPart::Camera, KitPart::Lens,  KitPart::Filter,
                                  KitPart::Gel,    KitPart::Card,  KitPart::Battery,
                                  KitPart::Reader, KitPart::Drive, KitPart::Charger};
/// What ids of a sort begin with.
inline constexpr ByEnum<KitPart, const char*> kIdPrefix{"camera",  "lens",    "filter", "gel",
                                                        "card",    "battery", "reader", "drive",
                                                        "charger", "profile", "recipe"};

/// Calls `visit(list)` with the kit's list of a sort.
template<class AnyKit, class Visit>
auto withPart(AnyKit& kit, KitPart part, Visit visit) {
    switch (part) {
    case KitPart::Camera:
        return visit(kit.cameras);
    case KitPart::Lens:
        return visit(kit.lenses);
    case KitPart::Filter:
        return visit(kit.filters);
    case KitPart::Gel:
        return visit(kit.gels);
    case KitPart::Card:
        return visit(kit.cards);
    case KitPart::Battery:
        return visit(kit.batteries);
    case KitPart::Reader:
        return visit(kit.readers);
    case KitPart::Drive:
        return visit(kit.drives);
    case KitPart::Charger:
        return visit(kit.chargers);
    case KitPart::Profile:
        return visit(kit.profiles);
    case KitPart::Recipe:
        break;
    }
    return visit(kit.recipes);
}

/// Puts a copy behind an item, its name with the suffix; its id, or nothing when there is no such
/// item.
[[nodiscard]] std::optional<std::string> copyGear(Kit& kit, KitPart kind, const std::string& id,
                                                  const std::string& suffix);
/// What was measured on a body goes with it.
void removeGear(Kit& kit, KitPart kind, const std::string& id);

/// A kit of one item with what it names: a camera with its profiles, fixed lens and batteries, a
/// charger with its batteries. Nothing when there is no such item.
[[nodiscard]] std::optional<Kit> extracted(const Kit& kit, KitPart kind, const std::string& id);

} // namespace bslate
