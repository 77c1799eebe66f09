// The marks of shutter dials, and what stands on them.
#include "core/cadence/shutter.h"
#include "core/quantity/print.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

double denominator(Seconds time) {
    return 1 / time.value();
}

// Shutter marks are rounded powers of two (ISO 516, from memory): none is further from its exact
// third or half of a stop than an eighth of a stop.
void expectMarksNear(std::span<const Seconds> times, double step, double from) {
    for (const auto time : times) {
        const double stops = std::log2(denominator(time) / from);
        const double off = stops - std::round(stops / step) * step;
        EXPECT_LT(std::abs(off), 0.125) << denominator(time);
    }
}

TEST(Dials, ThirdStopsFollowTheirPowersOfTwo) {
    // 1/24 is a frame of cinema, and on no scale of thirds.
    expectMarksNear(thirdStopTimes().subspan(1), 1.0 / 3, 1000);
    EXPECT_DOUBLE_EQ(denominator(thirdStopTimes()[0]), 24);
}

TEST(Dials, HalfStopsFollowTheirPowersOfTwo) {
    expectMarksNear(halfStopTimes().subspan(1), 0.5, 1000);
}

TEST(Dials, EveryMarkIsShorterThanTheOneBeforeByAboutAStep) {
    const auto steps = [](std::span<const Seconds> times, double low, double high) {
        for (std::size_t i = 2; i < times.size(); ++i) {
            const double step = std::log2(times[i - 1].value() / times[i].value());
            EXPECT_GT(step, low) << denominator(times[i]);
            EXPECT_LT(step, high) << denominator(times[i]);
        }
    };
    steps(thirdStopTimes(), 0.25, 0.42);
    steps(halfStopTimes(), 0.38, 0.63);
}

// The marks people name: whole stops are on both dials, with the usual numbers (common practice,
// no source).
TEST(Dials, WholeStopsStandOnBoth) {
    for (const double mark : {30.0, 60.0, 125.0, 250.0, 500.0, 1000.0, 2000.0, 4000.0, 8000.0})
        for (const auto times : {thirdStopTimes(), halfStopTimes()})
            EXPECT_TRUE(std::any_of(times.begin(), times.end(), [&](Seconds time) {
                return std::abs(denominator(time) - mark) < 1e-6;
            })) << mark;
    for (const double mark : {40.0, 50.0, 80.0, 100.0, 160.0, 200.0, 320.0, 400.0, 640.0, 800.0,
                              1250.0, 1600.0, 2500.0, 3200.0, 5000.0, 6400.0})
        EXPECT_TRUE(std::any_of(thirdStopTimes().begin(), thirdStopTimes().end(), [&](Seconds t) {
            return std::abs(denominator(t) - mark) < 1e-6;
        })) << mark;
    for (const double mark : {45.0, 90.0, 180.0, 350.0, 750.0, 1500.0, 3000.0, 6000.0})
        EXPECT_TRUE(std::any_of(halfStopTimes().begin(), halfStopTimes().end(), [&](Seconds t) {
            return std::abs(denominator(t) - mark) < 1e-6;
        })) << mark;
}

TEST(Dials, TheNearestMarkIsTheNearestInStopsAndFitsTheFrame) {
    const ShutterDial thirds{0, {thirdStopTimes().begin(), thirdStopTimes().end()}};
    const ShutterDial halves{0, {halfStopTimes().begin(), halfStopTimes().end()}};
    for (const auto& dial : {thirds, halves})
        for (const int rate : {24, 25, 50, 60, 100, 120})
            for (double wanted = 15; wanted < 9000; wanted *= 1.07) {
                const FrameRate fps{Rational(rate, 1)};
                const auto set = nearestOnDial(dial, Seconds(1 / wanted), fps);
                EXPECT_TRUE(fitsFrame(set, fps));
                const auto miss = [&](Seconds time) {
                    return std::abs(std::log2(time.value() * wanted));
                };
                for (const auto other : dial.times)
                    if (fitsFrame(other, fps))
                        EXPECT_LE(miss(exposureTime(set, fps)), miss(other) + 1e-9)
                            << rate << " " << wanted;
            }
}

TEST(Dials, DegreesAreStepsOfTheDialToTheLastDigit) {
    const ShutterDial dial{0.1, {}};
    const FrameRate film{Rational(24000, 1001)};
    for (const double wanted : {0.04, 11.2, 143.86, 172.8, 179.97, 359.96, 400.0}) {
        const auto set = std::get<ShutterAngle>(nearestOnDial(dial, ShutterAngle(wanted), film));
        EXPECT_NEAR(set.value(), std::clamp(std::round(wanted * 10) / 10, 0.1, 360.0), 1e-12);
        EXPECT_LE(print(set).size(), 7u) << print(set);
    }
}

} // namespace
} // namespace bslate
