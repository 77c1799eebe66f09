#pragma once

#include "core/kit/gear.h"

#include <string>
#include <vector>

/// Kits beside each other: a shoot's own copy and the kit somebody keeps for every shoot.
namespace bslate {

enum class PartState { Same, Differs, OnlyHere, OnlyThere };

/// One part of two kits. Parts are the same one when id and name are: ids alone are chosen in each
/// kit by itself.
struct PartBeside {
    KitPart part = KitPart::Camera;
    std::string id, name;
    PartState state = PartState::Same;
    std::vector<std::string> fields; ///< that differ: names of fields.h, English
    friend bool operator==(const PartBeside&, const PartBeside&) = default;
};

/// Every part of both, by sort, in the order of `here`, then those that are only there.
[[nodiscard]] std::vector<PartBeside> besides(const Kit& here, const Kit& there);
/// Of one part; nothing when neither has it.
[[nodiscard]] std::optional<PartBeside> besideOf(const Kit& here, const Kit& there, KitPart part,
                                                 std::string_view id);

/// `into` with a part of `from`, in place of the same one or behind the others. What it names comes
/// along where `into` lacks it, and stays as it is where `into` has it; a part under an id that is
/// another one's gets a new id. Fails with UnknownId when `from` has no such part, and as
/// checkKit() does.
[[nodiscard]] Result<Kit> withPartOf(const Kit& into, const Kit& from, KitPart part,
                                     std::string_view id);

/// Everything of `from`, one after the other.
[[nodiscard]] Result<Kit> withAllOf(const Kit& into, const Kit& from);

/// `now` without the change that turned `before` into `after`, part by part: what it added goes,
/// what it replaced or removed comes back. Parts that are not as `after` has them, or that others
/// need, stay.
[[nodiscard]] Kit takenBack(const Kit& before, const Kit& after, const Kit& now);

/// `kit` without a part. Fails as checkKit() does where another part names it.
[[nodiscard]] Result<Kit> withoutPart(Kit kit, KitPart part, const std::string& id);

/// Open standards alone: curves of ITU-R BT.709 and BT.2100, full stops of neutral density, cards
/// by the speed classes of the SD Association; no camera. What somebody begins with who has kept
/// nothing yet.
[[nodiscard]] Kit plainKit();

} // namespace bslate
