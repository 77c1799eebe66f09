#pragma once

#include "core/day/day_rolls.h"

namespace bslate {

/// The batteries of a day put as a carrier problem. Takes on external power, and cameras of unknown
/// draw, need none.
[[nodiscard]] DayCarriers batteriesOf(const Shoot& shoot, const DayRolls& rolls);

} // namespace bslate
