#include "core/schedule/plan_carriers.h"

#include "core/base/random.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>
#include <limits>
#include <map>

namespace bslate {
namespace {

constexpr KindSet kAll = ~KindSet{0};

Demand demand(double start, double end, double amount, bool whole = false, KindSet kinds = kAll) {
    return {Seconds(start), Seconds(end), Fill(amount), whole, 0, {kinds, kinds}, {-1, -1}};
}

// A second implementation for small days: every unit before every demand of one-bay lanes whose
// demands must all be whole, each unit renewed by a server of its own. Only what cannot be
// recorded and the changes count.
class BruteForce {
public:
    explicit BruteForce(const CarrierProblem& problem)
        : m_problem(problem)
        , m_used(static_cast<std::size_t>(problem.unitCount()), 0.0)
        , m_back(m_used.size(), -1e9)
        , m_in(problem.lanes.size(), -1)
        , m_end(problem.lanes.size(), -1e9) {
        for (std::size_t lane = 0; lane < problem.lanes.size(); ++lane)
            for (const auto& one : problem.lanes[lane].demands)
                m_order.emplace(one.start.value() + 1e-7 * static_cast<double>(lane),
                                std::pair{lane, &one});
        walk(m_order.begin(), 0, 0);
    }
    double broken = std::numeric_limits<double>::infinity();
    int changes = 0;

private:
    using Order = std::multimap<double, std::pair<std::size_t, const Demand*>>;

    double capacity(int unit) const {
        return m_problem.kinds[static_cast<std::size_t>(m_problem.kindOf(unit))].capacity.value();
    }

    void walk(Order::const_iterator at, double lost, int changed) {
        if (at == m_order.end()) {
            if (std::pair(lost, changed) < std::pair(broken, changes)) {
                broken = lost;
                changes = changed;
            }
            return;
        }
        const auto [lane, one] = at->second;
        // The last round takes out what is there and puts it back, renewed.
        const int count = static_cast<int>(m_used.size());
        for (int round = -1; round <= count; ++round) {
            const bool again = round == count;
            const int unit = again ? m_in[lane] : round;
            if (again && unit < 0)
                continue;
            const auto used = m_used;
            const auto back = m_back;
            const auto in = m_in;
            const auto end = m_end;
            int more = 0;
            if (again || (unit != m_in[lane] && unit >= 0)) {
                const auto u = static_cast<std::size_t>(unit);
                const bool busy = !again && std::find(m_in.begin(), m_in.end(), unit) != m_in.end();
                const bool late = one->start.value() - m_end[lane] < m_problem.change.value();
                if (busy || m_back[u] > one->start.value() || late ||
                    !(one->kinds[0] >> m_problem.kindOf(unit) & 1))
                    continue;
                if (const int old = m_in[lane]; old >= 0) {
                    const auto o = static_cast<std::size_t>(old);
                    const auto& kind =
                        m_problem.kinds[static_cast<std::size_t>(m_problem.kindOf(old))];
                    m_back[o] =
                        m_end[lane] + m_used[o] / kind.capacity.value() * kind.renewFull.value();
                    m_used[o] = 0;
                    ++more;
                    if (again && m_back[o] > one->start.value()) {
                        m_used = used;
                        m_back = back;
                        continue;
                    }
                }
                m_in[lane] = unit;
            } else if (unit != m_in[lane]) {
                continue;
            }
            double room = 0;
            if (unit >= 0 && (one->kinds[0] >> m_problem.kindOf(unit) & 1))
                room = capacity(unit) - m_used[static_cast<std::size_t>(unit)];
            const double take = std::min(room, one->amount.value());
            if (unit >= 0)
                m_used[static_cast<std::size_t>(unit)] += take;
            m_end[lane] = one->end.value();
            const double missing = one->amount.value() - take;
            const double share = missing < 1e-9 ? 0 : missing / one->amount.value();
            walk(std::next(at), lost + share * (one->end - one->start).value(), changed + more);
            m_used = used;
            m_back = back;
            m_in = in;
            m_end = end;
        }
    }

    const CarrierProblem& m_problem;
    Order m_order;
    std::vector<double> m_used, m_back;
    std::vector<int> m_in;
    std::vector<double> m_end;
};

CarrierProblem randomDay(std::uint64_t seed) {
    Random random(seed);
    const auto pick = [&](int below) {
        return static_cast<int>(random.next() % static_cast<std::uint64_t>(below));
    };
    CarrierProblem day;
    day.kinds = {{"small", Fill(10), 1 + pick(2), Seconds(200.0 * pick(4) + 20)},
                 {"large", Fill(24), pick(3), Seconds(300)}};
    for (int i = 0; i < day.unitCount(); ++i)
        day.servers.push_back({kAll});
    for (int lane = 0; lane < 2; ++lane) {
        CarrierLane one{"lane", 1, {}};
        double now = pick(50);
        for (int i = 0; i < 3 + pick(2); ++i) {
            const double length = 60 + pick(120);
            one.demands.push_back(
                demand(now, now + length, 2 + pick(9), true, pick(5) == 0 ? KindSet{2} : kAll));
            now += length + (pick(6) == 0 ? 10 : 60 + pick(200));
        }
        day.lanes.push_back(one);
    }
    return day;
}

TEST(CarrierPlan, SmallDaysAgreeWithBruteForceOverEveryAssignment) {
    int broken = 0, changed = 0;
    for (std::uint64_t seed = 1; seed <= 150; ++seed) {
        const auto day = randomDay(seed);
        const auto plan = planCarriers(day);
        const BruteForce best(day);
        EXPECT_TRUE(plan.optimal) << seed;
        EXPECT_NEAR(plan.cost.broken.value(), best.broken, 1e-6) << seed;
        EXPECT_EQ(plan.cost.changes, best.changes) << seed;
        EXPECT_FALSE(plan.cost < plan.bound) << seed;
        broken += best.broken > 0;
        changed += best.changes > 0;
    }
    EXPECT_GT(broken, 20) << "days that cannot be saved are among them";
    EXPECT_GT(changed, 50);
}

TEST(CarrierPlan, CardsComeBackOnlyWhenTheyAreCopiedAndChecked) {
    // One card of 10, two takes of 10: the second starts 90 s after the first has ended.
    CarrierProblem day;
    day.kinds = {{"card", Fill(10), 1, Seconds(80)}};
    day.lanes = {{"A", 1, {demand(0, 60, 10, true), demand(150, 210, 10, true)}}};
    EXPECT_EQ(planCarriers(day).cost.broken, Seconds(60)) << "nobody copies it";
    day.servers = {{kAll}};
    // Copied from 60 to 140 and put back: still a change.
    const auto fine = planCarriers(day);
    EXPECT_EQ(fine.cost, (PlanCost{Seconds(0), Seconds(0), 0, 0, 1}));
    ASSERT_EQ(fine.renewals.size(), 2u);
    EXPECT_EQ(fine.renewals[0].end, Seconds(140));
    day.kinds[0].renewFull = Seconds(91);
    EXPECT_EQ(planCarriers(day).cost.broken, Seconds(60)) << "a second too late";
    // A second card, and a third take that finds the first one back.
    day.kinds[0].count = 2;
    day.lanes[0].demands.push_back(demand(300, 360, 10, true));
    EXPECT_EQ(planCarriers(day).cost, (PlanCost{Seconds(0), Seconds(0), 0, 0, 2}));
    day.kinds[0].renewFull = Seconds(241);
    EXPECT_EQ(planCarriers(day).cost.broken, Seconds(60));
}

// Takes run over: what is left must be a twentieth of the take, as long as that costs no picture.
TEST(CarrierPlan, LeavesAReserveBehindWhatMustNotStop) {
    CarrierProblem day;
    day.reserve = 0.05;
    day.kinds = {{"card", Fill(10), 2, Seconds(80)}};
    // 6 and 3.9 fill one card to the last tenth: 0.1 is less than 0.195.
    day.lanes = {{"A", 1, {demand(0, 60, 6, false), demand(150, 210, 3.9, true)}}};
    const auto roomy = planCarriers(day);
    EXPECT_EQ(roomy.cost, (PlanCost{Seconds(0), Seconds(0), 0, 0, 1})) << "a change beforehand";
    EXPECT_TRUE(roomy.tight.empty());
    EXPECT_TRUE(roomy.optimal);
    day.kinds[0].count = 1;
    const auto tight = planCarriers(day);
    EXPECT_EQ(tight.cost, (PlanCost{Seconds(0), Seconds(0), 0, 1, 0}));
    ASSERT_EQ(tight.tight.size(), 1u);
    EXPECT_NEAR(tight.tight[0].spare.value(), 0.1, 1e-9);
    // No card at all leaves as much: the search knows that and need not go on.
    day.lanes = {{"A", 1, {demand(0, 60, 9.9, true)}}};
    const auto hopeless = planCarriers(day);
    EXPECT_EQ(hopeless.cost.tight, 1);
    EXPECT_EQ(hopeless.bound.tight, 1);
}

// A slow reader and a quick one: 300 s here, 60 s there. Both cards go through the quick one when
// that has them back sooner, and the second waits for it.
TEST(CarrierPlan, EachServerTakesItsOwnTime) {
    CarrierProblem day;
    day.kinds = {{"card", Fill(10), 2, Seconds(0)}};
    day.servers = {{kAll, {Seconds(300)}}, {kAll, {Seconds(60)}}};
    day.lanes = {{"A", 1, {demand(0, 60, 10, true)}}, {"B", 1, {demand(0, 60, 10, true)}}};
    const auto plan = planCarriers(day);
    ASSERT_EQ(plan.renewals.size(), 2u);
    EXPECT_EQ(plan.renewals[0].server, 1);
    EXPECT_EQ(plan.renewals[0].end, Seconds(120));
    EXPECT_EQ(plan.renewals[1].server, 1);
    EXPECT_EQ(plan.renewals[1].end, Seconds(180));
    day.servers[1].full = {Seconds(std::numeric_limits<double>::infinity())};
    EXPECT_EQ(planCarriers(day).renewals[0].end, Seconds(360)) << "one that never ends is not used";
}

TEST(CarrierPlan, WhatMayBeInterruptedIsChangedInsideOnlyWhenItMust) {
    CarrierProblem day;
    day.kinds = {{"card", Fill(10), 3, Seconds(0)}};
    day.lanes = {{"A", 1, {demand(0, 60, 6), demand(120, 240, 12), demand(300, 360, 7)}}};
    const auto plan = planCarriers(day);
    // 12 on cards of 10: one change inside it; the fresh card there has room for 8 of the last 7.
    EXPECT_EQ(plan.cost.inside, 1);
    EXPECT_EQ(plan.cost.lost, Seconds(0));
    EXPECT_TRUE(plan.optimal);
    // The same take must not stop: 10 of 12 are held, so 20 s of it are lost.
    day.lanes[0].demands[1].whole = true;
    const auto whole = planCarriers(day);
    EXPECT_NEAR(whole.cost.broken.value(), 20, 1e-9);
    ASSERT_EQ(whole.shortfalls.size(), 1u);
    EXPECT_NEAR(whole.shortfalls[0].from.value(), 220, 1e-9);
    // Two slots one after the other hold it.
    day.lanes[0].bays = 2;
    EXPECT_EQ(planCarriers(day).cost.broken, Seconds(0));
}

TEST(CarrierPlan, PinsFaultsAndAnEarlierPlanAreKept) {
    CarrierProblem day;
    day.kinds = {{"card", Fill(10), 4, Seconds(1e9)}};
    day.lanes = {{"A", 1, {demand(0, 60, 6), demand(120, 180, 6), demand(240, 300, 3)}}};
    const auto first = planCarriers(day);
    EXPECT_EQ(first.cost.changes, 1);
    day.lanes[0].demands[1].pinned[0] = 3;
    const auto pinned = planCarriers(day);
    ASSERT_EQ(pinned.uses.size(), 3u);
    EXPECT_EQ(pinned.uses[1].unit, 3);
    // What an earlier plan chose is chosen again as long as it is as good.
    day.lanes[0].demands[1].pinned[0] = -1;
    EXPECT_EQ(planCarriers(day, {}, &pinned).uses[1].unit, 3);
    day.faults = {{3, Seconds(150)}};
    EXPECT_NE(planCarriers(day, {}, &pinned).uses[1].unit, 3) << "it fails during this take";
    // A card that fails later is changed for the last take, and nothing copies it.
    day.faults = {{first.uses[1].unit, Seconds(200)}};
    const auto failed = planCarriers(day, {}, &first);
    EXPECT_NE(failed.uses[2].unit, first.uses[1].unit);
    EXPECT_EQ(failed.cost.broken, Seconds(0));
}

TEST(CarrierPlan, ACardThatFailsLongAfterItWasCopiedWasCopied) {
    CarrierProblem day;
    day.kinds = {{"card", Fill(10), 2, Seconds(100)}};
    day.servers = {{kAll, {}}};
    CarrierLane lane;
    lane.id = "a";
    lane.demands = {demand(0, 100, 10, true), demand(1000, 1100, 10, true)};
    day.lanes = {lane};
    const auto renewalsOfTheFirst = [&](double failsAt) {
        day.faults = {};
        const int unit = planCarriers(day).uses.front().unit;
        day.faults = {{unit, Seconds(failsAt)}};
        const auto plan = planCarriers(day);
        EXPECT_EQ(plan.uses.front().unit, unit);
        return std::count_if(plan.renewals.begin(), plan.renewals.end(),
                             [&](const Renewal& renewal) { return renewal.unit == unit; });
    };
    EXPECT_EQ(renewalsOfTheFirst(5000), 1) << "out at 100, copied by 200";
    EXPECT_EQ(renewalsOfTheFirst(1050), 0) << "what was changed because it fails was still in";
    EXPECT_EQ(renewalsOfTheFirst(150), 0) << "fails while it is copied";
}

TEST(CarrierPlan, NobodyChangesCardsThatAreFullBeforeTheyAreIn) {
    CarrierProblem day;
    day.kinds = {{"tiny", Fill(50), 900, Seconds(10)}};
    CarrierLane lane;
    lane.id = "a";
    lane.demands = {demand(0, 1000, 1000)}; // 50 s each, and a minute to change them
    day.lanes = {lane};
    const auto tiny = planCarriers(day);
    EXPECT_EQ(tiny.cost.inside, 0);
    EXPECT_EQ(tiny.cost.lost, Seconds(950));
    day.change = Seconds(40);
    EXPECT_EQ(planCarriers(day).cost.inside, 19);
}

TEST(CarrierPlan, AThousandTakesCanBeStopped) {
    CarrierProblem day;
    day.kinds = {{"a", Fill(100), 12, Seconds(4000)}, {"b", Fill(37), 9, Seconds(900)}};
    day.servers = {{kAll}};
    for (int lane = 0; lane < 3; ++lane) {
        CarrierLane one{"lane", 1, {}};
        for (int i = 0; i < 1000; ++i)
            one.demands.push_back(
                demand(300.0 * i, 300.0 * i + 180, 7 + (i * 13 + lane) % 17, i % 3 == 0));
        day.lanes.push_back(one);
    }
    int told = 0;
    double last = 0;
    const auto stopped = planCarriers(day, {1'000'000, [&](double done) {
                                                last = done;
                                                return ++told < 3;
                                            }});
    EXPECT_EQ(told, 3);
    EXPECT_LT(last, 0.1);
    EXPECT_FALSE(stopped.cost < stopped.bound);
    EXPECT_EQ(stopped.uses, planCarriers(day, {1, {}}).uses) << "nothing depends on the clock";
}

} // namespace
} // namespace bslate
