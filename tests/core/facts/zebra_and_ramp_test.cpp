// Zebra levels on a dial, the ramp a grade would show, and two looks on one scene.
#include "core/facts/evaluate.h"
#include "core/facts/look_compare.h"
#include "core/facts/ramp.h"
#include "core/facts/tested_zebra.h"
#include "core/facts/zebra.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

#include <cmath>
#include <set>

namespace bslate {
namespace {

struct Worked {
    Shoot shoot = sample::shoot();
    SetupContext context = *resolve(shoot, shoot.setups.front());
    Evaluation at = evaluate(context);
};

TEST(Zebra, IsPutOnTheDial) {
    ZebraDial dial;
    dial.step = 5;
    dial.lowest = Level(50);
    dial.highest = Level(100);
    EXPECT_EQ(onZebraDial(dial, Level(72.4), Rounding::Nearest).set, Level(70));
    EXPECT_EQ(onZebraDial(dial, Level(72.6), Rounding::Nearest).set, Level(75));
    EXPECT_EQ(onZebraDial(dial, Level(74.9), Rounding::Below).set, Level(70));
    EXPECT_EQ(onZebraDial(dial, Level(75), Rounding::Below).set, Level(75));
    const auto low = onZebraDial(dial, Level(40), Rounding::Nearest);
    EXPECT_FALSE(low.reachable);
    EXPECT_EQ(low.set, Level(50));
    EXPECT_FALSE(onZebraDial(dial, Level(104), Rounding::Nearest).reachable);
}

TEST(Zebra, LevelsAndStopsAreInversesOnBothTaps) {
    const Worked worked;
    for (const auto tap : {ZebraTap::Recorded, ZebraTap::ViewingLut})
        for (double stops = -4; stops < worked.at.clip.value() - 0.5; stops += 0.7) {
            const auto level = levelAtTap(worked.context, worked.at, tap, Stops(stops));
            EXPECT_NEAR(stopsAtTap(worked.context, worked.at, tap, level).value(), stops, 2e-3)
                << static_cast<int>(tap);
        }
    // Above the clip nothing is told apart.
    EXPECT_EQ(levelAtTap(worked.context, worked.at, ZebraTap::Recorded, Stops(20)),
              levelAtTap(worked.context, worked.at, ZebraTap::Recorded, worked.at.clip));
}

TEST(Zebra, TheGuardAfterATestStaysUnderTheFirstClip) {
    const Worked worked;
    SeriesFit fit;
    fit.curve = worked.context.profile->curve;
    const auto after = [&] {
        return clipZebraAfterTest(worked.shoot.kit, *worked.context.camera, *worked.context.profile,
                                  worked.context.base->iso, fit);
    };
    EXPECT_FALSE(after()) << "no channel clipped";
    fit.clip = {Stops(4.0), Stops(4.6), Stops(4.3)};
    const auto guard = after();
    ASSERT_TRUE(guard);
    const double step = worked.context.camera->zebra.step;
    // Where this camera measures, and what a verdict in the measured profile would say.
    EXPECT_EQ(guard->tap, zebraTapOf(worked.context));
    const auto warns = levelAtTap(worked.context, worked.at, guard->tap, Stops(4.0) - kNearClip);
    EXPECT_LE(guard->set.value(), warns.value() + 1e-9);
    EXPECT_GT(guard->set.value(), warns.value() - step);
}

TEST(Ramp, ShowsTheWorstStopInsideTheRecording) {
    const Worked worked;
    for (const int bits : {8, 10, 12}) {
        const auto precision = precisionOf(worked.context, BitDepth{bits});
        const auto shape = worstRamp(precision, worked.at);
        EXPECT_LT(shape.low, shape.high);
        EXPECT_LE(shape.high, worked.at.clip);
        EXPECT_NEAR((shape.high - shape.low).value(), 1, 1e-9);
        // The same seed gives the same picture, another one other noise.
        const auto one = rampOf(worked.context, BitDepth{bits}, shape, GradeWeight::Full, 1);
        EXPECT_EQ(one, rampOf(worked.context, BitDepth{bits}, shape, GradeWeight::Full, 1));
        EXPECT_NE(one, rampOf(worked.context, BitDepth{bits}, shape, GradeWeight::Full, 2));
        // It rises: the right quarter is brighter than the left one.
        double left = 0, right = 0;
        for (int y = 0; y < shape.height; ++y)
            for (int x = 0; x < shape.width / 4; ++x) {
                const auto row = static_cast<std::size_t>(y * shape.width);
                left += one[row + static_cast<std::size_t>(x)];
                right += one[row + static_cast<std::size_t>(shape.width - 1 - x)];
            }
        EXPECT_GT(right, left);
    }
}

TEST(Ramp, FewerBitsGiveFewerShades) {
    Worked worked;
    auto camera = *worked.context.camera;
    for (auto& base : camera.bases)
        base.sensor.readNoise = Electrons(0);
    for (auto& base : camera.bases)
        base.sensor.fullWell = Electrons(1e12); // no noise to hide a step
    worked.context.camera = &camera;
    worked.context.base = &camera.bases.front();
    const RampShape shape{512, 1, Stops(-3), Stops(-2)};
    const auto shades = [&](int bits) {
        const auto row = rampOf(worked.context, BitDepth{bits}, shape, GradeWeight::None);
        return std::set<int>(row.begin(), row.end()).size();
    };
    EXPECT_LT(shades(8), shades(10));
    EXPECT_LE(shades(10), shades(12));
}

TEST(CompareLooks, TellsWhatEachMakesOfTheScene) {
    const Worked worked;
    Look plain, steep;
    plain.tone = {1.0, 1.0, 0, 0};
    steep.tone = {0.7, 0.1, -0.3, 0};
    steep.colour.saturation = 0;
    const auto samples = compareLooks(worked.at, plain, steep);
    ASSERT_EQ(samples.size(), worked.at.patches.size() + 6);
    for (std::size_t i = 0; i < samples.size(); ++i) {
        const auto& sample = samples[i];
        EXPECT_EQ(sample.name.empty(), i >= worked.at.patches.size());
        EXPECT_NEAR(sample.shown[1][0], sample.shown[1][1], 1e-9) << "no colour is left";
        EXPECT_NEAR(sample.shown[1][1], sample.shown[1][2], 1e-9);
        if (sample.level[0] > Level(80))
            EXPECT_LT(sample.level[1], sample.level[0]) << "the knee holds it down";
    }
    const auto same = compareLooks(worked.at, plain, plain);
    for (const auto& sample : same)
        EXPECT_EQ(sample.level[0], sample.level[1]);
}

} // namespace
} // namespace bslate
