#include "core/signal/curve.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate {
namespace {

constexpr BitDepth k10{10};

Curve tarnLog() {
    return {CameraLog{2.0, 0.0735, 0.400, 6.0, 0.05, 0.01, std::nullopt}, CodeRange::Full, {}};
}

Curve softLook() {
    return {SoftHighlight{0.78, 0.28, 0.2}, CodeRange::Legal, {}};
}

// Academy S-2016-001 (ACEScct), section 4.4: 18 % encodes to 0.4135884, the break 0.0078125 to
// 0.155251141552511; linear 1.0 by hand: (log2(1) + 9.72) / 17.52 = 0.554795.
TEST(Curve, AcescctMatchesTheAcademyValues) {
    const auto curve = acescct();
    EXPECT_NEAR(encode(curve, SceneLinear(0.18)).value(), 0.4135884, 1e-7);
    EXPECT_NEAR(encode(curve, SceneLinear(0.0078125)).value(), 0.155251141552511, 1e-12);
    EXPECT_NEAR(encode(curve, SceneLinear(1.0)).value(), 0.554795, 1e-6);
    // The linear part of the same document: 10.5402377416545 * x + 0.0729055341958355.
    EXPECT_NEAR(encode(curve, SceneLinear(0.001)).value(), 0.0105402377 + 0.0729055342, 1e-9);
}

// ITU-R BT.709-6 item 1.2; the stops follow from its formula.
TEST(Curve, Bt709MatchesTheRecommendation) {
    const auto curve = bt709();
    EXPECT_NEAR(encode(curve, SceneLinear(0.18)).value(), 0.40901, 1e-5);
    EXPECT_NEAR(encode(curve, SceneLinear(0.90)).value(), 0.94911, 1e-5);
    EXPECT_NEAR(encode(curve, SceneLinear(1.0)).value(), 1.0, 1e-12);
    EXPECT_NEAR(encode(curve, SceneLinear(0.01)).value(), 0.045, 1e-12);
    EXPECT_NEAR(stopsOf(decode(curve, Signal(1.0))).value(), 2.474, 5e-4);
    EXPECT_NEAR(endStops(curve, k10).value(), 2.739, 5e-4);
}

// ITU-R BT.2408 table 1 for HLG, rounded there to whole percent: 18 % grey 38, 83 % 71, 90 % 73,
// diffuse white 75. The unrounded numbers follow from BT.2100 table 5.
TEST(Curve, HlgMatchesTheOperationalLevels) {
    const struct {
        double reflectance, percent, published;
    } table[] = {{0.18, 37.8, 38}, {0.83, 71.3, 71}, {0.90, 72.9, 73}, {1.0, 75.0, 75}};
    for (const auto& row : table) {
        const double percent =
            levelOf(encode(hlg(), SceneLinear(row.reflectance)), CodeRange::Legal, k10).value();
        EXPECT_NEAR(percent, row.percent, 0.05) << row.reflectance;
        EXPECT_EQ(std::lround(percent), std::lround(row.published)) << row.reflectance;
    }
    EXPECT_NEAR(endStops(hlg(), k10).value(), 4.390, 5e-4);
}

// By hand: log2(6 * 0.18 + 0.05) = log2(1.13) = 0.176323; 0.0735 * 0.176323 + 0.4 = 0.412960;
// full range at 10 bits 0.412960 * 1023 = 422.458; (422.458 - 64) / 876 = 40.92 %.
TEST(Curve, DemoLogMidGreyByHand) {
    EXPECT_NEAR(encode(tarnLog(), kMidGrey).value(), 0.412960, 1e-6);
    EXPECT_NEAR(levelAt(tarnLog(), Stops(0), k10).value(), 40.92, 0.005);
    EXPECT_EQ(codeAt(tarnLog(), Stops(0), k10), 422);
}

class EveryCurve : public ::testing::TestWithParam<int> {
public:
    static Curve curve(int index) {
        switch (index) {
        case 0:
            return tarnLog();
        case 1:
            return acescct();
        case 2:
            return bt709();
        case 3:
            return hlg();
        default:
            return softLook();
        }
    }
};

TEST_P(EveryCurve, DecodeUndoesEncodeFromBlackToTheEnd) {
    const auto curve = EveryCurve::curve(GetParam());
    const double top = decode(curve, endSignal(curve, k10)).value();
    double worst = 0;
    for (int i = 0; i <= 20000; ++i) {
        const double x = top * std::pow(i / 20000.0, 3);
        const double back = decode(curve, encode(curve, SceneLinear(x))).value();
        worst = std::max(worst, std::abs(back - x) / std::max(x, 1e-3));
    }
    // BT.709's published constants leave a step of 4e-5 in signal at its break.
    EXPECT_LT(worst, GetParam() == 2 || GetParam() == 4 ? 2e-3 : 1e-9) << "worst relative error";
}

TEST_P(EveryCurve, RisesAndNeverGivesNaN) {
    const auto curve = EveryCurve::curve(GetParam());
    double last = -1e9;
    for (double stops = -30; stops < 20; stops += 0.01) {
        const double signal = encode(curve, linearAt(Stops(stops))).value();
        ASSERT_TRUE(std::isfinite(signal));
        ASSERT_GE(signal, last - 1e-4) << stops;
        last = signal;
    }
    for (const double odd : {-1e9, -1.0, 0.0, 1e12}) {
        EXPECT_TRUE(std::isfinite(encode(curve, SceneLinear(odd)).value())) << odd;
        EXPECT_FALSE(std::isnan(decode(curve, Signal(std::min(odd, 1.0))).value())) << odd;
    }
}

TEST_P(EveryCurve, SlopeIsTheDifferenceQuotient) {
    const auto curve = EveryCurve::curve(GetParam());
    for (double stops = -4; stops < endStops(curve, k10).value() - 0.1; stops += 0.37) {
        constexpr double h = 1e-3;
        const double difference = (encode(curve, linearAt(Stops(stops + h))).value() -
                                   encode(curve, linearAt(Stops(stops - h))).value()) /
                                  (2 * h);
        EXPECT_NEAR(slopePerStop(curve, linearAt(Stops(stops)), k10), difference, 2e-4) << stops;
    }
    EXPECT_EQ(slopePerStop(curve, SceneLinear(0), k10), 0);
    EXPECT_EQ(slopePerStop(curve, linearAt(Stops(19)), k10), 0);
}

INSTANTIATE_TEST_SUITE_P(All, EveryCurve, ::testing::Range(0, 5));

TEST(Curve, NothingIsRecordedAboveItsEnd) {
    Curve ends = tarnLog();
    ends.end = signalAt(Level(84), CodeRange::Full, k10);
    EXPECT_NEAR(levelAt(ends, Stops(12), k10).value(), 84.0, 1e-9);
    EXPECT_EQ(codeAt(ends, Stops(12), k10), codeAt(ends, endStops(ends, k10), k10));
    EXPECT_LT(endStops(ends, k10), endStops(tarnLog(), k10));
}

// ITU-R BT.2100 table 9 code ranges; 109.1, 109.5 and 109.6 % are the top codes.
TEST(CodeValues, FullAndLegalRange) {
    EXPECT_DOUBLE_EQ(codeOf(Signal(0), CodeRange::Legal, k10), 64);
    EXPECT_DOUBLE_EQ(codeOf(Signal(1), CodeRange::Legal, k10), 940);
    EXPECT_DOUBLE_EQ(codeOf(Signal(1), CodeRange::Legal, BitDepth{8}), 235);
    EXPECT_DOUBLE_EQ(codeOf(Signal(1), CodeRange::Legal, BitDepth{12}), 3760);
    EXPECT_DOUBLE_EQ(codeOf(Signal(1), CodeRange::Full, BitDepth{12}), 4095);
    EXPECT_NEAR(levelOfCode(255, BitDepth{8}).value(), 109.1, 0.05);
    EXPECT_NEAR(levelOfCode(1023, k10).value(), 109.5, 0.05);
    EXPECT_NEAR(levelOfCode(4095, BitDepth{12}).value(), 109.6, 0.05);
    EXPECT_EQ(recordedCode(Signal(9), CodeRange::Full, k10), 1023);
    EXPECT_EQ(recordedCode(Signal(-9), CodeRange::Full, k10), 0);
    for (const int bits : {8, 10, 12})
        for (const auto range : {CodeRange::Full, CodeRange::Legal})
            EXPECT_NEAR(
                levelOf(signalAt(Level(55), range, BitDepth{bits}), range, BitDepth{bits}).value(),
                55, 1e-9);
}

// "Mid-curve of a typical log is 70-90 codes a stop at 10 bits, a quarter of that at 8":
// common practice, no source.
TEST(Curve, CodesInAStop) {
    const double ten = codesInStop(tarnLog(), Stops(2), k10);
    EXPECT_GT(ten, 70);
    EXPECT_LT(ten, 90);
    EXPECT_NEAR(codesInStop(tarnLog(), Stops(2), BitDepth{8}) / ten, 255.0 / 1023, 1e-12);
}

TEST(StandardCurves, AreFoundAsTheStandardsSpellThem) {
    for (const char* name : {"ACEScct", "acescct", "BT.709", "Rec.709", "ITU-R BT.709", "rec 709",
                             "BT.2020", "HLG", "sRGB", "PQ", "ST 2084", "SMPTE ST 2084", "ACEScc"})
        EXPECT_TRUE(standardCurve(name)) << name;
    EXPECT_EQ(standardCurve("Rec.709"), bt709());
    EXPECT_FALSE(standardCurve("rec"));
    EXPECT_FALSE(standardCurve("BT.601"));
}

TEST(Pq, DecodesToANumberBeyondItsEnds) {
    for (const double signal : {-1.0, 0.0, 1.0, 1.0087, 1.09, 2.0, 50.0}) {
        const double light = decode(pq(), Signal(signal)).value();
        EXPECT_TRUE(std::isfinite(light)) << signal;
        EXPECT_LE(light, decode(pq(), Signal(1)).value() * (1 + 1e-12)) << signal;
    }
}

} // namespace
} // namespace bslate
