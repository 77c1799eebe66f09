#include "core/shoot/edit.h"

#include <algorithm>

namespace bslate {
namespace {

// The days of the plan with this one among them, as a revision names them; none when it is planned.
std::optional<std::vector<std::string>> orderWith(const Shoot& shoot, int number) {
    std::vector<int> numbers;
    for (const auto& day : shoot.plan)
        numbers.push_back(day.number);
    const auto at = std::lower_bound(numbers.begin(), numbers.end(), number);
    if (at != numbers.end() && *at == number)
        return std::nullopt;
    numbers.insert(at, number);
    std::vector<std::string> order;
    for (const int one : numbers)
        order.push_back(std::to_string(one));
    return order;
}

} // namespace

Revision revisionOf(const Shoot& shoot, const Edit& edit) {
    Revision revision;
    if (edit.setup && findSetup(shoot, edit.setup->id))
        revision.setups.put.push_back(*edit.setup);
    for (const auto& setup : edit.setups)
        if (findSetup(shoot, setup.id))
            revision.setups.put.push_back(setup);
    if (edit.scene && findScene(shoot, edit.scene->id))
        revision.scenes.put.push_back(*edit.scene);
    if (edit.day) {
        revision.plan.put.push_back(*edit.day);
        revision.plan.order = orderWith(shoot, edit.day->number);
    }
    if (edit.record) {
        revision.records.put.push_back(*edit.record);
        if (!findRecord(shoot, edit.record->id)) {
            revision.records.order.emplace();
            for (const auto& known : shoot.records)
                revision.records.order->push_back(known.id);
            revision.records.order->push_back(edit.record->id);
        }
    }
    if (edit.kit) {
        revision.kit = *edit.kit;
        if (shoot.kitFile) {
            revision.head = headOf(shoot);
            revision.head->kitFile.reset();
        }
    }
    return revision;
}

Edit stamped(Edit edit, const std::string& when) {
    if (edit.record)
        for (auto& written : edit.record->banks)
            if (written.when.empty())
                written.when = when;
    return edit;
}

Shoot applied(const Shoot& shoot, const Edit& edit) {
    return revised(shoot, revisionOf(shoot, edit));
}

} // namespace bslate
