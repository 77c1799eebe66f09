#include "core/facts/evaluate.h"
#include "core/facts/look_compare.h"
#include "core/facts/ramp.h"
#include "core/facts/targets.h"
#include "core/judgement/judge.h"
#include "core/kit/profile_edit.h"
#include "core/words/wording.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>
#include <set>

namespace bslate {
namespace {

const ToolTarget& tool(const SchoolTargets& targets, TargetTool wanted,
                       ZebraTap tap = ZebraTap::Recorded) {
    return *std::find_if(targets.tools.begin(), targets.tools.end(),
                         [&](const ToolTarget& t) { return t.tool == wanted && t.tap == tap; });
}

struct Judged {
    Shoot shoot;
    SetupContext context;
    Evaluation at;
    explicit Judged(Shoot from)
        : shoot(std::move(from))
        , context(*resolve(shoot, shoot.setups[0]))
        , at(evaluate(context)) {}
};

// The curve's levels by hand, full range at 10 bits, percent = (1023 y - 64) / 8.76 and
// y = 0.0735 log2(6x + 0.05) + 0.4:
//   grey 0.18    log2(1.13)    =  0.17632  y = 0.41296  40.92 %
//   white 0.9    log2(5.45)    =  2.44626  y = 0.57980  60.40 %
//   skin 0.36    log2(2.21)    =  1.14405  y = 0.48409  49.23 %
//   its quarter stops 0.30273 and 0.42812: log2(1.86636) = 0.90023 and log2(2.61872) = 1.38886,
//   y = 0.46617 and 0.50208, 47.13 and 51.33 %
//   guard at +5.8 of a clip of 6.1: x = 10.0272, log2(60.2132) = 5.91201, y = 0.83453, 90.15 %
TEST(Targets, NominalByHand) {
    const Judged judged(sample::shoot());
    const auto list = targetsOf(judged.context, judged.at);
    ASSERT_EQ(list.size(), kSchools.size());
    const auto& nominal = list[0];
    EXPECT_EQ(nominal.grey, Stops(0));
    EXPECT_NEAR(tool(nominal, TargetTool::GreyCard).low.value(), 40.92, 0.01);
    EXPECT_NEAR(tool(nominal, TargetTool::WhiteCard).low.value(), 60.40, 0.01);
    EXPECT_NEAR(tool(nominal, TargetTool::SkinRange).low.value(), 47.13, 0.01);
    EXPECT_NEAR(tool(nominal, TargetTool::SkinRange).high.value(), 51.33, 0.01);
    EXPECT_NEAR(tool(nominal, TargetTool::HighlightLimit).low.value(), 90.15, 0.01);
    EXPECT_EQ(tool(nominal, TargetTool::ZebraLimit).set, Level(49));
    EXPECT_EQ(tool(nominal, TargetTool::ZebraClip).set, Level(90));
    // Codes 0 to 1023 on the histogram: 853.7 at the guard leaves 16.5 % of its width.
    EXPECT_NEAR(tool(nominal, TargetTool::HistogramGap).low.value(), 16.55, 0.01);
    const auto& band = tool(nominal, TargetTool::ZebraBand);
    EXPECT_EQ(band.set, Level(49));
    EXPECT_EQ(band.range, Level(3)) << "51.33 is 2.33 over 49: two would cut it";
    EXPECT_FALSE(band.inUse) << "this camera has no zebra of that kind";
}

TEST(Targets, EverySchoolMovesTheSameToolsByItsShift) {
    const Judged judged(sample::shoot());
    for (const auto& school : targetsOf(judged.context, judged.at)) {
        EXPECT_NEAR((school.grey - school.shift - *judged.at.grey).value(), 0, 1e-12);
        EXPECT_EQ(tool(school, TargetTool::GreyCard).low,
                  levelAtTap(judged.context, judged.at, ZebraTap::Recorded, school.grey));
        ASSERT_FALSE(school.bands.empty());
        for (std::size_t i = 1; i < school.bands.size(); ++i)
            EXPECT_EQ(school.bands[i].low, school.bands[i - 1].high) << "bands leave no gap";
        EXPECT_TRUE(school.bands.back().clipped || school.bands.back().high <= judged.at.clipLevel);
        EXPECT_TRUE(school.bands.front().noisy);
    }
    const auto inUse = targetsInUse(judged.context, judged.at);
    EXPECT_EQ(inUse.school, judged.shoot.setups[0].school);
}

TEST(Targets, StepsAndTapAreTheCamerasOwn) {
    Shoot shoot = sample::shoot();
    shoot.kit.cameras[0].zebra = {
        5.0, Level(50), Level(100), ZebraTap::ViewingLut, {ZebraKind::Limit, ZebraKind::Band}};
    const Judged judged(shoot);
    const auto nominal = targetsOf(judged.context, judged.at)[0];
    const auto& guard = tool(nominal, TargetTool::ZebraClip, ZebraTap::ViewingLut);
    EXPECT_TRUE(guard.inUse);
    EXPECT_EQ(std::fmod(guard.set.value(), 5.0), 0);
    EXPECT_LE(guard.set, guard.low);
    EXPECT_TRUE(tool(nominal, TargetTool::ZebraBand, ZebraTap::ViewingLut).inUse);
    EXPECT_FALSE(tool(nominal, TargetTool::ZebraClip).inUse) << "it is measured on the LUT";
    const auto& band = tool(nominal, TargetTool::ZebraBand, ZebraTap::ViewingLut);
    EXPECT_GE(band.set + band.range, band.high);
    EXPECT_LE(band.set - band.range, band.low);
}

TEST(Targets, WithoutAReferenceTheCurveItselfSpeaks) {
    Shoot shoot = sample::shoot();
    shoot.scenes[0].patches.clear();
    const Judged judged(shoot);
    EXPECT_TRUE(targetsOf(judged.context, judged.at).empty());
    EXPECT_NEAR(tool(targetsInUse(judged.context, judged.at), TargetTool::GreyCard).low.value(),
                40.92, 0.01);
}

Shoot measuredShoot(ExposureIndex testedAt) {
    Shoot shoot = sample::shoot();
    shoot.kit.cameras[0].profiles = {"index"};
    Measurement measured;
    measured.camera = "angles";
    measured.nominal = "index";
    measured.base = testedAt;
    measured.clip = {Stops(5.2), Stops(5.6), std::nullopt};
    measured.noiseFloor = Stops(-5.5);
    Curve curve = shoot.kit.profiles[0].curve;
    shoot.kit = *withMeasured(shoot.kit, measured, curve);
    return shoot;
}

bool finds(const Shoot& shoot, std::string_view id) {
    const auto verdict = judge(shoot, shoot.setups[0]);
    return std::any_of(verdict.findings.begin(), verdict.findings.end(), [&](const Finding& f) {
        return kindOf(f.id).key == id && !titleOf(f).empty();
    });
}

TEST(Measured, TheTestCountsBeforeThePrintedNumbers) {
    Shoot shoot = measuredShoot(ExposureIndex(800));
    EXPECT_EQ(evaluate(shoot, shoot.setups[0])->curveSource, CurveSource::Nominal);
    EXPECT_TRUE(finds(shoot, "nominal-in-use")) << "and it is offered";
    shoot.setups[0].profile = shoot.kit.profiles.back().id;
    const auto at = evaluate(shoot, shoot.setups[0]);
    ASSERT_TRUE(at.ok());
    EXPECT_EQ(at->curveSource, CurveSource::Measured);
    EXPECT_EQ(at->clip, Stops(5.2)) << "the first channel that clips";
    EXPECT_EQ(at->noiseFloor, Stops(-5.5));
    EXPECT_TRUE(finds(shoot, "measured-in-use"));
    shoot.snrFloor = 1; // the test was read at 2
    EXPECT_NE(evaluate(shoot, shoot.setups[0])->noiseFloor, Stops(-5.5));
}

TEST(Measured, AnotherBaseTakesTheCurveOnly) {
    Shoot shoot = measuredShoot(ExposureIndex(5000));
    shoot.setups[0].profile = shoot.kit.profiles.back().id;
    const auto at = evaluate(shoot, shoot.setups[0]);
    EXPECT_EQ(at->curveSource, CurveSource::MeasuredElsewhere);
    EXPECT_EQ(at->clip, Stops(6.1));
    EXPECT_TRUE(finds(shoot, "measured-elsewhere"));
}

// A sensor without noise and no grade: 8 bits show exactly the codes the curve has over the ramp,
// counted here from the curve itself; deeper recordings show more.
TEST(Ramp, RealQuantisationAndRealNoise) {
    const RampShape shape{2000, 1, Stops(0), Stops(1)};
    const auto ramp = [&](int bits, double electrons) {
        Shoot shoot = sample::shoot();
        shoot.kit.cameras[0].bases[0].sensor.fullWell = Electrons(electrons);
        const Judged judged(shoot);
        return rampOf(judged.context, BitDepth{bits}, shape, GradeWeight::Light);
    };
    const auto shades = [&](int bits) {
        const auto pixels = ramp(bits, 1e12);
        return std::set<std::uint8_t>(pixels.begin(), pixels.end()).size();
    };
    const auto curve = sample::shoot().kit.profiles[0].curve;
    const int codes = codeAt(curve, Stops(1), BitDepth{8}) - codeAt(curve, Stops(0), BitDepth{8});
    EXPECT_EQ(shades(8), static_cast<std::size_t>(codes + 1));
    EXPECT_GT(shades(10), shades(8));
    EXPECT_EQ(shades(12), shades(10)) << "the display has no more to show";
    // With noise, neighbouring shades mix: the same ramp changes its value far more often.
    const auto changes = [&](double electrons) {
        const auto pixels = ramp(8, electrons);
        int count = 0;
        for (std::size_t i = 1; i < pixels.size(); ++i)
            count += pixels[i] != pixels[i - 1];
        return count;
    };
    EXPECT_EQ(changes(1e12), codes);
    EXPECT_GT(changes(20000), 10 * codes);
}

TEST(Looks, ComparedOnTheScenesOwnLight) {
    const Judged judged(sample::shoot());
    const Look plain{SoftHighlight{1.0, 1.0, 0.0, 0.0}, {}};
    Look soft = plain;
    soft.tone.kneePoint = 0.7;
    soft.tone.kneeSlope = 0.1;
    soft.colour.saturation = 0;
    const auto samples = compareLooks(judged.at, plain, soft);
    ASSERT_EQ(samples.size(), judged.at.patches.size() + 6);
    const auto& sky = samples[5];
    EXPECT_TRUE(sky.lost[0]);
    EXPECT_FALSE(sky.lost[1]) << "the knee keeps it";
    const auto& grey = samples[2];
    EXPECT_EQ(grey.shown[0], grey.shown[1]) << "below the knee, without colour, nothing differs";
    for (std::size_t i = samples.size() - 6; i < samples.size(); ++i) {
        EXPECT_EQ(samples[i].shown[1][0], samples[i].shown[1][2]) << "no saturation is grey";
        EXPECT_NE(samples[i].shown[0][0], samples[i].shown[0][2] + samples[i].shown[0][1]);
    }
}

} // namespace
} // namespace bslate
