// Turning the capture rate by hand: steps through the mode's list, and what a drag comes to.
#include "core/facts/evaluate.h"
#include "core/facts/rate_steps.h"
#include "support/sample_recording.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

TEST(RateSteps, GoThroughTheListAndStopAtItsEnds) {
    sample::Bench bench;
    const auto& lean = *findMode(bench.camera, "lean"); // 24 and 60
    EXPECT_EQ(stepRate(lean, sample::fps(24), 1), sample::fps(60));
    EXPECT_EQ(stepRate(lean, sample::fps(24), -1), sample::fps(24));
    EXPECT_EQ(stepRate(lean, sample::fps(60), 5), sample::fps(60));
    // One that is not listed steps onto the list, whichever way.
    EXPECT_EQ(stepRate(lean, sample::fps(50), 1), sample::fps(60));
    EXPECT_EQ(stepRate(lean, sample::fps(50), -1), sample::fps(24));
    RecordingMode none = lean;
    none.rates.clear();
    EXPECT_EQ(stepRate(none, sample::fps(25), 3), sample::fps(25));
}

TEST(RateSteps, ADragIsDrawnByTheListAndByTheSlowMotionWanted) {
    sample::Bench bench;
    auto& lean = bench.camera.modes.back();
    lean.offSpeed = OffSpeed{sample::fps(1), sample::fps(60), true, false};
    auto& setup = bench.shoot.setups[0];
    setup.mode = "lean";
    auto near = [&](double perSecond) {
        const auto context = resolve(bench.shoot, setup);
        return context ? rateNear(*context, Hertz(perSecond)) : FrameRate{};
    };
    EXPECT_EQ(near(24.6), sample::fps(24)) << "within a twentieth of a listed one";
    EXPECT_EQ(near(40.2), sample::fps(40)) << "off-speed rates are whole";
    bench.shoot.scenes[0].slowMotion = Magnification(1.75); // 42 of 24
    EXPECT_EQ(near(40.2), sample::fps(42)) << "what the scene asks for draws first";
    EXPECT_EQ(near(500), sample::fps(60));
}

} // namespace
} // namespace bslate
