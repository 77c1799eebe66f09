#pragma once

#include "core/day/day_rolls.h"
#include "core/day/drop_chances.h"
#include "core/judgement/finding.h"

#include <array>
#include <span>
#include <vector>

/// The judgements of a day, one small function each, in groups as those of a setup. Private to day.
namespace bslate::day {

struct Case {
    const Shoot& shoot;
    const ShootDay& day;
    const DayPlan& plan;
    DayRolls rolls;
    DropChances& chances;
};
using Findings = std::vector<Finding>;
using Rule = void (*)(const Case&, Findings&);

[[nodiscard]] std::span<const Rule> cardRules(); ///< what the cards do inside the takes
[[nodiscard]] std::span<const Rule> bodyRules(); ///< clip limits, heat and power
[[nodiscard]] std::span<const Rule> copyRules(); ///< copies, storage, and how the day stands

/// A finding about a take, or about the day when it is -1.
[[nodiscard]] Finding about(const Case& now, int take, FindingId id, Severity severity,
                            Facts facts);

/// The rules run, unsorted, without remedies.
[[nodiscard]] Findings findingsOf(const Case& now);

} // namespace bslate::day
