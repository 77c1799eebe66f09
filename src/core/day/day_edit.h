#pragma once

#include "core/base/result.h"
#include "core/day/day_plan.h"
#include "core/facts/reason.h"

/// What a person does to a day by hand.
namespace bslate {

/// A place in the plan: a lane of the cards and one of its demands.
struct CardPlace {
    int lane = 0, demand = 0;
    friend bool operator==(const CardPlace&, const CardPlace&) = default;
};

/// Where a setup's card is in a take; none when it has no lane there. `second`: the copy.
[[nodiscard]] std::optional<CardPlace> cardPlace(const DayPlan& plan, std::string_view take,
                                                 std::string_view setup, bool second = false);

/// Why a card cannot be in that place; none when it can. Tried out by planning the day.
[[nodiscard]] std::optional<Reason> cardRefusal(const Shoot& shoot, const ShootDay& day,
                                                const DayPlan& plan, CardPlace place, int unit);

/// The day with a card fixed in a place, or free again with unit -1.
[[nodiscard]] ShootDay withCard(const Shoot& shoot, ShootDay day, const DayPlan& plan,
                                CardPlace place, int unit);

/// The day with a take begun and ended as it really was; cards of it and of every take before it
/// stay where the plan had them.
[[nodiscard]] ShootDay withHappened(const Shoot& shoot, ShootDay day, const DayPlan& plan,
                                    std::string_view take, Seconds began, Seconds ran);

/// A take put at a time: it waits for it, and stands among the others in the order of time.
[[nodiscard]] ShootDay withTakeAt(ShootDay day, std::string_view take, Seconds start);

/// Units that are elsewhere than in an earlier plan of the same day: indices into
/// `plan.uses`. Both of cards or both of batteries.
[[nodiscard]] std::vector<int> changedUses(const DayPlan& before, const DayCarriers& beforeOf,
                                           const DayPlan& now, const DayCarriers& nowOf);

} // namespace bslate
