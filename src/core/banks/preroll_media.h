#pragma once

#include "core/banks/best_banks.h"
#include "core/banks/check.h"
#include "core/day/day_plan.h"

namespace bslate {

/// The checks of cards and power for a setup: of its first take that has not happened, by the day's
/// plan; without one, by the best card of the kit. `prepared`: the card is formatted before it.
/// Private to banks.
[[nodiscard]] std::vector<Check> mediaChecks(const SetupContext& context, const Evaluation& at,
                                             bool prepared, const DayPlan* day);

} // namespace bslate
