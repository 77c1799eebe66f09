#include "core/cadence/shutter.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

FrameRate fps(std::int64_t n, std::int64_t d = 1) {
    return FrameRate{Rational(n, d)};
}

// angle = 360 * t * rate. 1/50 at 24 and 1/125 at 60 are 172.8, 1/60 at 30 is 180: by hand.
TEST(Shutter, AnglesOfUsualTimes) {
    const struct {
        int rate, denominator;
        double angle, stops;
    } table[] = {{24, 50, 172.8, -0.059}, {60, 125, 172.8, -0.059}, {120, 250, 172.8, -0.059},
                 {25, 100, 90, -1},       {30, 60, 180, 0},         {25, 50, 180, 0}};
    for (const auto& row : table) {
        const Shutter time = Seconds(1.0 / row.denominator);
        EXPECT_NEAR(shutterAngle(time, fps(row.rate)).value(), row.angle, 1e-9);
        EXPECT_NEAR(stopsFromHalfFrame(time, fps(row.rate)).value(), row.stops, 5e-4);
    }
    EXPECT_NEAR(exposureTime(ShutterAngle(172.8), fps(24)).value(), 0.02, 1e-15);
    EXPECT_NEAR(exposureTime(ShutterAngle(180), fps(24000, 1001)).value(), 1001.0 / 48000, 1e-15);
}

TEST(Shutter, FrameLimit) {
    EXPECT_TRUE(fitsFrame(ShutterAngle(360), fps(24)));
    EXPECT_TRUE(fitsFrame(Seconds(1.0 / 24), fps(24)));
    EXPECT_FALSE(fitsFrame(Seconds(1.0 / 23), fps(24)));
}

TEST(Shutter, NearestOnTheDial) {
    const auto thirds = thirdStopTimes();
    const ShutterDial times{0, {thirds.begin(), thirds.end()}};
    // "1/50 at 24, 1/125 at 60, 1/250 at 120, 1/60 at 30": common practice, no source.
    const std::pair<int, int> usual[] = {{24, 50}, {60, 125}, {120, 250}, {30, 60}};
    for (const auto& [rate, denominator] : usual)
        EXPECT_EQ(std::get<Seconds>(nearestOnDial(times, ShutterAngle(180), fps(rate))),
                  Seconds(1.0 / denominator))
            << rate;
    const ShutterDial angles{0.1, {}};
    EXPECT_EQ(std::get<ShutterAngle>(nearestOnDial(angles, Seconds(0.02), fps(24))).value(), 172.8);
    EXPECT_EQ(std::get<ShutterAngle>(nearestOnDial(angles, ShutterAngle(0.01), fps(24))).value(),
              0.1);
    const ShutterDial both{0.1, times.times};
    EXPECT_TRUE(std::holds_alternative<Seconds>(nearestOnDial(both, Seconds(0.02), fps(24))));
    EXPECT_TRUE(
        std::holds_alternative<ShutterAngle>(nearestOnDial(both, ShutterAngle(172.8), fps(24))));
    const Shutter odd = ShutterAngle(123.4);
    EXPECT_EQ(nearestOnDial({}, odd, fps(24)), odd);
    // Nothing longer than the frame is offered.
    EXPECT_LE(exposureTime(nearestOnDial(times, Seconds(1), fps(60)), fps(60)).value(), 1.0 / 60);
}

// The key for a third of a stop moves on every dial, coarse or fine, to its end and no farther.
TEST(MoveShutter, AlwaysMovesUntilTheEnd) {
    const auto thirds = thirdStopTimes(), halves = halfStopTimes();
    for (const auto& dial : {ShutterDial{0, {thirds.begin(), thirds.end()}},
                             ShutterDial{0, {halves.begin(), halves.end()}}, ShutterDial{0.1, {}},
                             ShutterDial{45, {}}}) {
        const FrameRate rate{Rational(24, 1)};
        Shutter now = nearestOnDial(dial, ShutterAngle(180), rate);
        const double shortest = dial.times.empty() ? dial.angleStep / 360 / 24 : 1.0 / 8000;
        for (int i = 0; i < 60; ++i) {
            const Shutter next = moveShutter(dial, now, Stops(-1.0 / 3), rate);
            if (exposureTime(now, rate).value() > shortest * 1.001)
                EXPECT_LT(exposureTime(next, rate), exposureTime(now, rate));
            now = next;
        }
        EXPECT_NEAR(exposureTime(now, rate).value(), shortest, shortest * 0.01);
    }
}

TEST(ShutterTimes, HaveNoGapOverTheirStep) {
    for (const auto& times : {thirdStopTimes(), halfStopTimes()})
        for (std::size_t i = 1; i < times.size(); ++i)
            EXPECT_LT(stopsBetween(times[i - 1], times[i]).value(), 0.6) << i;
    const auto thirds = thirdStopTimes();
    EXPECT_NE(std::find(thirds.begin(), thirds.end(), Seconds(1.0 / 5000)), thirds.end());
    const auto halves = halfStopTimes();
    EXPECT_NE(std::find(halves.begin(), halves.end(), Seconds(1.0 / 6000)), halves.end());
}

} // namespace
} // namespace bslate
