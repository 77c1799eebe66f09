// How much a day leaves to spare, with every number worked out beside it.
#include "core/day/day_judged.h"

#include "core/base/find_by_id.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

using sample::DayBench;
using sample::judged;

template<class Q>
Q fact(const Finding& finding, std::string_view name) {
    for (const auto& one : finding.facts)
        if (one.name == name)
            return std::get<Q>(one.value);
    ADD_FAILURE() << name << " is not told";
    return Q{};
}
double seconds(const Finding& finding, std::string_view name) {
    return fact<Duration>(finding, name).length.value();
}

// One kind of card alone: this many of so many gigabytes, and nobody to copy them.
Shoot onCards(int count, double gigabytes) {
    Shoot shoot = DayBench().shoot;
    shoot.kit.readers.clear();
    for (auto& card : shoot.kit.cards)
        card.count = card.id == "v60" ? count : 0;
    findById(shoot.kit.cards, "v60")->capacity = DataSize(gigabytes * 1e9);
    for (auto& setup : shoot.setups)
        setup.secondSlot = SecondSlot::Unused;
    return shoot;
}

// The first two takes of the day on one card of so many gigabytes.
sample::JudgedDay twoTakesOn(double gigabytes) {
    auto shoot = onCards(1, gigabytes);
    shoot.plan[0].takes.resize(2);
    return judged(shoot);
}

// Eight minutes at 240 Mb/s are 14.4 GB: a card of that size is full to the last byte.
TEST(DayMargins, ACardThatIsFullIsNoneLeft) {
    const auto day = twoTakesOn(14.4);
    const auto* finding = day.find(FindingId::DayCardNoneLeft);
    ASSERT_TRUE(finding) << day.told();
    EXPECT_EQ(finding->take, 1u);
    EXPECT_EQ(finding->severity, Severity::Fault);
    EXPECT_FALSE(day.find(FindingId::DayCardTooSmall));
}

// Of 20 GB the second take finds 5.6: three minutes seven of its eight, and the rest is lost.
TEST(DayMargins, ACardThatFillsUpLosesTheRestOfTheTake) {
    const auto day = twoTakesOn(20);
    const auto* finding = day.find(FindingId::DayCardFull);
    ASSERT_TRUE(finding) << day.told();
    const double left = 5.6e9 * 8 / 240e6;
    EXPECT_NEAR(seconds(*finding, "lost"), 480 - left, 0.5);
    EXPECT_NEAR(seconds(*finding, "length"), 480, 1e-9);
    EXPECT_EQ(fact<DataRate>(*finding, "bitRate"), DataRate(240e6));
}

// 140 Mb/s for seventy minutes are 73.5 GB; 75 GB leave 1.5, which is 86 s of them.
TEST(DayMargins, AnUninterruptedTakeSaysHowLongItsCardWouldGoOn) {
    const auto day = judged(onCards(6, 75));
    const auto* finding = day.find(FindingId::DayCardTight);
    ASSERT_TRUE(finding) << day.told();
    EXPECT_NEAR(seconds(*finding, "spare"), 1.5e9 * 8 / 140e6, 0.1);
    EXPECT_NEAR(seconds(*finding, "length"), 4200, 1e-9);
    EXPECT_FALSE(day.find(FindingId::DayWhole)) << "nothing is praised that is tight";
    auto wide = onCards(6, 128);
    wide.kit.readers = DayBench().shoot.kit.readers; // without one that alone would be a fault
    const auto roomy = judged(wide);
    EXPECT_FALSE(roomy.find(FindingId::DayCardTight)) << roomy.told();
    EXPECT_TRUE(roomy.find(FindingId::DayWhole)) << roomy.told();
}

// A battery worn to what the talk takes and 1 Wh more goes on for their part of its length.
TEST(DayMargins, AnUninterruptedTakeSaysHowLongItsBatteryWouldGoOn) {
    Shoot shoot = DayBench().shoot;
    const auto plenty = judged(shoot);
    double most = 0; // Wh of one recording of the first camera
    for (std::size_t i = 0; i < plenty.plan.power.lanes.size(); ++i)
        if (plenty.plan.power.lanes[i].title == "first")
            for (const auto& demand : plenty.plan.power.problem.lanes[i].demands)
                most = std::max(most, demand.amount.value());
    EXPECT_GE(most, 21.0 * 70 / 60) << "21 W for seventy minutes, and what it stands by";
    auto& large = *findById(shoot.kit.batteries, "large");
    large.health = (most + 1) / (98 * 0.9);
    large.count = 8;
    shoot.kit.chargers.clear();
    const auto day = judged(shoot);
    const auto* finding = day.find(FindingId::DayBatteryTight);
    ASSERT_TRUE(finding) << day.told();
    EXPECT_NEAR(seconds(*finding, "length"), 4200, 1e-9);
    EXPECT_NEAR(seconds(*finding, "spare"), 4200 / most, 0.5);
    EXPECT_FALSE(judged(DayBench().shoot).find(FindingId::DayBatteryTight));
}

// A single card that goes to be copied between two takes: the slower the reader, the less time is
// left when it is back, until it is not back in time.
TEST(DayMargins, ACardThatIsBackJustInTimeIsTold) {
    bool tight = false, late = false;
    for (double bus = 4e9; bus > 3e7; bus /= 1.15) {
        Shoot shoot = onCards(1, 14.4);
        shoot.kit.readers = DayBench().shoot.kit.readers;
        shoot.kit.readers[0].bus = DataRate(bus);
        shoot.plan[0].takes.resize(2);
        shoot.plan[0].takes[1].gap = Seconds(1800);
        const auto day = judged(shoot);
        late = late || !day.plan.cards.plan.shortfalls.empty();
        const auto* finding = day.find(FindingId::DayCardBackTight);
        if (!finding)
            continue;
        tight = true;
        EXPECT_FALSE(late) << "slower still, and yet in time";
        ASSERT_FALSE(day.plan.cards.plan.renewals.empty());
        const Seconds back = day.plan.cards.plan.renewals[0].end;
        EXPECT_NEAR(seconds(*finding, "spare"), (day.plan.takes[1].start - back).value(), 1e-6);
        EXPECT_GE(seconds(*finding, "spare"), 0);
        EXPECT_LE(seconds(*finding, "spare"), 900);
        // The card is read once and once more to check: never faster than the reader lets it.
        EXPECT_GE((back - day.plan.takes[0].end).value(), 14.4e9 * 8 / bus - 1e-6);
    }
    EXPECT_TRUE(tight);
    EXPECT_TRUE(late);
}

TEST(DayMargins, WhatIsWellIsSaidWithItsNumbers) {
    Shoot shoot = DayBench().shoot;
    const auto day = judged(shoot);
    const auto* changes = day.find(FindingId::DayChanges);
    ASSERT_TRUE(changes) << day.told();
    EXPECT_TRUE(day.plan.optimal());
    const auto* safe = day.find(FindingId::DaySafe);
    ASSERT_TRUE(safe);
    EXPECT_EQ(fact<int>(*safe, "copies"), 2);
    EXPECT_EQ(fact<ClockTime>(*safe, "safe").time, *day.plan.safe);
    EXPECT_GT(*day.plan.safe, day.plan.takes.back().end) << "the last take has to be copied too";
    EXPECT_TRUE(day.find(FindingId::DayStorage));
    EXPECT_FALSE(day.find(FindingId::DayStorageRatio)) << "nothing is said of what is delivered";
    // Twenty minutes delivered of what is recorded.
    shoot.brief.finished = Seconds(1200);
    const auto told = judged(shoot);
    const auto* ratio = told.find(FindingId::DayStorageRatio);
    ASSERT_TRUE(ratio) << told.told();
    EXPECT_NEAR(fact<Magnification>(*ratio, "ratio").value(),
                told.plan.projectFootage.value() / 1200, 1e-9);
    EXPECT_FALSE(told.find(FindingId::DayStorage));
}

// A search that is stopped says so, and how far it may be from the best.
TEST(DayMargins, ASearchThatWasStoppedSaysWhatMightBeLeft) {
    Shoot shoot = onCards(3, 30);
    for (int i = 0; i < 12; ++i)
        shoot.plan[0].takes.push_back(
            sample::take("more" + std::to_string(i), {i % 2 ? "S" : "W"}, 9, 3));
    const auto day = dayOf(shoot, 1);
    PlanEffort hurried;
    hurried.looks = 1;
    const auto plan = planDay(shoot, day, hurried);
    const auto findings = judgeDay(shoot, day, plan, {DayRemedies::None});
    int told = 0;
    for (const auto& finding : findings) {
        const bool gap =
            finding.id == FindingId::DayChangesGap || finding.id == FindingId::DayLostGap;
        told += gap || finding.id == FindingId::DayChanges ? 1 : 0;
        EXPECT_EQ(gap && plan.optimal(), false);
        EXPECT_EQ(titleOf(finding).find('{') + reasonOf(finding).find('{'), 2 * std::string::npos);
    }
    EXPECT_EQ(told, 1);
    EXPECT_FALSE(plan.optimal());
}

} // namespace
} // namespace bslate
