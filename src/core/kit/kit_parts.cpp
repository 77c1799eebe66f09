#include "core/kit/kit_parts.h"

#include "core/kit/camera_fields.h"
#include "core/kit/check.h"
#include "core/kit/edit.h"
#include "core/kit/profile_edit.h"
#include "core/quantity/scan.h"

#include <algorithm>

namespace bslate {
namespace {

template<class Item>
const Item* sameOne(const std::vector<Item>& list, const Item& wanted) {
    const auto* found = findById(list, wanted.id);
    return found && found->name == wanted.name ? found : nullptr;
}

template<class Item>
std::vector<std::string> differingFields(const Item& a, const Item& b) {
    std::vector<std::string> names;
    std::apply(
        [&](const auto&... field) {
            const auto look = [&](const auto& one) {
                // A field that stands for its whole struct differs whenever anything does.
                if constexpr (!std::is_same_v<std::decay_t<decltype(valueOf(one, a))>, Item>)
                    if (!(valueOf(one, a) == valueOf(one, b)))
                        names.emplace_back(one.name);
            };
            (look(field), ...);
        },
        Described<Item>::kFields);
    if (names.empty() && !(a == b))
        names.emplace_back("keys of other programs");
    return names;
}

template<class Item>
PartBeside beside(KitPart part, const Item& here, const std::vector<Item>& there) {
    const auto* other = sameOne(there, here);
    PartBeside found{part, here.id, here.name, PartState::OnlyHere, {}};
    if (other) {
        found.state = *other == here ? PartState::Same : PartState::Differs;
        found.fields = differingFields(here, *other);
    }
    return found;
}

// The list of the same sort in another kit.
template<class AnyKit, class Item>
auto& listOf(AnyKit& kit, KitPart part, const std::vector<Item>&) {
    using List =
        std::conditional_t<std::is_const_v<AnyKit>, const std::vector<Item>, std::vector<Item>>;
    List* found = nullptr;
    withPart(kit, part, [&](auto& list) {
        if constexpr (std::is_same_v<std::decay_t<decltype(list)>, std::vector<Item>>)
            found = &list;
    });
    return *found;
}

std::optional<Kit> takenOut(const Kit& kit, KitPart part, const std::string& id) {
    if (part == KitPart::Recipe || part == KitPart::Profile) {
        Kit alone;
        if (const auto* recipe = findById(kit.recipes, id); part == KitPart::Recipe && recipe)
            alone.recipes = {*recipe};
        if (const auto* profile = findProfile(kit, id); part == KitPart::Profile && profile) {
            if (profile->measured) // is nothing without the body it was measured on
                return extracted(kit, KitPart::Camera, profile->measured->camera);
            alone.profiles = {*profile};
        }
        return alone.recipes.empty() && alone.profiles.empty() ? std::nullopt
                                                               : std::optional(std::move(alone));
    }
    return extracted(kit, part, id);
}

// What both have stays as `into` has it, but for the one that is put.
void keepOwn(Kit& taken, const Kit& into, KitPart put, const std::string& id) {
    for (const auto part : kAllOf<KitPart>) {
        withPart(taken, part, [&](auto& list) {
            for (auto& item : list)
                if (!(part == put && item.id == id))
                    if (const auto* own = sameOne(listOf(into, part, list), item))
                        item = *own;
        });
    }
}

// Puts the last item of a list where it was before.
template<class Item>
void moveLastTo(std::vector<Item>& list, std::size_t place) {
    if (place < list.size())
        std::rotate(list.begin() + static_cast<std::ptrdiff_t>(place), list.end() - 1, list.end());
}

} // namespace

std::vector<PartBeside> besides(const Kit& here, const Kit& there) {
    std::vector<PartBeside> all;
    for (const auto part : kAllOf<KitPart>) {
        withPart(here, part, [&](const auto& list) {
            const auto& others = listOf(there, part, list);
            for (const auto& item : list)
                all.push_back(beside(part, item, others));
            for (const auto& item : others)
                if (!sameOne(list, item))
                    all.push_back({part, item.id, item.name, PartState::OnlyThere, {}});
        });
    }
    return all;
}

std::optional<PartBeside> besideOf(const Kit& here, const Kit& there, KitPart part,
                                   std::string_view id) {
    return withPart(here, part, [&](const auto& list) -> std::optional<PartBeside> {
        const auto& others = listOf(there, part, list);
        if (const auto* item = findById(list, id))
            return beside(part, *item, others);
        if (const auto* item = findById(others, id))
            return PartBeside{part, item->id, item->name, PartState::OnlyThere, {}};
        return std::nullopt;
    });
}

Result<Kit> withPartOf(const Kit& into, const Kit& from, KitPart part, std::string_view id) {
    const std::string wanted(id);
    auto taken = takenOut(from, part, wanted);
    if (!taken)
        return Error{ErrorCode::UnknownId, {}, {}, wanted, "the id of a part of the kit"};
    keepOwn(*taken, into, part, wanted);
    Kit base = into;
    // Out of the way, so that it is not renamed beside its older self, and back in its place.
    const auto place = withPart(base, part, [&](auto& list) -> std::optional<std::size_t> {
        const auto* item = findById(listOf(*taken, part, list), wanted);
        const auto* old = item ? sameOne(list, *item) : nullptr;
        if (!old)
            return std::nullopt;
        const auto at = static_cast<std::size_t>(old - list.data());
        list.erase(list.begin() + static_cast<std::ptrdiff_t>(at));
        return at;
    });
    Kit result = merged(base, *std::move(taken));
    if (place)
        withPart(result, part, [&](auto& list) { moveLastTo(list, *place); });
    if (const auto whole = checkKit(result); !whole)
        return whole.error();
    return result;
}

namespace {

// Whether a part is in `now` as the change left it.
bool isAsLeft(const Kit& now, const Kit& after, const PartBeside& changed) {
    const auto found = besideOf(now, after, changed.part, changed.id);
    if (changed.state == PartState::OnlyHere) // removed by the change
        return !found;
    return found && found->state == PartState::Same;
}

} // namespace

Kit takenBack(const Kit& before, const Kit& after, const Kit& now) {
    auto open = besides(before, after);
    std::erase_if(open, [&](const PartBeside& one) {
        return one.state == PartState::Same || !isAsLeft(now, after, one);
    });
    Kit back = now;
    // What another part needs goes after that one.
    for (std::size_t left = open.size() + 1; open.size() < left;) {
        left = open.size();
        std::erase_if(open, [&](const PartBeside& one) {
            auto next = one.state == PartState::OnlyThere
                            ? withoutPart(back, one.part, one.id)
                            : withPartOf(back, before, one.part, one.id);
            if (next)
                back = *std::move(next);
            return next.ok();
        });
    }
    return back;
}

Result<Kit> withAllOf(const Kit& into, const Kit& from) {
    Kit result = into;
    for (const auto& one : besides(from, into)) {
        if (one.state != PartState::OnlyHere && one.state != PartState::Differs)
            continue;
        auto next = withPartOf(result, from, one.part, one.id);
        if (!next)
            return next;
        result = *std::move(next);
    }
    return result;
}

Result<Kit> withoutPart(Kit kit, KitPart part, const std::string& id) {
    if (part == KitPart::Profile)
        kit = withoutProfile(std::move(kit), id);
    else if (part == KitPart::Recipe)
        std::erase_if(kit.recipes, [&](const Recipe& recipe) { return recipe.id == id; });
    else
        removeGear(kit, part, id);
    if (const auto whole = checkKit(kit); !whole)
        return whole.error();
    return kit;
}

Kit plainKit() {
    Kit kit;
    Profile display;
    display.id = "bt709";
    display.name = "BT.709";
    display.curve = bt709();
    display.gamutName = "BT.709";
    display.iso = IsoBehaviour::Recorded;
    display.ready = true;
    Profile wide = display;
    wide.id = "hlg";
    wide.name = "HLG";
    wide.curve = hlg();
    wide.gamutName = "BT.2020";
    wide.gamut = gamutBt2020();
    kit.profiles = {display, wide};
    for (const int stops : {1, 2, 3, 4, 6}) {
        // ISO 5800 densities: 0.3 a stop.
        Filter filter;
        filter.label = {NdTradition::Density, 3 * stops / 10.0};
        filter.name = spell(filter.label);
        filter.id = "nd0" + std::to_string(3 * stops);
        kit.filters.push_back(filter);
    }
    for (const char* speed : {"V30", "V60", "V90"}) {
        MemoryCard card;
        card.speedClass = speed;
        card.id = "sd-" + lowered(speed);
        card.name = std::string("SD ") + speed + " 128 GB";
        card.capacity = DataSize(128e9);
        card.bus = card.speedClass == "V30" ? "UHS-I" : "UHS-II";
        kit.cards.push_back(card);
    }
    return kit;
}

} // namespace bslate
