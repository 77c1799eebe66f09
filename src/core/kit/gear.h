#pragma once

#include "core/base/find_by_id.h"
#include "core/base/fresh_id.h"
#include "core/kit/kit.h"

#include <optional>

/// The lists of a kit as kinds of one thing.
namespace bslate {

enum class GearKind { Camera, Lens, Filter, Gel, Card, Battery, Reader, Drive, Charger };
inline constexpr int kGearKinds = 9;

/// Calls `visit(list, prefix)` with the kit's list of a kind and what its ids begin with.
template<class AnyKit, class Visit>
auto withGear(AnyKit& kit, GearKind kind, Visit visit) {
    switch (kind) {
    case GearKind::Camera:
        return visit(kit.cameras, "camera");
    case GearKind::Lens:
        return visit(kit.lenses, "lens");
    case GearKind::Filter:
        return visit(kit.filters, "filter");
    case GearKind::Gel:
        return visit(kit.gels, "gel");
    case GearKind::Card:
        return visit(kit.cards, "card");
    case GearKind::Battery:
        return visit(kit.batteries, "battery");
    case GearKind::Reader:
        return visit(kit.readers, "reader");
    case GearKind::Drive:
        return visit(kit.drives, "drive");
    case GearKind::Charger:
        break;
    }
    return visit(kit.chargers, "charger");
}

/// Puts a copy behind an item, its name with the suffix; its id, or nothing when there is no such
/// item.
[[nodiscard]] std::optional<std::string> copyGear(Kit& kit, GearKind kind, const std::string& id,
                                                  const std::string& suffix);
/// What was measured on a body goes with it.
void removeGear(Kit& kit, GearKind kind, const std::string& id);

/// A kit of one item with what it names: a camera with its profiles, fixed lens and batteries, a
/// charger with its batteries. Nothing when there is no such item.
[[nodiscard]] std::optional<Kit> extracted(const Kit& kit, GearKind kind, const std::string& id);

} // namespace bslate
