#include "core/schedule/plan_carriers.h"

#include "core/schedule/carrier_state.h"
#include "core/schedule/lane_bound.h"

#include <algorithm>
#include <limits>

namespace bslate {
namespace {

constexpr long kLooksOfTheFirstPlan = 10'000; ///< before it is hurried
constexpr std::size_t kHurriedUnits = 2;      ///< looked at for a bay then
constexpr std::size_t kUnitsOfALook = 256;    ///< a state of more costs as much as several
constexpr std::size_t kLanesOfALook = 16;
constexpr long kWorkOfALook = 500; ///< units; what looking at a choice costs otherwise

struct Step {
    int lane, demand;
};

class Search {
public:
    Search(const CarrierProblem& problem, const PlanEffort& effort, const CarrierPlan* like)
        : m_problem(problem)
        , m_effort(effort)
        , m_tables(problem)
        , m_tried(m_tables) {
        for (std::size_t lane = 0; lane < problem.lanes.size(); ++lane) {
            m_bounds.emplace_back(problem, problem.lanes[lane]);
            m_wanted.emplace_back(problem.lanes[lane].demands.size(),
                                  std::array<int, kMostBays>{-1, -1});
            for (std::size_t i = 0; i < problem.lanes[lane].demands.size(); ++i)
                m_steps.push_back({static_cast<int>(lane), static_cast<int>(i)});
        }
        std::stable_sort(m_steps.begin(), m_steps.end(),
                         [&](const Step& a, const Step& b) { return of(a).start < of(b).start; });
        // The first unit an earlier plan used in each bay.
        if (like)
            for (auto use = like->uses.rbegin(); use != like->uses.rend(); ++use)
                if (auto* wanted = wantedOf(use->lane, use->demand);
                    wanted && use->unit < problem.unitCount())
                    (*wanted)[static_cast<std::size_t>(use->bay)] = use->unit;
        m_trail.resize(m_steps.size());
        m_weight = 1 + static_cast<long>(m_tables.kindOf.size() / kUnitsOfALook +
                                         problem.lanes.size() / kLanesOfALook);
    }

    CarrierPlan run() {
        CarrierPlan plan;
        const CarrierState start(m_tables);
        std::vector<std::size_t> next(m_problem.lanes.size(), 0);
        plan.bound = boundOf(start, next);
        for (long allowed = 0;; allowed = allowed == 0 ? 1 : allowed * 2) {
            m_cut = false;
            descend(0, start, next, allowed);
            if (m_stopped || !m_cut || m_bestCost == plan.bound)
                break;
        }
        CarrierState replay(m_tables);
        for (std::size_t i = 0; i < m_steps.size(); ++i)
            (void)replay.apply(m_steps[i].lane, m_steps[i].demand, m_best[i], &plan);
        replay.finish(plan);
        plan.cost = replay.cost();
        plan.optimal = m_steps.empty() || plan.cost == plan.bound || !m_stopped;
        plan.looks = m_looks;
        return plan;
    }

private:
    struct Child {
        CarrierChoice choice;
        PlanCost promise;
        int strange; ///< bays that differ from the earlier plan
        double size; ///< of what is newly put in
    };

    int kindOf(int unit) const { return m_tables.kindOf[static_cast<std::size_t>(unit)]; }
    const Demand& of(const Step& step) const {
        return m_problem.lanes[static_cast<std::size_t>(step.lane)]
            .demands[static_cast<std::size_t>(step.demand)];
    }
    std::array<int, kMostBays>* wantedOf(int lane, int demand) {
        if (lane < 0 || demand < 0 || static_cast<std::size_t>(lane) >= m_wanted.size() ||
            static_cast<std::size_t>(demand) >= m_wanted[static_cast<std::size_t>(lane)].size())
            return nullptr;
        return &m_wanted[static_cast<std::size_t>(lane)][static_cast<std::size_t>(demand)];
    }

    PlanCost boundOf(const CarrierState& state, const std::vector<std::size_t>& next) const {
        PlanCost sum;
        for (std::size_t lane = 0; lane < m_bounds.size(); ++lane) {
            std::array<LaneBound::Bay, kMostBays> bays;
            const auto count = static_cast<std::size_t>(m_problem.lanes[lane].bays);
            for (std::size_t bay = 0; bay < count; ++bay)
                if (const int unit = state.unitIn(static_cast<int>(lane), static_cast<int>(bay));
                    unit >= 0)
                    bays[bay] = {kindOf(unit), state.roomOf(unit)};
            sum = sum + m_bounds[lane].from(next[lane], {bays.data(), count});
        }
        return sum;
    }

    // One unit of each kind that may go into the bay: the one of the earlier plan, else the one
    // that has been renewed least, so that nothing is used again while others lie idle.
    std::vector<int> candidates(const CarrierState& state, const Step& step,
                                std::size_t bay) const {
        const auto& demand = of(step);
        const auto ready = [&](int unit) {
            return (demand.kinds[bay] >> kindOf(unit) & 1) &&
                   state.isReady(unit, demand.start, demand.end);
        };
        std::vector<int> units;
        if (demand.pinned[bay] >= 0) {
            if (demand.pinned[bay] < static_cast<int>(m_tables.kindOf.size()) &&
                ready(demand.pinned[bay]))
                units.push_back(demand.pinned[bay]);
            return units;
        }
        const int wanted = m_wanted[static_cast<std::size_t>(step.lane)]
                                   [static_cast<std::size_t>(step.demand)][bay];
        std::array<int, kMostKinds> best;
        best.fill(-1);
        for (int unit = 0; unit < static_cast<int>(m_tables.kindOf.size()); ++unit)
            if (auto& of = best[static_cast<std::size_t>(kindOf(unit))];
                ready(unit) &&
                (of < 0 ||
                 (of != wanted && (unit == wanted || state.renewals(unit) < state.renewals(of)))))
                of = unit;
        for (const int unit : best)
            if (unit >= 0)
                units.push_back(unit);
        // What is in it may come back itself, renewed.
        const int there = state.unitIn(step.lane, static_cast<int>(bay));
        if (there >= 0 && demand.kinds[bay] >> kindOf(there) & 1)
            units.push_back(there);
        return units;
    }

    // The first plan is always finished, however much there is to look at: in the end only what
    // promises most by its size is.
    bool isHurried() const {
        return !m_found && m_looks > std::max(m_effort.looks, kLooksOfTheFirstPlan);
    }
    void keepLargest(std::vector<int>& units) const {
        std::stable_sort(units.begin(), units.end(), [&](int a, int b) {
            return m_tables.capacity(kindOf(a)) > m_tables.capacity(kindOf(b));
        });
        if (units.size() > kHurriedUnits)
            units.resize(kHurriedUnits);
    }

    // Every choice that is possible: leave what is there, or put something into one bay or both.
    std::vector<CarrierChoice> choices(const CarrierState& state, const Step& step) const {
        std::array<std::vector<int>, kMostBays> put{std::vector<int>{-1}, std::vector<int>{-1}};
        const auto bays =
            static_cast<std::size_t>(m_problem.lanes[static_cast<std::size_t>(step.lane)].bays);
        if (state.hasGap(step.lane, of(step)))
            for (std::size_t bay = 0; bay < bays; ++bay) {
                auto units = candidates(state, step, bay);
                if (isHurried())
                    keepLargest(units);
                const int pinned = of(step).pinned[bay];
                if (pinned >= 0 && state.unitIn(step.lane, static_cast<int>(bay)) != pinned &&
                    !units.empty())
                    put[bay].clear(); // it must go in
                put[bay].insert(put[bay].end(), units.begin(), units.end());
            }
        std::vector<CarrierChoice> list;
        for (const int first : put[0])
            for (const int second : put[1])
                if (first < 0 || first != second)
                    list.push_back({{first, second}});
        if (list.empty()) // pins that cannot both be met
            list.push_back({{-1, -1}});
        return list;
    }

    int strangeness(const CarrierState& after, const Step& step) const {
        int count = 0;
        const auto& wanted =
            m_wanted[static_cast<std::size_t>(step.lane)][static_cast<std::size_t>(step.demand)];
        for (std::size_t bay = 0; bay < kMostBays; ++bay)
            if (wanted[bay] >= 0 && after.unitIn(step.lane, static_cast<int>(bay)) != wanted[bay])
                ++count;
        return count;
    }

    std::vector<Child> childrenOf(const CarrierState& state, std::size_t depth,
                                  const std::vector<std::size_t>& next) {
        const auto& step = m_steps[depth];
        std::vector<Child> children;
        for (const auto& choice : choices(state, step)) {
            m_tried = state;
            const bool possible = m_tried.apply(step.lane, step.demand, choice, nullptr);
            m_looks += possible * m_weight + (m_tried.work() - state.work()) / kWorkOfALook;
            if (!possible)
                continue;
            Child child{choice, m_tried.cost() + boundOf(m_tried, next), strangeness(m_tried, step),
                        0};
            for (const int unit : choice.put)
                if (unit >= 0)
                    child.size += m_tables.capacity(kindOf(unit));
            children.push_back(child);
        }
        std::stable_sort(children.begin(), children.end(), [](const Child& a, const Child& b) {
            if (a.promise != b.promise)
                return a.promise < b.promise;
            return a.strange != b.strange ? a.strange < b.strange : a.size < b.size;
        });
        return children;
    }

    void descend(std::size_t depth, const CarrierState& state, std::vector<std::size_t>& next,
                 long allowed) {
        spend();
        if (depth == m_steps.size()) {
            if (!m_found || state.cost() < m_bestCost) {
                m_bestCost = state.cost();
                m_best = m_trail;
                m_found = true;
            }
            return;
        }
        const auto lane = static_cast<std::size_t>(m_steps[depth].lane);
        ++next[lane];
        const auto children = childrenOf(state, depth, next);
        long departure = 0;
        for (const auto& child : children) {
            if (m_found && (m_stopped || !(child.promise < m_bestCost)))
                break; // the others promise no more
            if (departure > allowed) {
                m_cut = true;
                break;
            }
            m_trail[depth] = child.choice;
            CarrierState after = state;
            (void)after.apply(m_steps[depth].lane, m_steps[depth].demand, child.choice, nullptr);
            descend(depth + 1, after, next, allowed - departure);
            departure = 1;
        }
        --next[lane];
    }

    void spend() {
        if (m_looks > m_effort.looks)
            m_stopped = true;
        if (m_effort.keepGoing && m_looks >= m_nextTold) {
            m_nextTold = m_looks + 2000;
            if (!m_effort.keepGoing(std::min(1.0, static_cast<double>(m_looks) /
                                                      static_cast<double>(m_effort.looks))))
                m_stopped = true;
        }
    }

    const CarrierProblem& m_problem;
    const PlanEffort& m_effort;
    CarrierTables m_tables;
    CarrierState m_tried; ///< where a choice leads, while it is looked at
    std::vector<Step> m_steps;
    std::vector<LaneBound> m_bounds;
    std::vector<std::vector<std::array<int, kMostBays>>> m_wanted; ///< by lane and demand
    std::vector<CarrierChoice> m_trail, m_best;
    PlanCost m_bestCost;
    bool m_found = false;
    bool m_stopped = false;
    bool m_cut = false; ///< this round left something out
    long m_looks = 0;
    long m_weight = 1; ///< looks that a state of this problem's size counts for
    long m_nextTold = 0;
};

} // namespace

CarrierPlan planCarriers(const CarrierProblem& problem, const PlanEffort& effort,
                         const CarrierPlan* like) {
    return Search(problem, effort, like).run();
}

} // namespace bslate
