#pragma once

#include "core/day/plan_day.h"
#include "core/judgement/finding.h"

/// The judgements on a day: what is lost, what is risky, and the smallest thing that would save it.
namespace bslate {

enum class DayRemedies {
    None,    ///< findings alone: while something is being dragged
    Verified ///< with the changes that cure them, each tried out by planning the day again
};

class DropChances;

struct JudgeEffort {
    DayRemedies remedies = DayRemedies::None;
    KeepGoing keepGoing = {};       ///< when it says no, the rest is judged without remedies
    DropChances* chances = nullptr; ///< known from before, and added to; null: none are
};

/// Worst first; accepted ones keep their place. `plan` is planDay() of the same shoot and day.
[[nodiscard]] std::vector<Finding> judgeDay(const Shoot& shoot, const ShootDay& day,
                                            const DayPlan& plan, const JudgeEffort& effort);

} // namespace bslate
