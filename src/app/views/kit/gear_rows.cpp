#include "app/views/kit/gear_rows.h"

#include "core/base/find_by_id.h"
#include "core/kit/gear_fields.h"

namespace bslate::app {
namespace {

template<class Item>
inline constexpr bool kHasRows = !std::is_same_v<Item, Camera> && !std::is_same_v<Item, Profile> &&
                                 !std::is_same_v<Item, Recipe>;

// The change, and what it must not make of the item.
template<class Item>
Outcome changed(Item& item, const FieldRow<Item>& row, const QString& text) {
    if (auto done = row.put(item, fromQt(text)); !done)
        return done;
    if (auto fault = faultIn(item))
        return Error(fault->code, {}, {}, std::move(fault->got), std::move(fault->expected));
    return Done{};
}

template<class Item>
std::vector<GearRow> rowsOf(const Item& item, KitPart kind) {
    std::vector<GearRow> rows;
    for (const auto& row : fieldRows<Item>())
        rows.push_back(
            {row, toQt(row.text(item)),
             [=](const QString& text) {
                 Item tried = item;
                 return changed(tried, row, text);
             },
             [=](Kit& kit, const QString& text) {
                 withPart(kit, kind, [&](auto& list) {
                     if constexpr (std::is_same_v<std::decay_t<decltype(list)>, std::vector<Item>>)
                         if (auto* there = findById(list, item.id))
                             (void)row.put(*there, fromQt(text));
                 });
             }});
    return rows;
}

} // namespace

std::vector<GearRow> gearRows(const Kit& kit, KitPart kind, const QString& id) {
    return withPart(kit, kind, [&](const auto& list) -> std::vector<GearRow> {
        using Item = typename std::decay_t<decltype(list)>::value_type;
        if constexpr (kHasRows<Item>)
            if (const auto* item = findById(list, fromQt(id)))
                return rowsOf(*item, kind);
        return {};
    });
}

std::vector<RowChoice> itemsOf(const Kit& kit, KitPart kind) {
    std::vector<RowChoice> items;
    withPart(kit, kind, [&](const auto& list) {
        for (const auto& item : list)
            items.push_back({toQt(item.id), toQt(item.name)});
    });
    return items;
}

} // namespace bslate::app
