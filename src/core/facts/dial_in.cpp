#include "core/facts/dial_in.h"

#include "core/facts/evaluate.h"
#include "core/facts/neighbours.h"
#include "core/facts/setting_table.h"

#include <algorithm>

namespace bslate {
namespace {

using Rows = std::vector<DialInRow>;

Rows rowsOf(const Shoot& shoot, const Setup& setup) {
    const auto context = resolve(shoot, setup);
    if (!context)
        return {};
    const auto at = evaluate(*context);
    const Dialling of{*context, at, handlingOf(*context->scene, setup)};
    Rows rows;
    for (const auto& row : settingTable())
        for (auto& value : row.values(of))
            if (value.card)
                rows.push_back({row.field, *std::move(value.card)});
    return rows;
}

} // namespace

int DialInCard::changes() const {
    return static_cast<int>(
        std::count_if(rows.begin(), rows.end(), [](const auto& row) { return row.changed; }));
}

DialInCard dialIn(const Shoot& shoot, const Setup& setup) {
    DialInCard card{setup.number, setup.name, rowsOf(shoot, setup), {}};
    const auto* earlier = earlierOnCamera(shoot, setup);
    if (!earlier)
        return card;
    card.after = earlier->number;
    const Rows before = rowsOf(shoot, *earlier);
    for (auto& row : card.rows) {
        const auto same = std::find_if(before.begin(), before.end(),
                                       [&](const auto& old) { return old.field == row.field; });
        row.changed = same == before.end() || !(same->value == row.value);
    }
    return card;
}

} // namespace bslate
