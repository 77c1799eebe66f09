// A copy in the second slot: what it needs, and how long the two last together.
#include "core/facts/evaluate.h"
#include "core/judgement/judge.h"
#include "support/sample_recording.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

using sample::Bench;
using sample::fps;

// 240 Mb/s intra onto two SD slots.
struct TwoSlots : Bench {
    TwoSlots() {
        camera.cardSlots.push_back({"sd2", "SD slot 2", CardForm::Sd, "UHS-II", {}, {}});
        shoot.setups[0].secondSlot = SecondSlot::Mirror;
        shoot.scenes[0].longestTake = Seconds(600);
    }
    [[nodiscard]] Verdict verdict() const { return judge(shoot, shoot.setups[0]); }
    MemoryCard& card(int i) { return shoot.kit.cards[static_cast<std::size_t>(i)]; }
};

TEST(SecondSlot, EndsWithTheCardThatIsFullFirst) {
    TwoSlots two;
    two.card(1).speedClass = "V60";
    two.card(1).bus = "UHS-II";
    two.card(1).capacity = DataSize(64e9);
    const auto facts = two.verdict().evaluation->recording;
    ASSERT_TRUE(facts.second);
    EXPECT_TRUE(facts.cardHolds && facts.second->holds);
    // 64 GB at 240 Mb/s are 2133 s, 128 GB twice as much.
    EXPECT_NEAR(facts.recordTime->value(), 64e9 * 8 / 240e6, 1e-6);
    two.shoot.scenes[0].longestTake = Seconds(2400);
    const auto verdict = two.verdict();
    EXPECT_TRUE(verdict.find("mirror-short") || verdict.find("card-short"));
}

TEST(SecondSlot, ASlowCopyIsAFaultThatGivingItUpCures) {
    TwoSlots two; // V60 and V30: 30 MB/s needed is exactly what V30 guarantees
    two.camera.modes[0].rates[0].bitRate = DataRate(400e6);
    two.card(0).capacity = DataSize(256e9);
    const auto verdict = two.verdict();
    const auto* finding = verdict.find("mirror-slow");
    ASSERT_TRUE(finding);
    EXPECT_EQ(finding->severity, Severity::Fault);
    ASSERT_FALSE(finding->remedies.empty());
    const auto after = applied(two.shoot, finding->remedies[0].edit);
    EXPECT_FALSE(judge(after, after.setups[0]).find("mirror-slow"));
}

TEST(SecondSlot, TellsAClassThatIsNotDefinedForItsBus) {
    TwoSlots two;
    two.shoot.kit.cards = {
        {"v90", "V90", CardForm::Sd, DataSize(128e9), "V90", "UHS-II", 1, {}, 2, {}}};
    two.camera.cardSlots[1].bus = "UHS-I";
    auto verdict = two.verdict(); // 240 Mb/s are all of the 30 MB/s counted on
    const auto* finding = verdict.find("card-class-unknown:SD slot 2");
    ASSERT_TRUE(finding);
    EXPECT_EQ(finding->severity, Severity::Caution);
    two.camera.modes[0].rates[0].bitRate = DataRate(100e6);
    verdict = two.verdict();
    ASSERT_TRUE(verdict.find("card-class-unknown:SD slot 2"));
    EXPECT_EQ(verdict.find("card-class-unknown:SD slot 2")->severity, Severity::Note);
    two.camera.modes[0].rates[0].bitRate = DataRate(400e6);
    EXPECT_TRUE(two.verdict().find("mirror-slow")) << "50 MB/s are more than can be counted on";
}

// Constraints that speak of the proxy and of the region act.
TEST(Constraints, OnProxyAndRegionAct) {
    TwoSlots two;
    two.camera.constraints = {{"proxy-rate",
                               {{SettingKey::Proxy, {SettingValue(std::string("on"))}, {}, {}}},
                               ConstraintKind::Limits,
                               {{SettingKey::Rate, {}, {}, SettingValue(fps(50))}},
                               "proxies stop above 50",
                               {}}};
    two.shoot.setups[0].rate = fps(60);
    two.shoot.kit.cards[0].speedClass = "V90";
    EXPECT_FALSE(two.verdict().find("mode-excluded"));
    two.shoot.setups[0].secondSlot = SecondSlot::Proxy;
    const auto verdict = two.verdict();
    const auto* finding = verdict.find("mode-excluded");
    ASSERT_TRUE(finding);
    EXPECT_NE(reasonOf(*finding).find("proxies stop above 50"), std::string::npos);
    ASSERT_FALSE(finding->remedies.empty());
    EXPECT_EQ(finding->remedies[0].id, RemedyId::NoProxy);
    const auto after = applied(two.shoot, finding->remedies[0].edit);
    EXPECT_FALSE(judge(after, after.setups[0]).find("mode-excluded"));

    two.shoot.setups[0].secondSlot = SecondSlot::Unused;
    two.camera.rateSets = {{"50 Hz", {fps(24), fps(50)}, {}}, {"60 Hz", {fps(24), fps(60)}, {}}};
    two.camera.constraints = {{"no-60-region",
                               {{SettingKey::Region, {SettingValue(std::string("60 Hz"))}, {}, {}}},
                               ConstraintKind::Excludes,
                               {{SettingKey::Gop, {SettingValue(std::string("intra"))}, {}, {}}},
                               "no intra in the 60 Hz region",
                               {}}};
    EXPECT_TRUE(two.verdict().find("mode-excluded")) << "60 is in that region alone";
    two.shoot.setups[0].rate = fps(24);
    EXPECT_FALSE(two.verdict().find("mode-excluded")) << "24 is in the other one too";
}

// UHD from 35.9 x 18.9 mm uses 33.6 mm of its width.
TEST(RecordedArea, HasTheShapeOfTheFrame) {
    const SensorArea wide{"full", "Full", Millimetres(35.9), Millimetres(18.9), {}, {}, {}};
    const auto uhd = recordedArea(wide, {3840, 2160});
    EXPECT_NEAR(uhd.width.value(), 33.6, 1e-9);
    EXPECT_NEAR(uhd.height.value(), 18.9, 1e-9);
    const auto scope = recordedArea(wide, {4096, 1716});
    EXPECT_NEAR(scope.width.value(), 35.9, 1e-9);
    EXPECT_NEAR(scope.height.value(), 35.9 * 1716 / 4096, 1e-9);
    Bench bench;
    bench.camera.areas[0] = wide;
    const auto at = evaluate(bench.shoot, bench.shoot.setups[0]);
    EXPECT_NEAR(at->recording.crop.value(), 35.9 / 33.6, 1e-9);
    EXPECT_NEAR(bench.cell("main", 24).crop.value(), 35.9 / 33.6, 1e-9);
}

} // namespace
} // namespace bslate
