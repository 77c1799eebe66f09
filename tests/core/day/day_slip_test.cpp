// What happens when the day does not go as planned, and what is done to it by hand.
#include "core/day/day_judged.h"

#include "core/day/day_edit.h"
#include "core/shoot/edit.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

using sample::DayBench;
using sample::judged;

TEST(DaySlip, ATakeThatRanLongAndACardThatFailedAreReplanned) {
    auto shoot = DayBench().shoot;
    const auto before = judged(shoot);
    // The third take lasted 40 minutes instead of 8.
    const auto& third = before.plan.takes[2];
    const auto day =
        withHappened(shoot, before.day, before.plan, third.id, third.start, Seconds(40 * 60.0));
    for (std::size_t i = 0; i < 3; ++i) {
        EXPECT_TRUE(day.takes[i].ran) << i;
        EXPECT_EQ(day.takes[i].cards.size(), 2u) << "card and mirror stay where they were";
    }
    shoot = applied(shoot, {.day = day});
    const auto plan = planDay(shoot, day, {}, &before.plan);
    EXPECT_EQ(plan.takes[2].end - plan.takes[2].start, Seconds(40 * 60.0));
    EXPECT_EQ(plan.cards.plan.cost.broken, Seconds(0));
    const auto same = changedUses(before.plan, before.plan.cards, plan, plan.cards);
    EXPECT_LE(same.size(), 6u) << "the rest stays as it was where it can";
    // Now the card in the main slot dies in the talk: another one goes on after it.
    auto failed = day;
    failed.failures = {{"cf:1", Seconds(13.2 * 3600), {}}};
    const auto rescued = planDay(shoot, failed, {}, &plan);
    for (const auto& use : rescued.cards.plan.uses)
        if (use.unit == rescued.cards.unitOf("cf:1"))
            EXPECT_LE(use.end, Seconds(13.2 * 3600));
    EXPECT_EQ(rescued.cards.plan.cost.broken, Seconds(0));
    EXPECT_FALSE(rescued.safe) << "what was on it has no second copy";
}

TEST(DayHands, ACardIsPutWhereItFitsAndRefusedWithAReason) {
    const auto shoot = DayBench().shoot;
    const auto now = judged(shoot);
    const auto refused = [&](CardPlace place, const char* unit) {
        const auto reason =
            cardRefusal(shoot, now.day, now.plan, place, now.plan.cards.unitOf(unit));
        return reason ? reasonOf(*reason) : std::string();
    };
    const auto first = *cardPlace(now.plan, "t1", "W");
    EXPECT_EQ(refused(first, "cf:2"), "");
    EXPECT_EQ(refused(*cardPlace(now.plan, "t6", "S"), "cf:2"),
              "CF fits no slot of second that this mode records to");
    // 240 Mb/s at a peak of 1.3 are 39 MB/s.
    EXPECT_EQ(refused(*cardPlace(now.plan, "t1", "W", true), "v30:1"),
              "SD V30 guarantees 30 MB/s there, the mode writes up to 39 MB/s");
    const auto day = withCard(shoot, now.day, now.plan, first, now.plan.cards.unitOf("cf:2"));
    const auto plan = planDay(shoot, day);
    for (const auto& use : plan.cards.plan.uses)
        if (use.lane == first.lane && use.demand == first.demand)
            EXPECT_EQ(plan.cards.unitIds[static_cast<std::size_t>(use.unit)], "cf:2");
    EXPECT_EQ(withCard(shoot, day, plan, first, -1), now.day) << "and taken back";
}

TEST(DayHands, ATakeMovesAmongTheOthersByTime) {
    const auto day = dayOf(DayBench().shoot, 1);
    const auto moved = withTakeAt(day, "t7", Seconds(7.5 * 3600));
    EXPECT_EQ(moved.takes[0].id, "t7");
    EXPECT_EQ(timesOf(moved)[0].start, Seconds(8 * 3600.0)) << "no earlier than the day";
    EXPECT_EQ(moved.takes[1].id, "t1");
    const auto late = withTakeAt(day, "t1", Seconds(22 * 3600.0));
    EXPECT_EQ(late.takes.back().id, "t1");
}

TEST(DayHands, ACardIsOutOfUseAndInUseAgain) {
    const auto day = dayOf(DayBench().shoot, 1);
    const auto failed = withCardFailed(day, "cf:1", Seconds(25 * 3600.0));
    ASSERT_EQ(failed.failures.size(), 1u);
    EXPECT_EQ(failed.failures[0].at, Seconds(3600)) << "the small hours";
    EXPECT_EQ(withCardFailed(failed, "cf:1", Seconds(0)), day);
}

TEST(DayCards, KeepTheirLabelsHoweverManyThereAre) {
    auto shoot = DayBench().shoot;
    shoot.kit.cards[0].count = 300;
    const auto plan = planDay(shoot, dayOf(shoot, 1));
    const auto label = [&](const char* unit) {
        return plan.cards.unitLabels[static_cast<std::size_t>(plan.cards.unitOf(unit))];
    };
    EXPECT_EQ(label("v60:1"), "S1");
    EXPECT_EQ(label("v30:1"), "S301");
    EXPECT_LT(plan.cards.unitIds.size(), 100u) << "no more than could be used";
}

TEST(DayPlanner, AThousandTakesAndATakeLongerThanAnyCard) {
    const auto shoot = DayBench().shoot;
    ShootDay day = dayOf(shoot, 1);
    const auto talk = day.takes[4];
    day.takes.clear();
    for (int i = 0; i < 1000; ++i) {
        day.takes.push_back(talk);
        day.takes.back().id = "t" + std::to_string(i);
        day.takes.back().at.reset();
        day.takes.back().length = Seconds(30);
        day.takes.back().gap = Seconds(90);
    }
    day.takes[500].length = Seconds(90 * 3600.0);
    const auto plan = planDay(shoot, day, {1, {}});
    const auto findings = judgeDay(shoot, day, plan, {DayRemedies::None});
    const auto full = std::find_if(findings.begin(), findings.end(), [](const Finding& finding) {
        return finding.id == FindingId::DayCardFullWhole;
    });
    ASSERT_NE(full, findings.end());
    EXPECT_EQ(full->subject.substr(0, 4), "t500");
}

} // namespace
} // namespace bslate
