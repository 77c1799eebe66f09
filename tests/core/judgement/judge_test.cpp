#include "core/advice/levers.h"
#include "core/facts/body_settings.h"
#include "core/facts/evaluate.h"
#include "core/facts/setting_table.h"
#include "core/judgement/judge.h"
#include "core/words/body_words.h"
#include "core/words/card_text.h"
#include "core/words/remedy_words.h"
#include "core/words/wording.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

#include <cmath>
#include <random>
#include <set>

namespace bslate {
namespace {

using sample::patch;

struct Changed {
    Shoot shoot = sample::shoot();
    bslate::Setup& setup = shoot.setups[0];
    std::vector<Patch>& patches = shoot.scenes[0].patches;

    Changed() = default;
    Changed(const Changed&) = delete;
    [[nodiscard]] Verdict verdict() const { return judge(shoot, setup); }
};

const Finding& must(const Verdict& verdict, std::string_view key) {
    const auto* finding = verdict.find(key);
    EXPECT_NE(finding, nullptr) << key;
    static const Finding none;
    return finding ? *finding : none;
}

TEST(Judge, ClippedPatchIsAFaultWithVerifiedRemedies) {
    const Changed now;
    const auto verdict = now.verdict();
    const auto& finding = must(verdict, "patch-clipped:sky");
    EXPECT_EQ(finding.severity, Severity::Fault);
    EXPECT_EQ(titleOf(finding), "sky is lost by 0.6 stop");
    EXPECT_EQ(verdict.worst(), Severity::Fault);
    ASSERT_FALSE(finding.remedies.empty());
}

// Every remedy of every finding over many random setups really cures what it is offered for.
// A remedy cures the finding itself or, of several told together, one of the others.
bool curesOneOf(const Finding& finding, const Verdict& after) {
    bool cures = !after.find(finding.key());
    for (const auto& other : finding.follows)
        cures = cures || !after.find(other.key());
    return cures;
}

TEST(Judge, RemediesCureWhatTheyAreOfferedFor) {
    std::mt19937 random(11);
    std::uniform_real_distribution<double> unit(0, 1);
    int checked = 0;
    std::set<std::string> cured;
    for (int round = 0; round < 400; ++round) {
        Changed now;
        now.setup.iris = TStop(std::exp2(1 + unit(random) * 3.5));
        now.setup.rating = nearestRating(ExposureIndex(200 * std::exp2(unit(random) * 5)));
        now.setup.profile = round % 3 == 0 ? "recorded" : "index";
        now.setup.payer = static_cast<Payer>(round % 5);
        now.setup.school = static_cast<School>(round % 5);
        if (round % 2)
            now.setup.filters = {"nd6", "nd9"};
        for (auto& item : now.patches)
            item.reading.value *= std::exp2((unit(random) - 0.5) * 4);
        const auto verdict = now.verdict();
        for (const auto& finding : verdict.findings) {
            for (const auto& remedy : finding.remedies) {
                const auto after = applied(now.shoot, remedy.edit);
                const auto judged = judge(after, after.setups[0]);
                ASSERT_TRUE(judged.evaluation.has_value());
                if (remedy.id == RemedyId::SaveHighlight)
                    EXPECT_GE(remedy.highlights, Stops(0)) << "one end is all it promises";
                else if (remedy.id == RemedyId::SaveSubject)
                    EXPECT_EQ(judged.count(Severity::Fault) - (judged.find("scene-wider") ? 1 : 0) -
                                  (judged.find("iso-below-minimum") ? 1 : 0),
                              0)
                        << "what is let go no longer counts";
                else
                    EXPECT_TRUE(curesOneOf(finding, judged))
                        << finding.key() << " is still there after " << keyOf(remedy.id)
                        << ", round " << round;
                EXPECT_NEAR(brightest(*judged.evaluation)->headroom.value(),
                            remedy.highlights.value(), 1e-9);
                EXPECT_NEAR(darkest(*judged.evaluation)->aboveNoise.value(), remedy.shadows.value(),
                            1e-9);
                cured.insert(std::string(kindOf(finding.id).key));
                for (const auto& other : finding.follows)
                    if (!judged.find(other.key()))
                        cured.insert(std::string(kindOf(other.id).key));
                ++checked;
            }
        }
    }
    EXPECT_GT(checked, 500);
    for (const char* id : {"patch-clipped", "patch-near-clip", "patch-in-noise", "skin-above",
                           "skin-below", "nd-needed", "nd-left-over", "light-short", "scene-wider",
                           "iso-above-base", "iso-below-base"})
        EXPECT_TRUE(cured.contains(id)) << id << " never got a remedy";
}

TEST(Judge, NoiseAndNearClip) {
    Changed now;
    now.patches = {patch("deep", PatchRole::Shadow, 0.1), patch("edge", PatchRole::Highlight, 800)};
    const auto verdict = now.verdict();
    EXPECT_EQ(must(verdict, "patch-in-noise:deep").severity, Severity::Caution);
    // 800 cd/m2: log2(800*800/10000) = 6.0; 0.1 below the clip.
    EXPECT_EQ(titleOf(must(verdict, "patch-near-clip:edge")), "edge has 0.1 stop before clip");
}

TEST(Judge, SpareThingsMayBeLostWithoutAFault) {
    Changed now;
    now.patches[5].role = PatchRole::Spare;
    const auto verdict = now.verdict();
    EXPECT_EQ(must(verdict, "patch-clipped:sky").severity, Severity::Note);
    EXPECT_EQ(verdict.count(Severity::Fault), 0);
}

TEST(Judge, WiderThanTheWindowOffersTheThreeSchools) {
    Changed now;
    now.patches[0].reading.value = 0.02;
    const auto verdict = now.verdict();
    const auto& finding = must(verdict, "scene-wider");
    std::set<RemedyId> ids;
    for (const auto& remedy : finding.remedies)
        ids.insert(remedy.id);
    EXPECT_TRUE(ids.contains(RemedyId::SaveSubject));
    EXPECT_TRUE(ids.contains(RemedyId::SaveHighlight));
    EXPECT_TRUE(ids.contains(RemedyId::ChangeLight));
    for (const auto& remedy : finding.remedies)
        if (remedy.id == RemedyId::SaveHighlight)
            EXPECT_LT(remedy.shadows, Stops(0))
                << "saving one end shows what it costs at the other";
}

TEST(Judge, RatingIsToldToGrading) {
    Changed now;
    now.setup.rating = ExposureIndex(400);
    EXPECT_EQ(titleOf(must(now.verdict(), "rated-over")), "Grading must pull 1.0 stop down");
    now.setup.rating = ExposureIndex(1600);
    EXPECT_EQ(titleOf(must(now.verdict(), "rated-under")), "Grading must lift 1.0 stop");
    now.setup.profile = "recorded";
    EXPECT_EQ(now.verdict().find("rated-under"), nullptr);
    EXPECT_EQ(must(now.verdict(), "iso-above-base").severity, Severity::Caution);
    now.setup.rating = ExposureIndex(400);
    EXPECT_EQ(must(now.verdict(), "iso-below-base").severity, Severity::Caution);
}

TEST(Judge, IsoOutsideTheProfile) {
    Changed now;
    now.setup.rating = ExposureIndex(100);
    EXPECT_EQ(must(now.verdict(), "iso-below-minimum").severity, Severity::Fault);
    now.setup.rating = ExposureIndex(25600);
    EXPECT_EQ(must(now.verdict(), "iso-above-maximum").severity, Severity::Fault);
    now.setup.rating = ExposureIndex(800);
    now.setup.base = ExposureIndex(640);
    EXPECT_EQ(must(now.verdict(), "base-not-offered").severity, Severity::Fault);
}

TEST(Judge, ShutterAgainstTheRuleAndTheDial) {
    Changed now;
    EXPECT_EQ(must(now.verdict(), "shutter-half-frame").severity, Severity::Good);
    now.setup.shutter = ShutterAngle(90);
    EXPECT_EQ(must(now.verdict(), "shutter-crisp").severity, Severity::Note);
    now.setup.shutter = ShutterAngle(45);
    EXPECT_EQ(must(now.verdict(), "shutter-short").severity, Severity::Caution);
    now.setup.shutter = ShutterAngle(360);
    EXPECT_EQ(must(now.verdict(), "shutter-long").severity, Severity::Caution);
    now.setup.shutter = Seconds(0.1);
    EXPECT_EQ(must(now.verdict(), "shutter-longer-than-frame").severity, Severity::Fault);
    now.setup.camera = "times";
    now.setup.shutter = ShutterAngle(150);
    const auto verdict = now.verdict();
    EXPECT_EQ(reasonOf(must(verdict, "shutter-not-on-dial")).find("Its nearest is 1/60 s"), 0u);
}

TEST(Judge, LowCurvesStrongFiltersAndCodes) {
    Changed now;
    now.shoot.kit.profiles[0].curve.end = signalAt(Level(84), CodeRange::Full, BitDepth{10});
    EXPECT_EQ(titleOf(must(now.verdict(), "curve-ends-low")),
              "Nothing above 84 % is ever recorded");
    now.setup.filters = {"nd18"};
    EXPECT_EQ(must(now.verdict(), "nd-infrared").severity, Severity::Caution);
    now.shoot.kit.filters[4].irCut = true;
    EXPECT_EQ(now.verdict().find("nd-infrared"), nullptr);
    now.setup.filters.clear();
    EXPECT_NE(now.verdict().find("skin-codes:skin"), nullptr);
    now.shoot.kit.cameras[0].codecs[0].depth = BitDepth{8};
    EXPECT_NE(now.verdict().find("skin-codes-8:skin"), nullptr);
}

TEST(Judge, IncidentReadingsNameTheCalibrationGap) {
    Changed now;
    EXPECT_EQ(now.verdict().find("meter-calibration"), nullptr);
    now.patches[2].reading = {450, LightUnit::Lux};
    EXPECT_NE(titleOf(must(now.verdict(), "meter-calibration")).find("0.2 stop"),
              std::string::npos);
}

TEST(Judge, HazardsAreShownAndNeverCountAsFaults) {
    Changed now;
    now.patches[5].reading.value = 200;
    const int before = now.verdict().count(Severity::Caution);
    now.shoot.scenes[0].hazards = {true, true, true, true};
    const auto verdict = now.verdict();
    for (const char* id : {"safety-sun", "safety-water", "safety-mains", "safety-heights"})
        must(verdict, id);
    EXPECT_EQ(verdict.count(Severity::Caution), before);
}

TEST(Judge, AcceptedFaultsStayVisibleButDoNotCount) {
    Changed now;
    now.setup.accepted = {{"patch-clipped:sky", "it is only sky", {}}};
    const auto verdict = now.verdict();
    EXPECT_EQ(verdict.count(Severity::Fault), 0);
    EXPECT_EQ(must(verdict, "patch-clipped:sky").accepted, "it is only sky");
    const auto text = cardText(cardOf(now.shoot, now.setup));
    EXPECT_NE(text.find("sky is lost by 0.6 stop: it is only sky"), std::string::npos) << text;
}

TEST(Judge, AHalfEditedSetupIsOneFaultThatSaysWhy) {
    Changed now;
    now.setup.camera = "sold";
    const auto verdict = now.verdict();
    ASSERT_EQ(verdict.findings.size(), 1u);
    EXPECT_EQ(verdict.findings[0].id, FindingId::SetupIncomplete);
    EXPECT_NE(reasonOf(verdict.findings[0]).find("sold"), std::string::npos);
}

TEST(Wording, EverySentenceIsWholeAndFilled) {
    std::mt19937 random(5);
    std::uniform_real_distribution<double> unit(0, 1);
    std::set<std::string> seen;
    for (int round = 0; round < 300; ++round) {
        Changed now;
        now.setup.rating = nearestRating(ExposureIndex(100 * std::exp2(unit(random) * 9)));
        now.setup.iris = TStop(std::exp2(unit(random) * 5));
        now.setup.lens.clear();
        now.setup.shutter = ShutterAngle(20 + unit(random) * 340);
        now.setup.school = static_cast<School>(round % 5);
        now.setup.profile = round % 2 ? "recorded" : "index";
        if (round % 3 == 0)
            now.setup.filters = {"nd18"};
        for (const auto& finding : now.verdict().findings) {
            const auto text = titleOf(finding) + " " + reasonOf(finding);
            EXPECT_EQ(text.find('{'), std::string::npos) << text;
            EXPECT_FALSE(kindOf(finding.id).source.empty()) << finding.key();
            seen.insert(std::string(kindOf(finding.id).key));
            for (const auto& remedy : finding.remedies) {
                const auto label = titleOf(remedy) + effectOf(remedy);
                EXPECT_EQ(label.find('{'), std::string::npos) << label;
            }
        }
    }
    EXPECT_GT(seen.size(), 18u);
}

TEST(Wording, RemediesNameTheUsersFiltersAndNeverHideACost) {
    Changed now;
    now.shoot.kit.filters[0].name = "my 0.3";
    const auto verdict = now.verdict();
    bool named = false;
    for (const auto& remedy : must(verdict, "patch-clipped:sky").remedies)
        named = named || titleOf(remedy) == "my 0.3 on, 1.0 stop of ND";
    EXPECT_TRUE(named);
    Remedy costly{RemedyId::SetIris};
    EXPECT_EQ(effectOf(costly), "") << "nothing to judge by";
    costly.top = "sky";
    costly.bottom = "hopper";
    costly.highlights = Stops(-0.9);
    costly.shadows = Stops(-1.25);
    costly.worse = 2;
    EXPECT_EQ(effectOf(costly), "loses 0.9 stop of sky, hopper 1.2 in the noise, 2 more lost");
    costly.worse = 0;
    costly.highlights = Stops(0.4);
    costly.shadows = Stops(0.3);
    EXPECT_EQ(effectOf(costly), "keeps 0.4 stop of sky, hopper 0.3 over noise");
    costly.bottom = "sky";
    EXPECT_EQ(effectOf(costly), "keeps 0.4 stop of sky, 0.3 over noise") << "named once";
}

TEST(Wording, TranslatesTheTemplateBeforeFillingIt) {
    const Changed now;
    const auto verdict = now.verdict();
    const Translator loud = [](const char* english) { return "<" + std::string(english) + ">"; };
    EXPECT_EQ(titleOf(must(verdict, "patch-clipped:sky"), loud), "<sky is lost by 0.6 stop>");
}

// ---- the dial-in card

TEST(DialIn, MarksWhatChangedOnTheSameCamera) {
    Changed now;
    bslate::Setup second = now.setup;
    second.id = "t";
    second.number = "2B";
    second.iris = TStop(std::exp2(1.5));
    second.white = Kelvin(4321);
    bslate::Setup other = now.setup;
    other.id = "u";
    other.camera = "times";
    now.shoot.setups.push_back(other);
    now.shoot.setups.push_back(second);
    const auto card = dialIn(now.shoot, now.shoot.setups[2]);
    EXPECT_EQ(card.after, "2A") << "the setup between is on another camera";
    EXPECT_EQ(card.changes(), 2) << "iris and white";
}

TEST(DialIn, ValuesAreInTheCamerasIncrements) {
    Changed now;
    now.setup.camera = "times";
    now.setup.shutter = ShutterAngle(180);
    now.setup.white = Kelvin(4321);
    const auto card = dialIn(now.shoot, now.setup);
    const auto value = [&](DialInField field) {
        for (const auto& row : card.rows)
            if (row.field == field)
                return reasonOf(row.value);
        return std::string("missing");
    };
    EXPECT_EQ(value(DialInField::Shutter), "1/50 s  (172.8\u00b0)");
    EXPECT_EQ(value(DialInField::White), "4300 K");
    EXPECT_EQ(value(DialInField::Region), "missing") << "the camera knows none";
    EXPECT_EQ(value(DialInField::Nd), "none");
    EXPECT_EQ(value(DialInField::Rating), "EI 800");
}

// A card that says "no sound" beside a bank that brings a microphone would cost a take.
TEST(DialIn, CardAndBankSayTheSameOfEverySetting) {
    Changed now;
    auto& mode = now.shoot.kit.cameras[0].modes[0];
    for (const bool records : {true, false})
        for (const auto by : kAllOf<SoundBy>) {
            now.setup.soundBy = by;
            mode.sound = records;
            const auto context = resolve(now.shoot, now.setup);
            ASSERT_TRUE(context);
            const auto at = evaluate(*context);
            const auto onBody = bodySettingsOf(*context, at);
            std::set<BodySetting> told;
            for (const auto& row : dialIn(now.shoot, now.setup).rows) {
                const auto setting = settingTable()[row.field].onBody;
                if (!setting)
                    continue;
                told.insert(*setting);
                if (row.field == DialInField::Sound && row.value.id == "dial-no-sound")
                    continue; // below
                const bool none =
                    row.value.id == "dial-no-sound" || row.value.id == "dial-out-of-reach";
                EXPECT_NE(onBody[*setting].has_value(), none)
                    << settingTable()[row.field].key << ": " << reasonOf(row.value);
            }
            for (const auto setting : kAllOf<BodySetting>)
                if (onBody[setting] && setting != BodySetting::Sound)
                    EXPECT_TRUE(told.count(setting)) << nameOf(setting);
            EXPECT_EQ(onBody[BodySetting::Sound].value_or("none"),
                      by == SoundBy::Unsaid             ? "none"
                      : !records || by == SoundBy::None ? "off"
                      : by == SoundBy::Camera           ? "camera microphone"
                      : by == SoundBy::Wired            ? "wired microphone"
                                                        : "radio microphone");
        }
}

} // namespace
} // namespace bslate
