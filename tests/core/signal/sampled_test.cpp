#include "core/signal/curve.h"

#include <gtest/gtest.h>

#include <cmath>
#include <limits>

namespace bslate {
namespace {

Sampled samplesOf(const Curve& curve, double step) {
    Sampled sampled;
    for (double stops = -7; stops <= 6; stops += step)
        sampled.points.push_back({Stops(stops), encode(curve, linearAt(Stops(stops)))});
    return sampled;
}

// A curve sampled every half stop against itself: the cubic stays within a 10-bit code.
TEST(Sampled, FollowsTheCurveItWasTakenFrom) {
    const Curve curve = acescct();
    const Curve sampled{samplesOf(curve, 0.5), CodeRange::Full, {}};
    double worst = 0;
    for (double stops = -6; stops <= 6; stops += 0.01) {
        const auto light = linearAt(Stops(stops));
        worst = std::max(worst, std::abs((encode(sampled, light) - encode(curve, light)).value()));
    }
    EXPECT_LT(worst, 1.0 / 1023);
}

TEST(Sampled, IsMonotoneThroughRoughPointsAndItsInverseIsExact) {
    const Sampled rough{{{Stops(-6), Signal(0.02)},
                         {Stops(-5), Signal(0.021)},
                         {Stops(-1), Signal(0.3)},
                         {Stops(-0.9), Signal(0.31)},
                         {Stops(0), Signal(0.6)},
                         {Stops(5), Signal(0.61)}}};
    ASSERT_TRUE(checkSampled(rough).ok());
    const Curve curve{rough, CodeRange::Full, {}};
    double last = -1;
    for (double stops = -12; stops < 7; stops += 0.02) {
        const auto light = linearAt(Stops(stops));
        const double signal = encode(curve, light).value();
        EXPECT_GT(signal, last) << stops;
        last = signal;
        EXPECT_NEAR(decode(curve, Signal(signal)).value() / light.value(), 1, 1e-6) << stops;
    }
    for (const auto& point : rough.points)
        EXPECT_NEAR(encode(curve, linearAt(point.stops)).value(), point.signal.value(), 1e-12);
    EXPECT_TRUE(std::isfinite(encode(curve, SceneLinear(0)).value()));
    EXPECT_TRUE(std::isfinite(encode(curve, SceneLinear(-1)).value()));
}

TEST(Sampled, TablesThatDoNotRiseAreRefusedWithTheirPoint) {
    const auto placeOf = [](std::vector<CurvePoint> points) {
        const auto outcome = checkSampled({std::move(points)});
        return outcome.ok() ? std::string() : outcome.error().place;
    };
    EXPECT_EQ(placeOf({{Stops(0), Signal(0.1)}, {Stops(1), Signal(0.1)}}), "point 2");
    EXPECT_EQ(placeOf({{Stops(0), Signal(0.1)}, {Stops(0), Signal(0.2)}}), "point 2");
    EXPECT_EQ(placeOf({{Stops(0), Signal(0.1)},
                       {Stops(1), Signal(0.2)},
                       {Stops(2), Signal(std::numeric_limits<double>::quiet_NaN())}}),
              "point 3");
    EXPECT_EQ(placeOf({{Stops(99), Signal(0.1)}}), "point 1");
    EXPECT_EQ(placeOf({{Stops(0), Signal(0.1)}}), "point 2") << "one is not enough";
}

// Levels of ITU-R BT.2408 table 1 for PQ: 18 % grey 38, 83 % 56, 90 % 57, 100 % 58.
TEST(Curve, PqMatchesTheOperationalLevels) {
    const auto percent = [](double reflectance) {
        return std::round(encode(pq(), SceneLinear(reflectance)).value() * 100);
    };
    EXPECT_EQ(percent(0.18), 38);
    EXPECT_EQ(percent(0.83), 56);
    EXPECT_EQ(percent(0.90), 57);
    EXPECT_EQ(percent(1.00), 58);
}

TEST(Curve, EveryStandardCurveHasAnExactInverse) {
    ASSERT_EQ(standardCurveNames().size(), 7u);
    for (const auto name : standardCurveNames()) {
        const auto curve = *standardCurve(name);
        for (double stops = -9; stops < 5.5; stops += 0.1) {
            const auto light = linearAt(Stops(stops));
            const auto back = decode(curve, encode(curve, light));
            EXPECT_NEAR(back.value() / light.value(), 1, 1e-6) << name << " at " << stops;
        }
    }
    EXPECT_FALSE(standardCurve("none").has_value());
    EXPECT_NEAR(encode(bt2020(), SceneLinear(0.18)).value(), 0.40886, 1e-4)
        << "1.0993 * 0.18^0.45 - 0.0993";
}

} // namespace
} // namespace bslate
