#pragma once

#include "core/schedule/carriers.h"

/// Which carrier goes where, and what that costs.
namespace bslate {

/// One unit in one bay for one demand, or for a part of it when something is changed inside.
struct CarrierUse {
    int lane = 0, demand = 0, bay = 0, unit = 0;
    Seconds start{0}, end{0};
    Fill before{0}, after{0}; ///< used of its capacity
    bool changed = false;     ///< it was put in for this, in place of another
    bool inside = false;      ///< while the recording was stopped in its middle
    friend bool operator==(const CarrierUse&, const CarrierUse&) = default;
};

struct Renewal {
    int unit = 0, server = 0;
    Seconds out{0};           ///< when it was taken out
    Seconds start{0}, end{0}; ///< usable again from end
    Fill amount{0};
    friend bool operator==(const Renewal&, const Renewal&) = default;
};

/// What could not be recorded, from a time on to the demand's end.
struct Shortfall {
    int lane = 0, demand = 0;
    Seconds from{0};
    Fill missing{0};
    friend bool operator==(const Shortfall&, const Shortfall&) = default;
};

/// Compared from the first member to the last; the least is the best.
struct PlanCost {
    Seconds broken{0}; ///< of recordings that must not be interrupted
    Seconds lost{0};   ///< of others
    int inside = 0;    ///< changes that stop a recording
    int tight = 0;     ///< recordings that must not be interrupted and leave less than the reserve
    int changes = 0;   ///< all changes; putting the first one in is none
    friend auto operator<=>(const PlanCost&, const PlanCost&) = default;
    friend PlanCost operator+(const PlanCost& a, const PlanCost& b) {
        return {a.broken + b.broken, a.lost + b.lost, a.inside + b.inside, a.tight + b.tight,
                a.changes + b.changes};
    }
};

/// A recording that must not be interrupted and fits, with less to spare than the reserve.
struct TightFit {
    int lane = 0, demand = 0;
    Fill spare{0};
    friend bool operator==(const TightFit&, const TightFit&) = default;
};

struct CarrierPlan {
    std::vector<CarrierUse> uses; ///< in the order of time
    std::vector<Renewal> renewals;
    std::vector<Shortfall> shortfalls;
    std::vector<TightFit> tight;
    PlanCost cost;
    PlanCost bound;       ///< nothing can be better than this
    bool optimal = false; ///< cost equals bound, or everything was looked at
    long looks = 0;

    friend bool operator==(const CarrierPlan&, const CarrierPlan&) = default;
};

} // namespace bslate
