#include "core/day/day_plan.h"

#include <algorithm>

namespace bslate {

BSLATE_COMPILED_HERE(DayCarriers);

BSLATE_COMPILED_HERE(DayPlan);

int DayCarriers::unitOf(std::string_view id) const {
    const auto found = std::find(unitIds.begin(), unitIds.end(), id);
    return found == unitIds.end() ? -1 : static_cast<int>(found - unitIds.begin());
}

} // namespace bslate
