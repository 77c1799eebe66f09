// What the mode, the take, the light and the other setups bring into the verdict.
#include "core/facts/dial_in.h"
#include "core/judgement/judge.h"
#include "core/judgement/told_once.h"
#include "support/sample_recording.h"

#include <gtest/gtest.h>

#include <functional>

namespace bslate {
namespace {

using sample::Bench;
using sample::fps;

struct Shown {
    const char* name;
    std::function<void(Bench&)> change;
    const char* key;
    Severity severity;
    const char* title;  ///< a part of it
    const char* remedy; ///< title of the first one; empty for none
};

class RecordingRule : public ::testing::TestWithParam<Shown> {};

TEST_P(RecordingRule, SaysItAndItsRemedyCuresIt) {
    const auto& shown = GetParam();
    Bench bench;
    shown.change(bench);
    const auto& setup = bench.shoot.setups[0];
    const auto verdict = judge(bench.shoot, setup);
    const auto* finding = verdict.find(shown.key);
    ASSERT_NE(finding, nullptr);
    EXPECT_EQ(finding->severity, shown.severity);
    EXPECT_NE((titleOf(*finding) + "; " + reasonOf(*finding)).find(shown.title), std::string::npos)
        << titleOf(*finding);
    EXPECT_EQ((titleOf(*finding) + reasonOf(*finding)).find('{'), std::string::npos)
        << reasonOf(*finding);
    // Of what is told with its cause the ways out are the cause's.
    std::vector<Remedy> remedies;
    for (const auto& told : verdict.findings)
        if (findTold({told}, shown.key))
            remedies = told.remedies;
    EXPECT_EQ(remedies.empty() ? "" : titleOf(remedies[0]), shown.remedy);
    for (const auto& remedy : remedies) {
        const auto after = applied(bench.shoot, remedy.edit);
        const auto cured = judge(after, after.setups[0]);
        EXPECT_EQ(cured.find(shown.key), nullptr) << titleOf(remedy);
    }
}

void secondCamera(Bench& bench) {
    Setup other = bench.shoot.setups[0];
    other.id = "b";
    other.number = "2B";
    other.camera = "times";
    bench.shoot.setups.push_back(other);
}

const Shown kShown[] = {
    {"ModeExcluded", [](Bench& b) { b.shoot.setups[0].rate = fps(48); }, "mode-excluded",
     Severity::Fault, "not possible", "lean, 60"},
    {"NeedsPower", [](Bench& b) { b.camera.modes[0].externalPower = true; }, "mode-excluded",
     Severity::Fault, "not possible", "Plug in external power"},
    {"ProfileNotInMode",
     [](Bench& b) {
         b.camera.modes[0].profiles = {"recorded"};
         b.camera.profiles = {"index", "recorded"};
     },
     "mode-excluded", Severity::Fault, "not possible", "Profile recorded"},
    {"EightBitsAndLog",
     [](Bench& b) {
         b.shoot.setups[0].mode = "lean";
         b.shoot.kit.profiles[1].ready = true;
         b.camera.profiles = {"index", "recorded"};
     },
     "eight-bit-log", Severity::Caution, "8 bits", "Profile recorded"},
    {"ThinForTheGrade", [](Bench& b) { b.camera.modes[0].rates[0].bitRate = DataRate(100e6); },
     "bits-low", Severity::Caution, "0.50 bits a pixel", "lean, 24"},
    {"SoundLost", [](Bench& b) { b.camera.modes[0].sound = false; }, "sound-lost", Severity::Fault,
     "No sound", "lean, 24"},
    {"ClipLimit",
     [](Bench& b) {
         b.camera.modes[0].clipLimit = Seconds(1799);
         b.shoot.scenes[0].longestTake = Seconds(4200);
     },
     "clip-limit-short", Severity::Fault, "29 min 59 s, the take lasts 70 min", "lean, 24"},
    {"Heat",
     [](Bench& b) {
         b.camera.modes[0].heat = {{Celsius(25), Seconds(2700)}, {Celsius(35), Seconds(1200)}};
         b.shoot.scenes[0].ambient = Celsius(30); // half way: 45 and 20 min make 32.5
         b.shoot.scenes[0].longestTake = Seconds(2100);
     },
     "heat-short", Severity::Fault, "after 32 min", "lean, 24"},
    {"HeatBeyondTheTable",
     [](Bench& b) {
         b.camera.modes[0].heat = {{Celsius(25), Seconds(2700)}, {Celsius(35), Seconds(1200)}};
         b.shoot.scenes[0].ambient = Celsius(40);
         b.shoot.scenes[0].longestTake = Seconds(1500);
     },
     "heat-short", Severity::Fault, "hotter than the kit tells: at the latest", "lean, 24"},
    {"CardNearlyFull",
     [](Bench& b) { // 128 GB at 240 Mb/s: 4267 s, and 4250 leave less than a twentieth
         b.shoot.kit.cards[1].capacity = DataSize(64e9);
         b.shoot.scenes[0].longestTake = Seconds(4250);
     },
     "card-tight", Severity::Caution, "16.6 s to spare", "lean, 24"},
    {"CardTooSmall",
     [](Bench& b) {
         b.shoot.kit.cards[1].capacity = DataSize(64e9); // and 128 GB at 240 Mb/s: 71 min
         b.shoot.scenes[0].longestTake = Seconds(5400);
     },
     "card-short", Severity::Fault, "the take 90 min", "lean, 24"},
    {"SlowMotion",
     [](Bench& b) {
         b.shoot.scenes[0].slowMotion = Magnification(2.5);
         b.shoot.scenes[0].sound = false;
         b.shoot.kit.cards.clear();
     },
     "slow-motion-off", Severity::Caution, "not 2.5", "Capture at 60"},
    {"TooBrightWithoutNd",
     [](Bench& b) {
         b.shoot.kit.profiles[0].minimum = ExposureIndex(800);
         for (auto& patch : b.shoot.scenes[0].patches)
             patch.reading.value *= 4;
     },
     "too-bright-at-minimum", Severity::Caution, "ISO 800 is too much", "ND on, 3.0 stops of ND"},
    {"Estimated",
     [](Bench& b) {
         b.shoot.scenes[0].described = DescribedLight::Office;
         for (auto& patch : b.shoot.scenes[0].patches)
             patch.estimated = true;
     },
     "light-estimated", Severity::Caution, "estimate", ""},
    {"CropTooTight",
     [](Bench& b) {
         auto& lens = b.shoot.kit.lenses[0];
         lens.shortest = Millimetres(24);
         lens.longest = Millimetres(70);
         b.shoot.setups[0].focal = Millimetres(35);
         b.shoot.setups[0].mode = "fast";
         b.shoot.setups[0].rate = fps(120);
         b.shoot.scenes[0].view = Degrees(53); // 24 mm on the 24 mm wide centre
     },
     "crop-too-tight", Severity::Caution, "35 mm frames like 52.5 mm: too tight",
     "Zoom to 24.1 mm"},
    {"CamerasRate",
     [](Bench& b) {
         secondCamera(b);
         b.shoot.setups[1].rate = fps(60);
     },
     "cameras-rate:2B", Severity::Caution, "does not match in rate", ""},
    {"CamerasRateNever",
     [](Bench& b) {
         secondCamera(b);
         b.shoot.setups[0].mode = "fast";
         b.shoot.setups[0].rate = fps(120);
         b.shoot.scenes[0].sound = false;
     },
     "cameras-rate-never:2B", Severity::Caution, "cannot match in rate", ""},
    {"LocksOfTheProfile",
     [](Bench& b) {
         b.shoot.kit.profiles[0].locks = {"sharpening", "noise reduction"};
     },
     "profile-locks", Severity::Note, "index switches off", ""},
    {"CamerasDepth",
     [](Bench& b) {
         secondCamera(b);
         b.shoot.kit.cameras[1].codecs[0].depth = BitDepth{8};
     },
     "cameras-depth-never:2B", Severity::Caution, "cannot match in bit depth", ""},
    {"CamerasDepthOfAnotherMode",
     [](Bench& b) {
         secondCamera(b);
         auto& second = b.shoot.kit.cameras[1];
         auto deep = second.codecs[0];
         auto mode = second.modes[0];
         second.codecs[0].depth = BitDepth{8};
         mode.id = deep.id = "deep";
         mode.codec = deep.id;
         second.codecs.push_back(deep);
         second.modes.push_back(mode);
     },
     "cameras-depth:2B", Severity::Caution, "does not match in bit depth", ""},
    {"CamerasGamutNever",
     [](Bench& b) {
         secondCamera(b);
         b.shoot.setups[1].profile = "recorded";
         b.shoot.kit.profiles[1].gamut.red.x += 0.05;
         b.shoot.kit.cameras[1].profiles = {"recorded"};
     },
     "cameras-gamut-never:2B", Severity::Note, "cannot record this gamut", ""},
    {"CamerasGamut",
     [](Bench& b) {
         secondCamera(b);
         b.shoot.kit.cameras[1].profiles = {"index", "recorded"};
         b.shoot.setups[1].profile = "recorded";
         b.shoot.kit.profiles[1].gamut.red.x += 0.05;
     },
     "cameras-gamut:2B", Severity::Note, "another gamut", ""},
};

INSTANTIATE_TEST_SUITE_P(All, RecordingRule, ::testing::ValuesIn(kShown),
                         [](const auto& shown) { return shown.param.name; });

// 128 GB at 240 Mb/s are 71 min; two such cards one after the other outlast an hour and a half.
TEST(RecordingRules, ARelayIsOfferedWhenBothCardsOutlastTheTake) {
    Bench bench;
    bench.shoot.kit.cards[1].capacity = DataSize(32e9); // 18 min more
    bench.shoot.scenes[0].longestTake = Seconds(5400);
    bench.camera.cardSlots.push_back({"sd2", "slot 2", CardForm::Sd, "UHS-II", {}, {}});
    const auto relayOf = [&] {
        const auto verdict = judge(bench.shoot, bench.shoot.setups[0]);
        const auto* finding = verdict.find("card-short");
        EXPECT_TRUE(finding);
        for (const auto& remedy : finding->remedies)
            if (remedy.id == RemedyId::DayRelay)
                return std::optional(remedy);
        return std::optional<Remedy>();
    };
    EXPECT_FALSE(relayOf()) << "one such card and the small one are 89 min";
    bench.shoot.kit.cards[0].count = 2;
    const auto relay = relayOf();
    ASSERT_TRUE(relay);
    const auto after = applied(bench.shoot, relay->edit);
    const auto verdict = judge(after, after.setups[0]);
    EXPECT_FALSE(verdict.find("card-short"));
    EXPECT_NEAR(verdict.evaluation->recording.recordTime->value(), 2 * 128e9 * 8 / 240e6, 1);
    const auto card = dialIn(after, after.setups[0]);
    EXPECT_TRUE(std::any_of(card.rows.begin(), card.rows.end(), [](const DialInRow& row) {
        return row.field == DialInField::SecondSlot && row.value.id == "dial-relay";
    }));
}

TEST(RecordingRules, AScenePlannedWellHasNoneOfThem) {
    Bench bench;
    bench.shoot.kit.filters.clear();
    const auto verdict = judge(bench.shoot, bench.shoot.setups[0]);
    for (const char* id :
         {"mode-excluded", "eight-bit-log", "bits-low", "sound-lost", "clip-limit-short",
          "heat-short", "card-short", "slow-motion-off", "crop-too-tight", "light-estimated"})
        EXPECT_EQ(verdict.find(id), nullptr) << id;
    EXPECT_NE(verdict.find("records-well"), nullptr);
}

TEST(RecordingRules, AnotherRateRegionThanTheSetupBeforeIsTold) {
    Bench bench;
    bench.camera.rateSets = {{"24.00", {fps(24)}, {}}, {"59.94", {fps(60)}, {}}};
    bench.camera.regionSwitch = "restarts the body";
    bslate::Setup later = bench.shoot.setups[0];
    later.id = "later";
    later.rate = fps(60);
    bench.shoot.setups.push_back(later);
    EXPECT_EQ(judge(bench.shoot, bench.shoot.setups[0]).find("region-switch:2A"), nullptr);
    const auto verdict = judge(bench.shoot, bench.shoot.setups[1]);
    const auto* finding = verdict.find("region-switch:2A");
    ASSERT_NE(finding, nullptr);
    EXPECT_EQ(reasonOf(*finding),
              "Setup 2A ran in 24.00, this one needs 59.94: it restarts the body.");
    bench.camera.rateSets[0].rates.push_back(fps(60));
    const auto shared = judge(bench.shoot, bench.shoot.setups[1]);
    EXPECT_EQ(shared.find("region-switch:2A"), nullptr);
}

// The brief reaches the verdict: the grade decides what is thin.
TEST(RecordingRules, TheGradeDecidesWhatIsThin) {
    Bench bench;
    bench.camera.modes[0].rates[0].bitRate = DataRate(100e6);
    bench.shoot.brief.grade = GradeWeight::Light;
    EXPECT_EQ(judge(bench.shoot, bench.shoot.setups[0]).find("bits-low"), nullptr);
}

} // namespace
} // namespace bslate
