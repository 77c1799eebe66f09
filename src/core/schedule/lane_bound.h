#pragma once

#include "core/schedule/carrier_plan.h"

#include <span>

/// What the rest of a lane costs at least, if it had every unit it liked.
namespace bslate {

class LaneBound {
public:
    LaneBound(const CarrierProblem& problem, const CarrierLane& lane);

    /// From demand `next` on, with this in the bays: the kind (-1: empty) and what is left in it.
    struct Bay {
        int kind = -1;
        double room = 0;
    };
    [[nodiscard]] PlanCost from(std::size_t next, std::span<const Bay> bays) const;

private:
    [[nodiscard]] std::size_t firstBeyond(std::size_t next, int kind, double room) const;

    const CarrierLane& m_lane;
    std::vector<double> m_sum;        ///< of amounts before each demand, without hopeless ones
    std::vector<PlanCost> m_hopeless; ///< from each demand on: what no unit can hold
    std::vector<int> m_fresh;         ///< changes from each demand on after a fresh load
    std::vector<std::vector<std::size_t>> m_refused; ///< by kind: next demand that may not use it
    double m_largest = 0;
    bool m_fluid = false; ///< two bays, or demands that need a change inside: volume alone counts
};

} // namespace bslate
