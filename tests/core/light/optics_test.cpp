// Thin-lens formulas against values any optics handbook gives.
#include "core/light/described.h"
#include "core/light/metering.h"
#include "core/light/optics.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate {
namespace {

// Horizontal angles of 36 mm wide frames: the table printed in optics and photography handbooks
// (for example Ray, Applied Photographic Optics, 3rd ed., angle-of-view table; from memory).
TEST(Optics, AngleOfViewMatchesTheHandbookTable) {
    const struct {
        double focal, degrees;
    } rows[] = {{20, 83.97}, {24, 73.74},  {28, 65.47},  {35, 54.43}, {50, 39.60},
                {85, 23.91}, {100, 20.41}, {135, 15.19}, {200, 10.29}};
    for (const auto& row : rows) {
        const auto view = angleOfView(Millimetres(36), Millimetres(row.focal));
        EXPECT_NEAR(view.value(), row.degrees, 0.006) << row.focal;
        EXPECT_NEAR(focalFor(Millimetres(36), view).value(), row.focal, 1e-9);
    }
}

// 50 mm at f/2.8 with a circle of 0.025 mm: f^2/(N c) + f, worked by hand: 2500/0.07 + 50 mm.
TEST(Optics, HyperfocalOfAFiftyAtTwoPointEight) {
    const auto h = hyperfocal(Millimetres(50), FNumber(2.8), Millimetres(0.025));
    EXPECT_NEAR(h.value(), 35.764, 0.001);
    // Focused there, everything from half that distance is sharp: the definition.
    const auto range = sharpRange(Millimetres(50), FNumber(2.8), Millimetres(0.025), h);
    EXPECT_NEAR(range.nearest.value(), h.value() / 2, 1e-9);
    EXPECT_TRUE(std::isinf(range.farthest.value()));
}

// The near and far limits satisfy the lens equation's blur: c = f^2 |d-s| / (N d (s-f)).
TEST(Optics, LimitsOfTheSharpRangeBlurByExactlyTheCircle) {
    const double f = 0.075, n = 2.8, circle = 0.00002, s = 4.0;
    const auto range = sharpRange(Millimetres(75), FNumber(n), Millimetres(0.02), Metres(s));
    for (const double d : {range.nearest.value(), range.farthest.value()})
        EXPECT_NEAR(f * f * std::abs(d - s) / (n * d * (s - f)), circle, 1e-9) << d;
    EXPECT_LT(range.nearest, Metres(s));
    EXPECT_GT(range.farthest, Metres(s));
    const auto none = sharpRange(Millimetres(75), FNumber(n), Millimetres(0.02), Metres(0.05));
    EXPECT_EQ(none.nearest, none.farthest);
}

TEST(Optics, ACropOfOnePointSixMakesATwentyFourFrameLikeThirtyEight) {
    const auto crop = cropFactor(Millimetres(36), Millimetres(22.5));
    EXPECT_NEAR(crop.value(), 1.6, 1e-12);
    EXPECT_NEAR(equivalentFocal(Millimetres(24), Millimetres(22.5)).value(), 38.4, 1e-9);
}

// Ranges are published tables or common practice (named in the source); these are the anchors
// that can be derived: a candle by the inverse square law, direct sun by the sunny-16 rule with
// the incident constant of ISO 2720 (EV 15 is 81 920 lx).
TEST(DescribedLight, RangesHoldTheirAnchors) {
    EXPECT_NEAR(luxOf(DescribedLight::Candle).high.value(), 1.0 / (0.3 * 0.3), 0.02);
    EXPECT_NEAR(luxOf(DescribedLight::Candle).low.value(), 1.0, 1e-12);
    const auto sun = luxOf(DescribedLight::DirectSun);
    EXPECT_LT(sun.low.value(), 81920);
    EXPECT_GT(sun.high.value(), 81920);
    const auto office = luxOf(DescribedLight::Office);
    EXPECT_LE(office.low.value(), 500); // EN 12464-1: writing, typing, reading 500 lx (from memory)
    EXPECT_GE(office.high.value(), 500);
}

TEST(DescribedLight, EveryRangeIsOrderedSourcedAndCentred) {
    for (const auto light : kDescribedLights) {
        const auto range = luxOf(light);
        EXPECT_LT(range.low, range.high);
        EXPECT_GE(range.source.size(), 10u);
        const auto middle = middleOf(range);
        EXPECT_NEAR(stopsBetween(range.high, middle).value(), uncertaintyOf(range).value(), 1e-9);
        EXPECT_NEAR(stopsBetween(middle, range.low).value(), uncertaintyOf(range).value(), 1e-9);
    }
}

} // namespace
} // namespace bslate
