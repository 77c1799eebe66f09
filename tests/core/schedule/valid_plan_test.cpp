// Whatever day is planned: nothing is in two places, over-full, or back before it is renewed.
#include "core/base/random.h"
#include "core/schedule/plan_carriers.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>
#include <map>

namespace bslate {
namespace {

constexpr double kTiny = 1e-6;

CarrierProblem randomValidDay(std::uint64_t seed) {
    Random random(seed);
    const auto pick = [&](int below) {
        return static_cast<int>(random.next() % static_cast<std::uint64_t>(below));
    };
    CarrierProblem day;
    for (int kind = 0; kind < 1 + pick(3); ++kind)
        day.kinds.push_back(
            {"kind", Fill(10.0 + 15 * pick(4)), pick(4), Seconds(100.0 * pick(20))});
    if (day.unitCount() == 0)
        day.kinds[0].count = 1;
    const KindSet all = (KindSet{1} << day.kinds.size()) - 1;
    for (int server = 0; server < pick(3); ++server)
        day.servers.push_back({all & ~KindSet(pick(2))});
    for (int lane = 0; lane < 1 + pick(3); ++lane) {
        CarrierLane one{"lane", 1 + (pick(4) == 0), {}};
        double now = pick(100);
        for (int i = 0; i < 2 + pick(9); ++i) {
            Demand demand;
            demand.start = Seconds(now);
            demand.end = Seconds(now + 60 + pick(300));
            demand.amount = Fill(pick(30));
            demand.whole = pick(2) == 0;
            demand.kinds = {all & ~KindSet(pick(5) == 0), all};
            if (pick(8) == 0)
                demand.pinned[0] = pick(day.unitCount());
            one.demands.push_back(demand);
            now = demand.end.value() + pick(400);
        }
        day.lanes.push_back(one);
    }
    if (pick(3) == 0)
        day.faults.push_back({pick(day.unitCount()), Seconds(pick(2000))});
    return day;
}

void expectWhole(const CarrierProblem& day, const CarrierPlan& plan) {
    std::map<std::pair<int, int>, double> recorded;
    for (const auto& use : plan.uses) {
        const auto& lane = day.lanes[static_cast<std::size_t>(use.lane)];
        const auto& demand = lane.demands[static_cast<std::size_t>(use.demand)];
        const int kind = day.kindOf(use.unit);
        EXPECT_LT(use.bay, lane.bays);
        EXPECT_TRUE(demand.kinds[static_cast<std::size_t>(use.bay)] >> kind & 1);
        EXPECT_GE(use.start.value(), demand.start.value() - kTiny);
        EXPECT_LE(use.end.value(), demand.end.value() + kTiny);
        EXPECT_LE(use.after.value(),
                  day.kinds[static_cast<std::size_t>(kind)].capacity.value() + kTiny);
        EXPECT_FALSE(use.inside && demand.whole) << "it must not be interrupted";
        for (const auto& fault : day.faults)
            EXPECT_FALSE(fault.unit == use.unit && fault.at < demand.end);
        recorded[{use.lane, use.demand}] += (use.after - use.before).value();
    }
    Seconds broken(0), lost(0);
    for (const auto& gap : plan.shortfalls) {
        const auto& demand = day.lanes[static_cast<std::size_t>(gap.lane)]
                                 .demands[static_cast<std::size_t>(gap.demand)];
        recorded[{gap.lane, gap.demand}] += gap.missing.value();
        (demand.whole ? broken : lost) += demand.end - gap.from;
    }
    for (std::size_t l = 0; l < day.lanes.size(); ++l)
        for (std::size_t d = 0; d < day.lanes[l].demands.size(); ++d)
            EXPECT_NEAR((recorded[{static_cast<int>(l), static_cast<int>(d)}]),
                        day.lanes[l].demands[d].amount.value(), 1e-4)
                << "recorded and missing are all of it";
    EXPECT_NEAR(plan.cost.broken.value(), broken.value(), 1e-4);
    EXPECT_NEAR(plan.cost.lost.value(), lost.value(), 1e-4);
    const auto changes = std::count_if(plan.uses.begin(), plan.uses.end(),
                                       [](const CarrierUse& use) { return use.inside; });
    EXPECT_EQ(plan.cost.inside, changes);
}

void expectUnitsAreInOnePlace(const CarrierPlan& plan) {
    for (std::size_t i = 0; i < plan.uses.size(); ++i)
        for (std::size_t k = i + 1; k < plan.uses.size(); ++k) {
            const auto &a = plan.uses[i], &b = plan.uses[k];
            if (a.unit != b.unit)
                continue;
            EXPECT_TRUE(a.end.value() <= b.start.value() + kTiny ||
                        b.end.value() <= a.start.value() + kTiny);
            // Goes on where it stopped, or has been renewed in between.
            const auto& first = a.start < b.start ? a : b;
            const auto& second = a.start < b.start ? b : a;
            if (second.before.value() > kTiny || first.after.value() <= kTiny)
                continue;
            EXPECT_TRUE(std::any_of(
                plan.renewals.begin(), plan.renewals.end(), [&](const Renewal& renewal) {
                    return renewal.unit == a.unit && renewal.out >= first.end - Seconds(kTiny) &&
                           renewal.end <= second.start + Seconds(kTiny);
                }));
        }
}

void expectServersDoOneThing(const CarrierProblem& day, const CarrierPlan& plan) {
    for (std::size_t i = 0; i < plan.renewals.size(); ++i) {
        const auto& a = plan.renewals[i];
        const auto& kind = day.kinds[static_cast<std::size_t>(day.kindOf(a.unit))];
        EXPECT_GE(a.start, a.out);
        EXPECT_NEAR((a.end - a.start).value(),
                    kind.renewFull.value() * a.amount.value() / kind.capacity.value(), 1e-4);
        EXPECT_TRUE(day.servers[static_cast<std::size_t>(a.server)].kinds >> day.kindOf(a.unit) &
                    1);
        for (std::size_t k = i + 1; k < plan.renewals.size(); ++k)
            if (const auto& b = plan.renewals[k]; a.server == b.server)
                EXPECT_TRUE(a.end.value() <= b.start.value() + kTiny ||
                            b.end.value() <= a.start.value() + kTiny);
    }
}

TEST(CarrierPlan, EveryPlanCouldBeCarriedOut) {
    int relays = 0, inside = 0, reused = 0, gaps = 0;
    for (std::uint64_t seed = 1; seed <= 400; ++seed) {
        SCOPED_TRACE(seed);
        const auto day = randomValidDay(seed);
        const auto plan = planCarriers(day, {20'000, {}});
        expectWhole(day, plan);
        expectUnitsAreInOnePlace(plan);
        expectServersDoOneThing(day, plan);
        EXPECT_FALSE(plan.cost < plan.bound);
        EXPECT_FALSE(planCarriers(day, {1, {}}).cost < plan.cost) << "more effort is never worse";
        EXPECT_EQ(plan.uses, planCarriers(day, {20'000, {}}).uses);
        relays += std::any_of(plan.uses.begin(), plan.uses.end(),
                              [](const CarrierUse& use) { return use.bay == 1; });
        inside += plan.cost.inside > 0;
        gaps += !plan.optimal;
        for (const auto& renewal : plan.renewals)
            reused += std::any_of(plan.uses.begin(), plan.uses.end(), [&](const CarrierUse& use) {
                return use.unit == renewal.unit && use.start >= renewal.end;
            });
    }
    EXPECT_GT(relays, 20);
    EXPECT_GT(inside, 20);
    EXPECT_GT(reused, 50);
    EXPECT_GT(gaps, 0) << "some stop early and say so";
}

} // namespace
} // namespace bslate
