#include "core/day/day_plan.h"

#include <algorithm>

namespace bslate {

int DayCarriers::unitOf(std::string_view id) const {
    const auto found = std::find(unitIds.begin(), unitIds.end(), id);
    return found == unitIds.end() ? -1 : static_cast<int>(found - unitIds.begin());
}

} // namespace bslate
