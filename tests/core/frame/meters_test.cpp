#include "core/frame/meters.h"

#include <gtest/gtest.h>

#include <algorithm>

namespace bslate {
namespace {

Image evenlyLit(PictureSize size, float candela) {
    Image light(size);
    for (auto& plane : light.plane)
        std::fill(plane.begin(), plane.end(), candela);
    return light;
}

TEST(Meters, AgreeOnAnEvenPicture) {
    const auto light = evenlyLit({160, 90}, 50);
    for (const auto& reading : meterReadings(light, CandelaPerM2(100), CandelaPerM2(400))) {
        EXPECT_NEAR(reading.change.value(), 1, 1e-4) << "half as bright as grey: a stop more";
        EXPECT_NEAR(reading.byLamps.value(), 0, 1e-9);
    }
}

// A lamp of 100 times the light on a hundredth of the frame, in the corner.
TEST(Meters, ALampInTheCornerFoolsTheWholeFrameMost) {
    auto light = evenlyLit({200, 100}, 100);
    for (int y = 0; y < 10; ++y)
        for (int x = 0; x < 20; ++x)
            for (auto& plane : light.plane)
                plane[light.at(x, y)] = 10000;
    const auto readings = meterReadings(light, CandelaPerM2(100), CandelaPerM2(100));
    EXPECT_NEAR(readings[0].change.value(), 0, 1e-4) << "the spot does not see it";
    // 0.99 + 0.01 * 100 is 1.99: 0.993 stop too dark.
    EXPECT_NEAR(readings[2].change.value(), -0.993, 0.001);
    EXPECT_NEAR(readings[2].byLamps.value(), -0.993, 0.001);
    EXPECT_LT(readings[1].byLamps, Stops(0));
    EXPECT_GT(readings[1].byLamps, readings[2].byLamps) << "it is far from the middle";
}

} // namespace
} // namespace bslate
