// Banks against setups: seconds worked out by hand, and every assignment there is.
#include "core/banks/sample_banks.h"

#include <gtest/gtest.h>

#include <set>

namespace bslate {
namespace {

using sample::addSetup;
using sample::bank;
using sample::planned;

std::vector<std::string> handsOf(const BankPlan& plan, std::size_t setup) {
    std::vector<std::string> names;
    for (const auto& hand : plan.uses[setup].byHand)
        names.push_back(hand.to);
    return names;
}

// The cost of the cheapest of all threads, one after the other.
Seconds leastOf(const BankProblem& problem) {
    const int choices = static_cast<int>(problem.banks.size()) + 1;
    Threads threads(problem.work.setups.size(), -1);
    Seconds least(1e9);
    for (;;) {
        least = std::min(least, planWith(problem, threads).cost);
        std::size_t at = 0;
        while (at < threads.size() && ++threads[at] == choices - 1)
            threads[at++] = -1;
        if (at == threads.size())
            return least;
    }
}

TEST(BankPlan, CountsWhatTheHandDoesAfterEachRecall) {
    // Seconds: common practice, no source. Nothing of the controls is known: iris 1, menus 10.
    Shoot shoot = sample::bankShoot({bank("1"), bank("2", {BodySetting::Shutter})});
    shoot.setups.clear();
    shoot.setups.push_back(sample::shoot().setups[0]);
    addSetup(shoot, "1A", 5600);
    addSetup(shoot, "1B", 3200, 800, 24, 2.8);
    addSetup(shoot, "1C", 5600, 800, 60);
    shoot.setups.erase(shoot.setups.begin());
    const auto plan = planned(shoot);
    const auto& problem = plan.problem;
    ASSERT_EQ(problem.work.visits.size(), 3u);
    // All on bank 1, written as 1A: the iris first (1) and ND (3, a filter); white 10 and iris 1;
    // rate 10 and iris 1. ND stands twice: a look of 1 each.
    const auto one = planWith(problem, {0, 0, 0});
    EXPECT_EQ(one.writtenAs[0], 0u);
    EXPECT_EQ(handsOf(one, 0), (std::vector<std::string>{"none", "T4"}));
    EXPECT_EQ(handsOf(one, 1), (std::vector<std::string>{"3200 K", "T2.8"}));
    EXPECT_EQ(handsOf(one, 2), (std::vector<std::string>{"60", "T4"}));
    EXPECT_EQ(one.cost, Seconds(1 + 3 + 10 + 1 + 1 + 10 + 1 + 1));
    // Going on by hand from setup to setup: everything first, then white and iris, then white,
    // rate and iris.
    const auto none = planWith(problem, {-1, -1, -1});
    const auto looks = [&](std::size_t setup) { // all but what is turned and the region
        const auto& values = problem.work.setups[setup].settings.values;
        return static_cast<double>(
                   std::count_if(values.begin(), values.end(),
                                 [](const auto& value) { return value.has_value(); })) -
               static_cast<double>(none.uses[setup].byHand.size()) -
               (values[BodySetting::Region] ? 1 : 0);
    };
    EXPECT_EQ(none.uses[1].cost, Seconds(10 + 1 + looks(1)));
    EXPECT_EQ(none.uses[2].cost, Seconds(10 + 10 + 1 + looks(2)));
    EXPECT_EQ(none.uses[2].stands.size(), static_cast<std::size_t>(looks(2)));
    EXPECT_EQ(none.uses[1].byHand[0].why, HandWhy::NoBank);
    // 1C alone in bank 2, which forgets the shutter: as it was, so nothing of it by hand, and a
    // look at it and at ND.
    const auto two = planWith(problem, {0, 0, 1});
    EXPECT_EQ(two.uses[2].cost, Seconds(1 + 1 + 1));
    ASSERT_EQ(two.uses[2].stands.size(), 2u);
    EXPECT_EQ(two.uses[2].stands[0].setting, BodySetting::Shutter);
    EXPECT_EQ(two.cost, one.cost - Seconds(10) + Seconds(1));
    EXPECT_EQ(plan.best.plan.cost, two.cost);
}

TEST(BankPlan, IsTheCheapestOfEveryAssignment) {
    Random random(21);
    int better = 0;
    for (int round = 0; round < 60; ++round) {
        const auto shoot = sample::randomBankShoot(random, 2 + below(random, 4));
        const auto plan = planned(shoot);
        const Seconds least = leastOf(plan.problem);
        EXPECT_EQ(plan.best.plan.cost, least) << "round " << round;
        EXPECT_TRUE(plan.best.plan.proven);
        EXPECT_EQ(plan.best.plan.atLeast, least);
        EXPECT_EQ(planWith(plan.problem, plan.best.threads).cost, least);
        for (const auto school : kBankSchools) {
            const auto habit = planWith(plan.problem, threadsOf(plan.problem, school));
            EXPECT_GE(habit.cost, least);
            better += habit.cost > least ? 1 : 0;
        }
        for (const int thread : plan.best.threads)
            EXPECT_FALSE(thread >= 0 &&
                         plan.problem.banks[static_cast<std::size_t>(thread)].locked);
    }
    EXPECT_GT(better, 60) << "the schools would do as well: nothing was planned";
}

// A hand with a body before it: what stands on it, what it forgets, what a bank brings, and what is
// then not as it should be; what is right and was brought by nobody is looked at for a second.
// Nothing of the plan's own counting.
Seconds turnedBy(const Shoot& shoot, const CameraPlan& plan, const Threads& threads,
                 const BankPlan& now) {
    const auto& problem = plan.problem;
    std::array<std::optional<std::string>, kBodySettings> body; // none: nobody knows
    const Setup* last = nullptr;
    int day = 0;
    Seconds cost(0);
    for (const auto& visit : problem.work.visits) {
        const auto& own = problem.work.setups[visit.setup];
        const auto* setup = findSetup(shoot, own.id);
        const auto region = static_cast<std::size_t>(BodySetting::Region);
        const auto& wantedRegion = own.settings[BodySetting::Region];
        if (!last)
            body[region] = shoot.kit.cameras[0].body.facts.region;
        const bool restart =
            visit.day != day || (last && wantedRegion && body[region] != wantedRegion);
        for (const auto& slip : shoot.kit.cameras[0].body.slips)
            if ((slip.cause == SlipCause::PowerOn && restart) ||
                (slip.cause == SlipCause::Mode && last && last->mode != setup->mode))
                body[static_cast<std::size_t>(slip.setting)] = slip.to;
        if (last && last->lens != setup->lens)
            body[static_cast<std::size_t>(BodySetting::Iris)].reset();
        std::array<bool, kBodySettings> brought{};
        brought[region] = true; // read once a day
        if (const int bank = threads[visit.setup];
            bank >= 0 && !problem.banks[static_cast<std::size_t>(bank)].locked)
            for (const auto setting : problem.banks[static_cast<std::size_t>(bank)].holds)
                if (const auto& kept =
                        problem.work.setups[*now.writtenAs[static_cast<std::size_t>(bank)]]
                            .settings[setting]) {
                    body[static_cast<std::size_t>(setting)] = *kept;
                    brought[static_cast<std::size_t>(setting)] = true;
                }
        for (std::size_t s = 0; s < kBodySettings; ++s)
            if (const auto& wanted = own.settings[static_cast<BodySetting>(s)];
                wanted && body[s] != wanted) {
                body[s] = wanted;
                cost += problem.access[s];
            } else if (wanted && !brought[s]) {
                cost += Seconds(1);
            }
        last = setup;
        day = visit.day;
    }
    return cost;
}

TEST(BankPlan, CostsWhatAHandBeforeABodyTurns) {
    Random random(77);
    int slipped = 0;
    for (int round = 0; round < 250; ++round) {
        auto shoot = sample::randomBankShoot(random, 2 + below(random, 5));
        auto& camera = shoot.kit.cameras[0];
        if (below(random, 2)) {
            camera.body.slips.push_back({BodySetting::Rating, SlipCause::PowerOn, "400", {}});
            ++slipped;
        }
        if (below(random, 2))
            camera.rateSets = {{"50", {FrameRate{Rational(24, 1)}}, {}},
                               {"60", {FrameRate{Rational(60, 1)}}, {}}};
        const auto plan = sample::planned(shoot);
        Threads threads = plan.best.threads;
        if (below(random, 2))
            for (auto& thread : threads)
                thread = static_cast<int>(below(random, plan.problem.banks.size() + 1)) - 1;
        const auto now = planWith(plan.problem, threads);
        EXPECT_EQ(now.cost, turnedBy(shoot, plan, threads, now)) << "round " << round;
    }
    EXPECT_GT(slipped, 50);
}

// Seconds with an own menu are no more than without: the iris stays on its ring.
TEST(BankPlan, AnOwnMenuMakesNothingDearer) {
    Random random(9);
    for (int round = 0; round < 40; ++round) {
        auto shoot = sample::randomBankShoot(random, 5);
        const auto without = sample::planned(shoot).best.plan.cost;
        shoot.kit.cameras[0].body.ownMenu = 2;
        shoot.kit.cameras[0].body.quickMenu = 3;
        EXPECT_LE(sample::planned(shoot).best.plan.cost, without) << "round " << round;
    }
}

TEST(BankPlan, UsesTheCardOnlyWhenAllInsideAreInUse) {
    Shoot shoot = sample::bankShoot(
        {bank("1"), bank("2"), bank("4", {}, BankPlace::Card), bank("5", {}, BankPlace::Card)});
    shoot.setups.front().white = Kelvin(3200);
    addSetup(shoot, "1B", 4300);
    const auto placesOf = [](const CameraPlan& plan) {
        std::set<BankPlace> places;
        for (const int thread : plan.best.threads)
            if (thread >= 0)
                places.insert(plan.problem.banks[static_cast<std::size_t>(thread)].place);
        return places;
    };
    EXPECT_EQ(placesOf(planned(shoot)), std::set{BankPlace::Inside});
    addSetup(shoot, "1C", 5600);
    const auto plan = planned(shoot);
    EXPECT_EQ(placesOf(plan), (std::set{BankPlace::Inside, BankPlace::Card}));
    shoot.kit.cameras[0].body.banks.resize(2);
    EXPECT_GT(planned(shoot).best.plan.cost, plan.best.plan.cost);
}

TEST(BankPlan, ForgetsWhatSlipsAndWhatIsOnAnotherLens) {
    Shoot shoot = sample::bankShoot({bank("1", {BodySetting::White})});
    shoot.kit.cameras[0].body.slips = {{BodySetting::White, SlipCause::PowerOn, "auto", {}}};
    shoot.kit.lenses.push_back(shoot.kit.lenses[0]);
    shoot.kit.lenses[1].id = "long";
    shoot.scenes.push_back(shoot.scenes[0]);
    shoot.scenes[1].id = "tomorrow";
    shoot.scenes[1].day = 2;
    addSetup(shoot, "2A", shoot.setups[0].white.value());
    shoot.setups[1] = shoot.setups[0];
    shoot.setups[1].id = "again";
    const auto same = planned(shoot);
    const auto at = [](const CameraPlan& plan, std::size_t setup) {
        std::set<BodySetting> settings;
        const auto threaded = planWith(plan.problem, {0, 0});
        for (const auto& hand : threaded.uses[setup].byHand)
            settings.insert(hand.setting);
        return settings;
    };
    EXPECT_TRUE(at(same, 1).empty()) << "the same setup again on the same day";
    shoot.setups[1].scene = "tomorrow";
    EXPECT_EQ(at(planned(shoot), 1), std::set{BodySetting::White});
    shoot.setups[1].lens = "long";
    EXPECT_EQ(at(planned(shoot), 1), (std::set{BodySetting::White, BodySetting::Iris}));
    // What it slips to is what is wanted: nothing to do.
    shoot.setups[1].lens = shoot.setups[0].lens;
    shoot.kit.cameras[0].body.slips[0].to = "5600 K";
    EXPECT_TRUE(at(planned(shoot), 1).empty());
}

TEST(BankPlan, FortySetupsInSevenBanksAreProven) {
    Random random(40);
    Shoot shoot = sample::bankShoot({});
    for (int b = 1; b <= 7; ++b)
        shoot.kit.cameras[0].body.banks.push_back(bank(std::to_string(b)));
    countBanks(shoot.kit.cameras[0]);
    for (int k = 0; k < 40; ++k)
        addSetup(shoot, std::to_string(k), 3200 + 400.0 * static_cast<double>(below(random, 8)),
                 below(random, 2) ? 400 : 800, below(random, 3) ? 24 : 60,
                 below(random, 2) ? 2.8 : 4);
    const auto plan = planned(shoot);
    EXPECT_TRUE(plan.best.plan.proven);
    // Forty setups and one bank, or none at all: still a plan, and what is left is said.
    shoot.kit.cameras[0].body.banks.resize(1);
    const auto one = planned(shoot);
    EXPECT_TRUE(one.best.plan.proven);
    EXPECT_GT(one.best.plan.cost, plan.best.plan.cost);
    shoot.kit.cameras[0].body.banks.clear();
    countBanks(shoot.kit.cameras[0]);
    shoot.kit.cameras[0].banks = {};
    const auto none = planned(shoot);
    EXPECT_GT(none.best.plan.cost, one.best.plan.cost);
    EXPECT_TRUE(none.best.plan.writtenAs.empty());
}

TEST(BankPlan, ABankThatIsWrittenKeepsWhatItHolds) {
    Shoot shoot = sample::bankShoot({bank("1"), bank("2")});
    addSetup(shoot, "1B", 3200);
    const auto fresh = planned(shoot);
    ASSERT_EQ(fresh.best.threads, (Threads{0, 1}));
    CameraRecord record;
    record.id = shoot.kit.cameras[0].id;
    record.banks.push_back({"1", "2026-05-01 07:40", "s1B", {}, {}});
    shoot.records = {record};
    EXPECT_EQ(planned(shoot).best.threads, (Threads{1, 0}));
}

} // namespace
} // namespace bslate
