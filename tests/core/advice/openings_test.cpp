// Every way out of a closed cell: it is offered, it really opens the cell as the evaluation of the
// setup sees it, and it changes one thing.
#include "core/advice/openings.h"

#include "core/facts/evaluate.h"
#include "support/sample_recording.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

struct Closed : sample::Bench {
    // A rule of the camera: when recorded in `mode`, `then` must hold.
    void forbid(const char* mode, ConstraintKind kind, Condition then) {
        camera.constraints.push_back(
            {"rule-" + std::to_string(camera.constraints.size()),
             {{SettingKey::Mode, {SettingValue(std::string(mode))}, {}, {}}},
             kind,
             {std::move(then)},
             "because",
             {}});
    }
    std::vector<Opening> openings(const char* mode, int rate) {
        return openingsOf(question(), latticeOf(question()), cell(mode, rate));
    }
    const Opening* of(const std::vector<Opening>& all, OpeningKind kind) {
        for (const auto& opening : all)
            if (opening.kind == kind)
                return &opening;
        return nullptr;
    }
    // What the evaluation of the whole setup says of the cell it is in then.
    bool opensIn(const Opening& opening) {
        if (!opening.setup)
            return false;
        const auto at = evaluate(shoot, *opening.setup);
        return at.ok() && at->cell.available();
    }
    static Condition is(SettingKey key, const char* value) {
        return {key, {SettingValue(std::string(value))}, {}, {}};
    }
};

TEST(Openings, PowerFromOutside) {
    Closed bench;
    bench.camera.modes[2].externalPower = true; // lean
    const auto all = bench.openings("lean", 24);
    const auto* power = bench.of(all, OpeningKind::Power);
    ASSERT_TRUE(power);
    EXPECT_EQ(&all.front(), power) << "the smallest change first";
    EXPECT_TRUE(power->setup->externalPower);
    EXPECT_TRUE(bench.opensIn(*power));
    // Where it is on already, it is no way out of anything else.
    bench.shoot.setups[0].externalPower = true;
    EXPECT_TRUE(bench.openings("lean", 24).empty());
}

TEST(Openings, ARatingAtTheEndOfWhatIsAllowed) {
    for (const bool atLeast : {true, false}) {
        Closed bench;
        Condition rating{SettingKey::Rating, {}, {}, {}};
        (atLeast ? rating.atLeast : rating.atMost) = SettingValue(atLeast ? 1600.0 : 400.0);
        bench.forbid("lean", ConstraintKind::Limits, rating);
        const auto all = bench.openings("lean", 24);
        const auto* opening = bench.of(all, OpeningKind::Rating);
        ASSERT_TRUE(opening);
        EXPECT_EQ(opening->setup->rating, ExposureIndex(atLeast ? 1600 : 400));
        EXPECT_TRUE(bench.opensIn(*opening));
        EXPECT_EQ(reasonOf(opening->reason).find('{'), std::string::npos);
    }
}

TEST(Openings, NothingBesideIt) {
    Closed bench;
    bench.camera.cardSlots.push_back({"sd-2", "second", CardForm::Sd, "UHS-II", {}, {}});
    bench.camera.modes[2].proxy = true;
    bench.shoot.setups[0].secondSlot = SecondSlot::Proxy;
    bench.forbid("lean", ConstraintKind::Requires, Closed::is(SettingKey::Proxy, "off"));
    const auto all = bench.openings("lean", 24);
    const auto* opening = bench.of(all, OpeningKind::NoProxy);
    ASSERT_TRUE(opening);
    EXPECT_EQ(opening->setup->secondSlot, SecondSlot::Unused);
    EXPECT_TRUE(bench.opensIn(*opening));
}

TEST(Openings, AnotherProfileWithARatingItHas) {
    Closed bench;
    bench.camera.profiles = {"index", "recorded"};
    bench.camera.modes[2].profiles = {"recorded"};
    bench.shoot.kit.profiles[1].minimum = ExposureIndex(1250);
    const auto all = bench.openings("lean", 24);
    const auto* opening = bench.of(all, OpeningKind::Profile);
    ASSERT_TRUE(opening);
    EXPECT_EQ(opening->setup->profile, "recorded");
    EXPECT_EQ(opening->setup->rating, ExposureIndex(1250)) << "800 is not on its dial";
    EXPECT_TRUE(bench.opensIn(*opening));
    // Of a profile that is gone nothing is offered.
    bench.camera.profiles = {"index", "sold"};
    EXPECT_FALSE(bench.of(bench.openings("lean", 24), OpeningKind::Profile));
}

TEST(Openings, ACardToBringOnlyWhereASlotTakesIt) {
    Closed bench;
    const auto all = bench.openings("main", 60); // 600 Mb/s: 75 MB/s are wanted, V60 is at hand
    const auto* card = bench.of(all, OpeningKind::Card);
    ASSERT_TRUE(card);
    EXPECT_FALSE(card->setup) << "it has to be fetched";
    EXPECT_NE(reasonOf(card->reason).find("V90"), std::string::npos) << reasonOf(card->reason);
    // A mode that records elsewhere is not helped by a card in this slot.
    bench.camera.cardSlots.push_back(
        {"cf", "CF slot", CardForm::CfExpressB, "CFexpress B", {}, {}});
    bench.camera.modes[0].slotIds = {"cf"};
    const auto other = bench.openings("main", 60);
    const auto* fast = bench.of(other, OpeningKind::Card);
    ASSERT_TRUE(fast);
    EXPECT_NE(reasonOf(fast->reason).find("VPG"), std::string::npos) << reasonOf(fast->reason);
    // The slowest bus carries no class that would do.
    bench.camera.modes[0].slotIds = {"sd"};
    bench.camera.cardSlots[0].bus = "UHS-I";
    bench.camera.modes[0].rates[1].bitRate = DataRate(1200e6);
    EXPECT_FALSE(bench.of(bench.openings("main", 60), OpeningKind::Card));
}

TEST(Openings, TheNearestCellAtTheRateAndOfAll) {
    Closed bench;
    bench.forbid("fast", ConstraintKind::Requires, Closed::is(SettingKey::Gop, "raw"));
    const auto all = bench.openings("fast", 120);
    const auto* cell = bench.of(all, OpeningKind::Cell);
    ASSERT_TRUE(cell);
    EXPECT_EQ(cell->setup->rate, sample::fps(60)) << "nothing else runs at 120";
    EXPECT_TRUE(bench.opensIn(*cell));
    // Every way out that is a setup opens its cell, and an open cell needs none.
    for (const char* mode : {"main", "fast", "lean"})
        for (const int rate : {24, 60, 120})
            for (const auto& opening : bench.openings(mode, rate))
                EXPECT_TRUE(!opening.setup || bench.opensIn(opening))
                    << mode << " " << rate << ": " << reasonOf(opening.reason);
    EXPECT_TRUE(bench.openings("lean", 24).empty());
}

TEST(Openings, WhereEverythingIsForbiddenNothingIsPromised) {
    Closed bench;
    for (const char* mode : {"main", "fast", "lean"})
        bench.forbid(mode, ConstraintKind::Requires, Closed::is(SettingKey::Gop, "raw"));
    EXPECT_TRUE(bench.openings("lean", 24).empty());
    EXPECT_TRUE(bench.openings("main", 60).empty());
}

} // namespace
} // namespace bslate
