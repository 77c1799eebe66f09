#pragma once

#include "core/day/day_rolls.h"

namespace bslate {

/// The cards of a day put as a carrier problem, with lanes, pins, failures and readers; everything
/// but the plan.
[[nodiscard]] DayCarriers cardsOf(const Shoot& shoot, const ShootDay& day, const DayRolls& rolls);

} // namespace bslate
