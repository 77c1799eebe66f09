#include "core/signal/curve_fit.h"
#include "core/signal/look.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

std::vector<FitPoint> pointsOn(const Curve& curve, double lowSignal, double highSignal, int count) {
    std::vector<FitPoint> points;
    for (int i = 0; i < count; ++i) {
        const Signal signal(lowSignal + (highSignal - lowSignal) * i / (count - 1));
        points.push_back({decode(curve, signal), signal, 1.0});
    }
    return points;
}

struct KnownLog {
    const char* name;
    CameraLog log;
};

class FitsLog : public ::testing::TestWithParam<KnownLog> {};

// The points come from parameters that are known, so the fit has to give the same curve back,
// whatever its own spelling of the parameters.
TEST_P(FitsLog, GivesTheCurveBack) {
    const Curve truth{GetParam().log, CodeRange::Full, {}};
    const auto fit = fitCameraLog(pointsOn(truth, 0, 1, 2000));
    ASSERT_TRUE(fit);
    EXPECT_LT(tenBitCodes(fit->worst), 0.05);
    const Curve found{fit->log, CodeRange::Full, {}};
    for (double stops = -9; stops <= 7; stops += 0.25)
        EXPECT_NEAR(encode(found, linearAt(Stops(stops))).value(),
                    encode(truth, linearAt(Stops(stops))).value(), 1e-4)
            << stops;
}

INSTANTIATE_TEST_SUITE_P(
    Known, FitsLog,
    ::testing::Values(KnownLog{"acescct", std::get<CameraLog>(acescct().family)},
                      KnownLog{"smooth", {2, 0.0735, 0.4, 6, 0.05, 0.01, {}}},
                      KnownLog{"kinked", {10, 0.25, 0.39, 5.5, 0.06, 0.01, 5.0}},
                      KnownLog{"no_toe", {2, 0.06, 0.5, 1, 0.02, 0.0, {}}}),
    [](const auto& at) { return at.param.name; });

TEST(FitCurve, KeepsATableWhenNoLogHoldsIt) {
    const auto fit = fitCurve(pointsOn(bt709(), 0.001, 1, 1500), CodeRange::Legal);
    ASSERT_TRUE(fit.ok());
    EXPECT_TRUE(fit->sampled);
    EXPECT_GT(fit->worstAsLog, kSameCurve);
    EXPECT_LT(tenBitCodes(fit->worst), 0.5);
    EXPECT_EQ(fit->curve.range, CodeRange::Legal);
    for (double stops = -7; stops < 2.4; stops += 0.1)
        EXPECT_NEAR(encode(fit->curve, linearAt(Stops(stops))).value(),
                    encode(bt709(), linearAt(Stops(stops))).value(), 5e-4)
            << stops;
}

TEST(FitCurve, NamesThePointThatDoesNotRise) {
    auto points = pointsOn(acescct(), 0.2, 0.9, 50);
    points[17].signal = points[16].signal;
    const auto fit = fitCurve(points, CodeRange::Full);
    ASSERT_FALSE(fit.ok());
    EXPECT_EQ(fit.error().place, "point 18");
    EXPECT_FALSE(fitCameraLog(std::vector<FitPoint>(3)));
    std::fill(points.begin(), points.end(), points[0]);
    EXPECT_FALSE(fitCameraLog(points)) << "one point many times is no curve";
}

// The black level moves black and leaves 100 % alone: 0.05 + 0.95 * 0 and 0.05 + 0.95 * 1 with a
// knee that bends nothing. At 18 %: 0.05 + 0.95 * 0.40901 = 0.43856.
TEST(Look, BlackLevelByHand) {
    const Curve raised{SoftHighlight{1.0, 1.0, 0.0, 0.05}, CodeRange::Legal, {}};
    EXPECT_NEAR(encode(raised, SceneLinear(0)).value(), 0.05, 1e-12);
    EXPECT_NEAR(encode(raised, SceneLinear(1)).value(), 1.0, 1e-12);
    EXPECT_NEAR(encode(raised, kMidGrey).value(), 0.43856, 1e-5);
    for (double signal = 0.06; signal < 1.05; signal += 0.01)
        EXPECT_NEAR(encode(raised, decode(raised, Signal(signal))).value(), signal, 1e-9);
}

// Grey has no colour to change. Without saturation every colour is its luma (BT.709-6 item 3.2):
// of 0.8, 0.4, 0.2 that is 0.17008 + 0.28608 + 0.01444 = 0.4706.
TEST(Look, ColourByHand) {
    ColourLook look;
    look.saturation = 0;
    look.depth.fill(0.7);
    EXPECT_EQ(applyColour(look, {0.4, 0.4, 0.4}), (Rgb{0.4, 0.4, 0.4}));
    look.depth.fill(0);
    for (const double value : applyColour(look, {0.8, 0.4, 0.2}))
        EXPECT_NEAR(value, 0.4706, 1e-12);
    // Depth of one hue: pure blue of spread 1 at depth 0.5 loses half its luma of 0.0722; yellow,
    // two hues away, keeps everything; magenta, between blue and red, keeps everything too.
    ColourLook deep;
    deep.depth[static_cast<std::size_t>(Hue::Blue)] = 0.5;
    EXPECT_NEAR(applyColour(deep, {0, 0, 1})[2], 1 - 0.0361, 1e-12);
    EXPECT_EQ(applyColour(deep, {1, 1, 0}), (Rgb{1, 1, 0}));
    EXPECT_NEAR(applyColour(deep, {1, 0, 1})[0], 1.0, 1e-12);
    // Half way from blue to magenta half of it is left: luma 0.2126 * 0.5 + 0.0722 = 0.1785.
    EXPECT_NEAR(applyColour(deep, {0.5, 0, 1})[2], 1 - 0.25 * 0.1785, 1e-12);
}

TEST(Look, HueGoesRoundWithoutAJump) {
    ColourLook look;
    look.depth = {0.9, -0.6, 0.3, -0.9, 0.5, -0.2};
    Rgb last{};
    for (int i = 0; i <= 3600; ++i) {
        const double hue = i / 600.0;
        const auto channel = [&](double centre) {
            const double d = std::abs(std::remainder(hue - centre, 6.0));
            return std::clamp(2.0 - d, 0.0, 1.0);
        };
        const auto rgb = applyColour(look, {channel(0), channel(2), channel(4)});
        for (std::size_t c = 0; i > 0 && c < 3; ++c)
            EXPECT_LT(std::abs(rgb[c] - last[c]), 0.006) << hue;
        last = rgb;
    }
}

} // namespace
} // namespace bslate
