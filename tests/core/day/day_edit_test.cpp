// What a person does to a planned day: a card put somewhere, a take that happened, one moved.
#include "core/day/day_edit.h"

#include "core/day/plan_day.h"
#include "core/words/wording.h"
#include "support/sample_day.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

struct Planned : sample::DayBench {
    DayPlan plan;

    Planned() { again(); }
    ShootDay& day() { return shoot.plan[0]; }
    void again() { plan = planDay(shoot, day()); }
    CardPlace place(const char* take, const char* setup, bool second = false) {
        const auto found = cardPlace(plan, take, setup, second);
        EXPECT_TRUE(found) << take << " " << setup;
        return found.value_or(CardPlace{});
    }
    int unit(const char* id) {
        const int found = plan.cards.unitOf(id);
        EXPECT_GE(found, 0) << id;
        return found;
    }
    // The card of a demand in the plan.
    std::string cardAt(CardPlace at) {
        for (const auto& use : plan.cards.plan.uses)
            if (use.lane == at.lane && use.demand == at.demand)
                return plan.cards.unitIds[static_cast<std::size_t>(use.unit)];
        return {};
    }
    std::string why(CardPlace at, const char* card) {
        const auto reason = cardRefusal(shoot, day(), plan, at, unit(card));
        return reason ? std::string(reason->id) : std::string();
    }
};

TEST(CardPlace, IsThereForEveryCameraThatRollsAndItsCopy) {
    Planned bench;
    EXPECT_NE(bench.place("t1", "W"), bench.place("t1", "W", true));
    EXPECT_NE(bench.place("talk", "T"), bench.place("talk", "S"));
    EXPECT_FALSE(cardPlace(bench.plan, "talk", "S", true)) << "its second slot is not used";
    EXPECT_FALSE(cardPlace(bench.plan, "t1", "S")) << "it does not roll then";
    EXPECT_FALSE(cardPlace(bench.plan, "gone", "W"));
}

TEST(WithCard, FixesACardThatThePlanThenUses) {
    Planned bench;
    const auto at = bench.place("t2", "W");
    const char* other = bench.cardAt(at) == "cf:1" ? "cf:2" : "cf:1";
    ASSERT_EQ(bench.why(at, other), "");
    bench.day() = withCard(bench.shoot, bench.day(), bench.plan, at, bench.unit(other));
    const auto* take = findTake(bench.day(), "t2");
    ASSERT_EQ(take->cards.size(), 1u);
    EXPECT_EQ(take->cards[0].setup, "W");
    EXPECT_EQ(take->cards[0].slot, "cf");
    EXPECT_EQ(take->cards[0].card, other);
    bench.again();
    EXPECT_EQ(bench.cardAt(bench.place("t2", "W")), other);
    // Another one takes its place, and -1 sets it free.
    const char* third = std::string(other) == "cf:1" ? "cf:2" : "cf:1";
    bench.day() =
        withCard(bench.shoot, bench.day(), bench.plan, bench.place("t2", "W"), bench.unit(third));
    ASSERT_EQ(findTake(bench.day(), "t2")->cards.size(), 1u);
    EXPECT_EQ(findTake(bench.day(), "t2")->cards[0].card, third);
    bench.day() = withCard(bench.shoot, bench.day(), bench.plan, bench.place("t2", "W"), -1);
    EXPECT_TRUE(findTake(bench.day(), "t2")->cards.empty());
}

TEST(WithCard, TheCopyIsFixedApartFromTheRecording) {
    Planned bench;
    const auto main = bench.place("t1", "W"), copy = bench.place("t1", "W", true);
    bench.day() = withCard(bench.shoot, bench.day(), bench.plan, main, bench.unit("cf:1"));
    bench.day() = withCard(bench.shoot, bench.day(), bench.plan, copy, bench.unit("v60:3"));
    ASSERT_EQ(findTake(bench.day(), "t1")->cards.size(), 2u);
    bench.day() = withCard(bench.shoot, bench.day(), bench.plan, copy, -1);
    ASSERT_EQ(findTake(bench.day(), "t1")->cards.size(), 1u);
    EXPECT_EQ(findTake(bench.day(), "t1")->cards[0].card, "cf:1");
}

TEST(CardRefusal, SaysWhyInWordsThatAreWhole) {
    Planned bench;
    EXPECT_EQ(bench.why(bench.place("talk", "S"), "cf:1"), "card-form") << "it does not go in";
    bench.shoot.setups[0].secondSlot = SecondSlot::Unused;
    bench.shoot.kit.cameras[0].cardSlots[1].most = DataRate(400e6);
    bench.again();
    EXPECT_EQ(bench.why(bench.place("t1", "W"), "v30:1"), "card-too-slow")
        << "30 MB/s are guaranteed, 240 Mb/s by 1.3 are written";
    bench.shoot.kit.cards[0].capacity = DataSize(16e9);
    bench.again();
    // 100 Mb/s for seventy minutes are 52.5 GB, and must be in one piece.
    EXPECT_EQ(bench.why(bench.place("talk", "S"), "v60:1"), "card-too-small");
    for (const char* card : {"cf:1", "v60:1"})
        if (const auto reason = cardRefusal(bench.shoot, bench.day(), bench.plan,
                                            bench.place("talk", "S"), bench.unit(card))) {
            const auto words = reasonOf(*reason);
            EXPECT_EQ(words.find_first_of("{}"), std::string::npos) << words;
            EXPECT_GT(words.size(), 10u);
        }
}

TEST(CardRefusal, ACardThatRollsElsewhereIsBusy) {
    Planned bench;
    bench.shoot.setups[1].camera = "second"; // both halves of the talk now take SD cards
    bench.shoot.setups[1].mode = "lean";
    bench.shoot.setups[1].secondSlot = SecondSlot::Unused;
    bench.shoot.kit.cameras.push_back(bench.shoot.kit.cameras[1]);
    bench.shoot.kit.cameras.back().id = bench.shoot.kit.cameras.back().name = "third";
    bench.shoot.setups[1].camera = "third";
    bench.again();
    const auto one = bench.place("talk", "T"), other = bench.place("talk", "S");
    const auto card = bench.cardAt(one);
    EXPECT_EQ(bench.why(other, card.c_str()), "") << "the two change places";
    bench.day() = withCard(bench.shoot, bench.day(), bench.plan, one, bench.unit(card.c_str()));
    bench.again();
    EXPECT_EQ(bench.why(bench.place("talk", "S"), card.c_str()), "card-busy")
        << "it is fixed there";
}

TEST(WithHappened, FixesWhatWasBeforeItToo) {
    Planned bench;
    const DayPlan before = bench.plan;
    bench.day() = withHappened(bench.shoot, bench.day(), bench.plan, "t3", Seconds(8.75 * 3600),
                               Seconds(11 * 60));
    for (const char* id : {"t1", "t2", "t3"}) {
        const auto* take = findTake(bench.day(), id);
        ASSERT_TRUE(take->ran) << id;
        EXPECT_FALSE(take->cards.empty()) << id << ": its cards are known now";
    }
    EXPECT_EQ(findTake(bench.day(), "t1")->ran, Seconds(8 * 60)) << "as planned";
    EXPECT_EQ(findTake(bench.day(), "t3")->ran, Seconds(11 * 60));
    EXPECT_EQ(findTake(bench.day(), "t3")->began, Seconds(8.75 * 3600));
    EXPECT_FALSE(findTake(bench.day(), "t4")->ran);
    bench.again();
    for (const auto& take : bench.plan.takes)
        EXPECT_EQ(take.done, take.id == "t1" || take.id == "t2" || take.id == "t3") << take.id;
    // What happened keeps its cards, whatever else is planned now.
    for (const char* id : {"t1", "t2"})
        EXPECT_EQ(bench.cardAt(bench.place(id, "W")),
                  bench.plan.cards.unitIds[static_cast<std::size_t>([&] {
                      for (const auto& use : before.cards.plan.uses)
                          if (CardPlace{use.lane, use.demand} == *cardPlace(before, id, "W"))
                              return use.unit;
                      return 0;
                  }())])
            << id;
}

TEST(WithTakeAt, WaitsForItsHourAndStandsInTheOrderOfTime) {
    Planned bench;
    const auto ids = [&] {
        std::string order;
        for (const auto& take : bench.day().takes)
            order += take.id + " ";
        return order;
    };
    ASSERT_EQ(ids(), "t1 t2 t3 t4 talk t6 t7 ");
    bench.day() = withTakeAt(bench.day(), "t2", Seconds(16 * 3600.0));
    EXPECT_EQ(ids(), "t1 t3 t4 talk t6 t7 t2 ");
    EXPECT_EQ(findTake(bench.day(), "t2")->at, Seconds(16 * 3600.0));
    // Before the day begins there is nothing: it is the first at the day's start.
    bench.day() = withTakeAt(bench.day(), "t2", Seconds(3 * 3600.0));
    EXPECT_EQ(ids(), "t2 t1 t3 t4 talk t6 t7 ");
    EXPECT_EQ(findTake(bench.day(), "t2")->at, Seconds(8 * 3600.0));
    // What ran is not moved, and what is not there moves nothing.
    bench.day().takes[1].began = Seconds(9 * 3600.0);
    const auto before = bench.day();
    EXPECT_EQ(withTakeAt(before, "t1", Seconds(17 * 3600.0)), before);
    EXPECT_EQ(withTakeAt(before, "gone", Seconds(17 * 3600.0)), before);
}

TEST(ChangedUses, AreThoseOfAnotherUnit) {
    Planned bench;
    const DayPlan before = bench.plan;
    EXPECT_TRUE(changedUses(before, before.cards, before, before.cards).empty());
    const auto at = bench.place("t4", "W");
    const char* other = bench.cardAt(at) == "cf:1" ? "cf:2" : "cf:1";
    bench.day() = withCard(bench.shoot, bench.day(), bench.plan, at, bench.unit(other));
    bench.again();
    const auto changed = changedUses(before, before.cards, bench.plan, bench.plan.cards);
    ASSERT_FALSE(changed.empty());
    for (const int index : changed)
        EXPECT_EQ(bench.plan.cards.unitIds[static_cast<std::size_t>(
                      bench.plan.cards.plan.uses[static_cast<std::size_t>(index)].unit)],
                  other);
}

} // namespace
} // namespace bslate
