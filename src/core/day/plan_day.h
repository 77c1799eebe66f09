#pragma once

#include "core/day/day_plan.h"
#include "core/schedule/plan_carriers.h"

namespace bslate {

/// Works a day out. Setups that name something missing are left out and told in `incomplete`.
/// A card that really was used in a take (CardPin) stays where it was. With `like`, choices of an
/// earlier plan of the same day are kept where they are as good.
[[nodiscard]] DayPlan planDay(const Shoot& shoot, const ShootDay& day,
                              const PlanEffort& effort = {}, const DayPlan* like = nullptr);

} // namespace bslate
