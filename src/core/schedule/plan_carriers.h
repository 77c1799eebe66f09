#pragma once

#include "core/base/keep_going.h"
#include "core/schedule/carrier_plan.h"

/// Which carrier goes where: a search that keeps uninterruptible recordings whole first, loses as
/// little as it can, and then changes as seldom as possible.
namespace bslate {

struct PlanEffort {
    long looks = 150'000; ///< states looked at before it stops; the first plan is always finished
    KeepGoing keepGoing;  ///< told the share of the effort spent; false gives the best it has
};

/// The best plan found; the same problem gives the same plan. It goes through the demands in the
/// order of time, the most promising choice first, then departs from that in one place, in two, ...
/// (limited discrepancy search), and leaves what cannot beat the best known. Its promises: lower
/// bounds of each lane alone with as many units as it likes. A unit that is taken out is renewed
/// in the first free time of a server that takes it, whoever comes out first; what goes in while a
/// recording stands still is the largest that is at hand, and nothing that a change would take
/// longer than. "Optimal" is meant under these two rules. `like`: an earlier plan whose choices are
/// tried first, so that little changes.
[[nodiscard]] CarrierPlan planCarriers(const CarrierProblem& problem, const PlanEffort& effort = {},
                                       const CarrierPlan* like = nullptr);

} // namespace bslate
