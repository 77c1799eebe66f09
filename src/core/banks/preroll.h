#pragma once

#include "core/banks/best_banks.h"
#include "core/banks/check.h"
#include "core/day/day_plan.h"

#include <optional>
#include <string>
#include <vector>

/// What is looked at before a setup rolls, in the order hands go over a camera.
namespace bslate {

/// The checks of a setup: power, cards and region first, then what is recalled and set by hand,
/// what slips and what works by itself, then picture and sound. `now` is the plan of the shoot's
/// own threads, `day` the setup's day when it is planned. Nothing for a setup that cannot be
/// evaluated, or is another camera's.
[[nodiscard]] std::vector<Check> prerollOf(const Shoot& shoot, const Setup& setup,
                                           const CameraPlan& camera, const BankPlan& now,
                                           const DayPlan* day = nullptr);

/// The next take of a setup that has not run, as words for the pre-roll: what is bound to a take is
/// ticked for that one. "day 2" where none is planned.
[[nodiscard]] Reason takeAhead(const Shoot& shoot, const Setup& setup);

/// The setup with the ticks that are for one take only taken off: the next one begins.
[[nodiscard]] Setup forNextTake(Setup setup);

enum class TickState {
    Open,
    Ticked,
    Stale,  ///< it was ticked for another value
    Failing ///< what is asked is not there, ticked or not
};
[[nodiscard]] TickState stateOf(const std::vector<Tick>& ticks, const Check& check);
/// The ticks with a check ticked at a moment, or not any more when its tick is fresh.
[[nodiscard]] std::vector<Tick> ticked(std::vector<Tick> ticks, const Check& check,
                                       std::string when);

/// Where a function is turned, in words of the body.
[[nodiscard]] Reason whereOf(const Body& body, const Reach& reach);

} // namespace bslate
