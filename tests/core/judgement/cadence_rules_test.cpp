// What rate, shutter and lamps bring into the verdict.
#include "core/facts/evaluate.h"
#include "core/judgement/judge.h"
#include "core/shoot/lamps.h"
#include "support/sample_recording.h"

#include <gtest/gtest.h>

#include <cmath>
#include <functional>

namespace bslate {
namespace {

using sample::Bench;
using sample::fps;

void light(Bench& bench, const char* lamp) {
    bench.shoot.scenes[0].lamps.push_back(*parseLampLine(lamp));
}

struct ShownCadence {
    const char* name;
    std::function<void(Bench&)> change;
    const char* key;
    Severity severity;
    const char* says;   ///< a part of title and reason
    const char* remedy; ///< title of the first one; empty for none
};
class CadenceRule : public ::testing::TestWithParam<ShownCadence> {};

TEST_P(CadenceRule, SaysItAndItsRemedyCuresIt) {
    const auto& shown = GetParam();
    Bench bench;
    bench.camera.shutter = {0.1, {}};
    bench.shoot.setups[0].shutter = ShutterAngle(180);
    bench.shoot.setups[0].payer = Payer::Nobody;
    shown.change(bench);
    const auto& setup = bench.shoot.setups.back();
    const auto verdict = judge(bench.shoot, setup);
    const auto* finding = verdict.find(shown.key);
    ASSERT_NE(finding, nullptr);
    EXPECT_EQ(finding->severity, shown.severity);
    const std::string words = titleOf(*finding) + "; " + reasonOf(*finding);
    EXPECT_NE(words.find(shown.says), std::string::npos) << words;
    EXPECT_EQ(words.find('{'), std::string::npos) << words;
    EXPECT_EQ(finding->remedies.empty() ? "" : titleOf(finding->remedies[0]), shown.remedy);
    for (const auto& remedy : finding->remedies) {
        const auto after = applied(bench.shoot, remedy.edit);
        EXPECT_EQ(judge(after, after.setups.back()).find(shown.key), nullptr) << titleOf(remedy);
    }
}

void laterAt(Bench& bench, FrameRate rate, const Shutter& shutter) {
    Setup later = bench.shoot.setups[0];
    later.id = "later";
    later.number = "9B";
    later.rate = rate;
    later.shutter = shutter;
    bench.shoot.setups.push_back(later);
}

const ShownCadence kShownCadence[] = {
    {"Pulses", [](Bench& b) { light(b, "tubes depth100%"); }, "pulsing-visible", Severity::Fault,
     "The light flickers at 4 Hz with 180\u00b0; 0.11 stop peak to peak from frame to frame",
     "Shutter 172.8\u00b0"},
    {"PulsesAndRolls",
     [](Bench& b) {
         light(b, "tubes depth100%");
         b.camera.areas[0].readout = Seconds(0.012);
     },
     "pulsing-visible", Severity::Fault,
     "from lamps at 100 Hz; in 1.2 bands over the frame, which roll", "Shutter 172.8\u00b0"},
    {"SoundSlowed",
     [](Bench& b) {
         b.camera.modes[0].rates.push_back({fps(48), DataRate(400e6)});
         b.shoot.setups[0].rate = fps(48);
     },
     "sound-slowed", Severity::Note, "Sound is recorded at 48; It plays 2 times slower", ""},
    {"PulsesALittle", [](Bench& b) { light(b, "tubes depth70% share50%"); }, "pulsing-visible",
     Severity::Caution, "4 Hz", "Shutter 172.8\u00b0"},
    {"HeldStill",
     [](Bench& b) {
         light(b, "tubes");
         b.shoot.setups[0].shutter = ShutterAngle(172.8);
     },
     "pulsing-still", Severity::Good, "1/50 s spans 2 pulses of 100 Hz", ""},
    {"HeldStillOfItsOwn",
     [](Bench& b) {
         light(b, "strips 400Hz");
         b.shoot.setups[0].shutter = ShutterAngle(172.8);
     },
     "pulsing-still-own", Severity::Good, "8 pulses of 400 Hz", ""},
    {"StandingBands",
     [](Bench& b) {
         b.shoot.brief.mains = Hertz(60);
         b.camera.areas[0].readout = Seconds(0.012);
         light(b, "tubes");
     },
     "bands-standing", Severity::Caution, "1.44 bands", "Shutter 144\u00b0"},
    {"InStepWithoutAReadout",
     [](Bench& b) {
         b.shoot.brief.mains = Hertz(60);
         b.camera.areas[0].readout = Seconds(0);
         light(b, "tubes");
     },
     "pulsing-in-step", Severity::Caution, "keep step", "Shutter 144\u00b0"},
    {"DriftOfFilmRates",
     [](Bench& b) {
         b.shoot.brief.mains = Hertz(60);
         b.shoot.brief.rate = b.shoot.setups[0].rate = {Rational(24000, 1001)};
         b.camera.modes[0].rates.push_back({{Rational(24000, 1001)}, DataRate(240e6)});
         light(b, "tubes");
     },
     "pulsing-drift", Severity::Fault, "0.1 Hz", "Shutter 143.9\u00b0"},
    {"NoShutterSpansIt",
     [](Bench& b) {
         b.shoot.setups[0].mode = "fast";
         b.shoot.setups[0].rate = fps(120);
         b.camera.modes[1].rates.push_back({fps(100), DataRate(1000e6)});
         light(b, "tubes");
     },
     "pulsing-unspannable", Severity::Fault, "No shutter here", "Capture at 100"},
    {"StrobingPan",
     [](Bench& b) {
         auto& lens = b.shoot.kit.lenses[0];
         lens.shortest = lens.longest = Millimetres(36);
         b.shoot.scenes[0].pan = DegreesPerSecond(20);
     },
     "pan-strobes", Severity::Caution, "A pan at 20\u00b0/s strobes", ""},
    {"Leaning",
     [](Bench& b) {
         b.camera.areas[0].readout = Seconds(0.02);
         b.shoot.scenes[0].subjectSpeed = WidthsPerSecond(3);
     },
     "skew-leans", Severity::Caution, "lean by 6", ""},
    {"NearMiss",
     [](Bench& b) {
         b.shoot.setups[0].rate = {Rational(24000, 1001)};
         b.camera.modes[0].rates.push_back({{Rational(24000, 1001)}, DataRate(240e6)});
     },
     "rate-near-miss", Severity::Caution,
     "23.976 is not 24; Picture and sound drift apart by 3.6 s", "Capture at 24"},
    {"LeftBehind",
     [](Bench& b) {
         b.camera.shutter.times = {Seconds(1.0 / 50), Seconds(1.0 / 125)};
         b.shoot.setups[0].shutter = Seconds(1.0 / 50);
         b.camera.modes[0].rates.push_back({fps(48), DataRate(400e6)});
         laterAt(b, fps(48), Seconds(1.0 / 50));
     },
     "shutter-left-behind", Severity::Caution, "stayed at 1/50 s; Setup 2A had it at 24",
     "Shutter 180\u00b0"},
    {"NotCrisp", [](Bench& b) { b.shoot.setups[0].shutterSchool = ShutterSchool::Crisp; },
     "shutter-not-crisp", Severity::Caution, "+1.00 stop from 90\u00b0.", "Shutter 90\u00b0"},
    {"LockedOff",
     [](Bench& b) {
         b.shoot.brief.mains = Hertz(60);
         light(b, "tubes");
         b.shoot.setups[0].shutterSchool = ShutterSchool::MainsLocked;
         b.shoot.setups[0].shutter = ShutterAngle(144);
     },
     "shutter-locked-off", Severity::Note, "-0.32 stop from 180\u00b0.", ""},
    {"ByHand",
     [](Bench& b) {
         b.shoot.setups[0].shutterSchool = ShutterSchool::Custom;
         b.shoot.setups[0].shutter = ShutterAngle(45);
     },
     "shutter-by-hand", Severity::Note, "45\u00b0, by hand", ""},
};

INSTANTIATE_TEST_SUITE_P(All, CadenceRule, ::testing::ValuesIn(kShownCadence),
                         [](const auto& shown) { return shown.param.name; });

TEST(CadenceRules, ALampThatIsAlwaysSteadyIsNotTalkedAbout) {
    Bench bench;
    light(bench, "panels");
    light(bench, "window steady");
    for (const auto& finding : judge(bench.shoot, bench.shoot.setups[0]).findings)
        EXPECT_NE(kindOf(finding.id).page, HelpPage::Lamps) << finding.key();
}

// Panels give most of the light here, the tubes all of the pulsing: it is they that are told of.
TEST(CadenceRules, TheLampThatPulsesIsToldOfNotTheBrightest) {
    Bench bench;
    light(bench, "panels 20000Hz share80%");
    light(bench, "tubes depth100% share20%");
    bench.camera.shutter = {0.1, {}};
    bench.shoot.setups[0].shutter = ShutterAngle(172.8);
    const auto verdict = judge(bench.shoot, bench.shoot.setups[0]);
    const auto* still = verdict.find("pulsing-still");
    ASSERT_NE(still, nullptr);
    EXPECT_NE(reasonOf(*still).find("2 pulses of 100 Hz"), std::string::npos) << reasonOf(*still);
}

// The remedy goes through the payer: 180 to 90 degrees is a stop, and the light gives it back.
TEST(CadenceRules, TheRemedyIsPaidByWhoPays) {
    Bench bench;
    bench.camera.shutter = {0.1, {}};
    bench.shoot.setups[0].shutter = ShutterAngle(180);
    bench.shoot.setups[0].payer = Payer::Light;
    bench.shoot.brief.mains = Hertz(60);
    bench.camera.areas[0].readout = Seconds(0.012);
    light(bench, "tubes");
    const auto verdict = judge(bench.shoot, bench.shoot.setups[0]);
    const auto* finding = verdict.find("bands-standing");
    ASSERT_NE(finding, nullptr);
    ASSERT_FALSE(finding->remedies.empty());
    EXPECT_EQ(titleOf(finding->remedies[0]), "Shutter 144\u00b0: 0.32 stop, Light pays");
    const auto after = applied(bench.shoot, finding->remedies[0].edit);
    const auto before = evaluate(bench.shoot, bench.shoot.setups[0]);
    const auto now = evaluate(after, after.setups[0]);
    for (std::size_t i = 0; i < now->patches.size(); ++i)
        EXPECT_NEAR(now->patches[i].viewed.value(), before->patches[i].viewed.value(), 1e-9);
}

TEST(ShutterSchools, AimWhereTheySay) {
    Bench bench;
    bench.camera.shutter = {0.1, {}};
    light(bench, "tubes");
    const auto& setup = bench.shoot.setups[0];
    const auto context = resolve(bench.shoot, setup);
    ASSERT_TRUE(context.ok());
    EXPECT_EQ(shutterFor(*context, ShutterSchool::HalfFrame), Shutter(ShutterAngle(180)));
    EXPECT_EQ(shutterFor(*context, ShutterSchool::Crisp), Shutter(ShutterAngle(90)));
    EXPECT_EQ(shutterFor(*context, ShutterSchool::MainsLocked), Shutter(ShutterAngle(172.8)));
    EXPECT_EQ(shutterFor(*context, ShutterSchool::Custom), setup.shutter);
    EXPECT_EQ(safeOnDial(*context).size(), 4u);
}

// Where no sound is wanted another rate is a way out as well.
TEST(CadenceRules, RatesAreOfferedWhereTheSceneIsMute) {
    Bench bench;
    bench.camera.shutter = {0.1, {}};
    bench.shoot.setups[0].shutter = ShutterAngle(180);
    bench.camera.modes[0].rates.push_back({fps(25), DataRate(250e6)});
    light(bench, "tubes depth100%");
    const auto titles = [&] {
        const auto verdict = judge(bench.shoot, bench.shoot.setups[0]);
        std::string all;
        for (const auto& remedy : verdict.find("pulsing-visible")->remedies)
            all += titleOf(remedy) + "; ";
        return all;
    };
    EXPECT_EQ(titles().find("Capture at 25"), std::string::npos);
    bench.shoot.scenes[0].sound = false;
    EXPECT_NE(titles().find("Capture at 25"), std::string::npos) << titles();
}

TEST(ShutterDial, ClicksAndCountsThem) {
    const ShutterDial times{0, {Seconds(1.0 / 50), Seconds(1.0 / 60), Seconds(1.0 / 30)}};
    const ShutterDial angles{0.1, {}};
    const Shutter fiftieth = Seconds(1.0 / 50);
    EXPECT_EQ(stepShutter(times, fiftieth, 1, fps(24)), Shutter(Seconds(1.0 / 30)));
    EXPECT_EQ(stepShutter(times, fiftieth, -5, fps(24)), Shutter(Seconds(1.0 / 60)));
    EXPECT_EQ(stepShutter(times, fiftieth, 1, fps(50)), fiftieth) << "1/30 does not fit";
    EXPECT_EQ(stepsOnDial(times, Seconds(1.0 / 30), Seconds(1.0 / 60), fps(24)), 2);
    EXPECT_EQ(stepShutter(angles, ShutterAngle(172.8), -3, fps(24)), Shutter(ShutterAngle(172.5)));
    EXPECT_EQ(stepShutter(angles, ShutterAngle(359.9), 5, fps(24)), Shutter(ShutterAngle(360)));
    EXPECT_EQ(stepsOnDial(angles, ShutterAngle(180), ShutterAngle(172.8), fps(24)), 72);
    EXPECT_EQ(stepsOnDial({}, fiftieth, fiftieth, fps(24)), 0);
}

} // namespace
} // namespace bslate
