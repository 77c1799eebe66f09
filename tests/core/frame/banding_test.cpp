// What bands, and what a push does.
#include "core/base/random.h"
#include "core/frame/banding.h"
#include "core/frame/push.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate {
namespace {

constexpr PictureSize kRampSize{256, 64};

// A ramp of light over `span` display codes from 100, in steps, with noise of so many steps.
Image ramp(double span, double step, double noise, std::uint64_t seed = 3) {
    Image picture(kRampSize);
    Random random(seed);
    for (int y = 0; y < kRampSize.height; ++y)
        for (int x = 0; x < kRampSize.width; ++x) {
            double code = 100 + span * x / kRampSize.width;
            if (step > 0)
                code = step * std::round(code / step + noise * random.bell());
            for (auto& plane : picture.plane)
                plane[picture.at(x, y)] = static_cast<float>(code / 255);
        }
    return picture;
}

// Steps of more than one display code show, and noise of half a step hides them (common practice,
// no source).
TEST(Banding, IsWhatStepsShowAndNoiseDoesNotHide) {
    const auto light = ramp(40, 0, 0);
    const auto steps = bandingOf(ramp(40, 2, 0), light);
    EXPECT_NEAR(steps.area.value(), 1, 1e-9);
    EXPECT_NEAR(steps.step, 2, 0.01);
    EXPECT_EQ(bandingOf(ramp(40, 0.7, 0), light).area, Fraction(0)) << "finer than a display shows";
    EXPECT_GT(bandingOf(ramp(40, 0.7, 0), light, 1.5).area.value(), 0.9) << "stretched by a grade";
    EXPECT_GT(bandingOf(ramp(40, 2, 0.2), light).area.value(), 0.9);
    EXPECT_LT(bandingOf(ramp(40, 2, 0.8), light).area.value(), 0.1) << "hidden";
    EXPECT_EQ(bandingOf(light, light).area, Fraction(0));
    EXPECT_EQ(bandingOf(ramp(40, 2, 0), ramp(600, 9, 0)).area, Fraction(0))
        << "nothing smooth there";
    EXPECT_EQ(bandingOf(Image({8, 8}), light).area, Fraction(0)) << "of two sizes";
}

TEST(Push, MovesWhatItNamesAndLeavesTheMiddle) {
    const Push push{Stops(3), Stops(2), Mired(0)};
    EXPECT_EQ(pushedBy(push, Stops(0)), Stops(0));
    EXPECT_EQ(pushedBy(push, Stops(-4)), Stops(3));
    EXPECT_EQ(pushedBy(push, Stops(-9)), Stops(3));
    EXPECT_EQ(pushedBy(push, Stops(4)), Stops(-2));
    EXPECT_NEAR(pushedBy(push, Stops(-2.5)).value(), 1.5, 1e-9) << "half of the way in between";
    for (const double mireds : {-80.0, 80.0}) {
        const auto gains = rewhitened(Mired(mireds));
        EXPECT_NEAR(gains[1], 1, 1e-9);
        EXPECT_GT(mireds > 0 ? gains[0] : gains[2], 1.1);
        EXPECT_LT(mireds > 0 ? gains[2] : gains[0], 0.9);
    }
    for (const double one : rewhitened(Mired(0)))
        EXPECT_NEAR(one, 1, 1e-9);
}

TEST(Push, IsReadAsItIsWrittenAndRefusesTheRest) {
    const auto push = *parsePush("lift 3 pull1.5 cool 40");
    EXPECT_EQ(push, (Push{Stops(3), Stops(1.5), Mired(-40)}));
    EXPECT_EQ(*parsePush(print(push)), push);
    EXPECT_EQ(*parsePush(""), Push{});
    for (const char* wrong : {"lift 7", "lift -1", "lift 1 lift 2", "warm 20 cool 20", "raise 2",
                              "lift", "3", "lift 2 stops", "warm 201"})
        EXPECT_FALSE(parsePush(wrong)) << wrong;
}

} // namespace
} // namespace bslate
