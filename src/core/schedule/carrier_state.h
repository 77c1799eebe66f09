#pragma once

#include "core/schedule/carrier_plan.h"
#include "core/schedule/carrier_tables.h"

#include <array>
#include <span>
#include <vector>

/// Where every carrier is at one moment of the search, and what a choice does to it.
namespace bslate {

/// What is done before a demand: the unit put into each bay, or -1 to leave what is there.
struct CarrierChoice {
    std::array<int, kMostBays> put{-1, -1};
    friend bool operator==(const CarrierChoice&, const CarrierChoice&) = default;
};

class CarrierState {
public:
    explicit CarrierState(const CarrierTables& tables);

    [[nodiscard]] const PlanCost& cost() const { return m_cost; }
    /// The unit in a bay, -1 for none, and what is left in it.
    [[nodiscard]] int unitIn(int lane, int bay) const;
    [[nodiscard]] double roomOf(int unit) const;

    /// True when the unit is at hand at `time`, empty or charged, and lasts until `end`.
    [[nodiscard]] bool isReady(int unit, Seconds time, Seconds end) const;
    /// How often it has been renewed today.
    [[nodiscard]] int renewals(int unit) const {
        return m_units[static_cast<std::size_t>(unit)].renewals;
    }

    /// True when a change fits between the lane's last demand and this one, or it is the first.
    [[nodiscard]] bool hasGap(int lane, const Demand& demand) const;

    /// Carries a demand out. Precondition: units of the choice are ready, or in this very bay and
    /// renewed before they go back, and the lane has its gap. With `plan`, writes down what
    /// happens. False when a unit is not back in time; the state is then of no use.
    bool apply(int lane, int demand, const CarrierChoice& choice, CarrierPlan* plan);

    /// Units looked at since the search began, a measure of what it has cost to get here.
    [[nodiscard]] long work() const { return m_work; }

    /// Takes everything out at the end of the day and renews it.
    void finish(CarrierPlan& plan);

private:
    struct Unit {
        double used = 0;
        double from = 0; ///< at hand again
        int renewals = 0;
        bool inUse = false;
    };
    struct Busy {
        double start, end;
    };

    /// `by`: the demand it makes room for; null at the end of everything.
    void release(int unit, double time, CarrierPlan* plan, const Demand* by);
    void note(CarrierPlan* plan, const CarrierUse& use) const;
    [[nodiscard]] bool holds(int unit, const Demand& demand, std::size_t bay) const;
    [[nodiscard]] int readyInside(const Demand& demand, std::size_t bay, double left);
    double fill(int lane, int demand, double amount, CarrierPlan* plan);
    void noteReserve(int lane, int demand, CarrierPlan* plan);

    [[nodiscard]] const CarrierProblem& problem() const { return m_tables->problem; }
    [[nodiscard]] int kindOf(int unit) const {
        return m_tables->kindOf[static_cast<std::size_t>(unit)];
    }

    const CarrierTables* m_tables;
    std::vector<Unit> m_units;
    std::vector<std::array<int, kMostBays>> m_bays;
    std::vector<double> m_laneEnd; ///< of its last demand; minus infinity before the first
    std::vector<std::vector<Busy>> m_servers;
    std::array<bool, kMostBays> m_put{}; ///< during apply(): changed for this demand
    PlanCost m_cost;
    long m_work = 0;
};

} // namespace bslate
