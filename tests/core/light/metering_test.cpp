#include "core/light/metering.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate {
namespace {

constexpr MeterCalibration kUsual{12.5, 250};

// ISO 2720:1974: L = 0.125 * 2^EV and E = 2.5 * 2^EV at ISO 100 with K 12.5 and C 250; the EV
// tables derived from it give 4096 cd/m2 and 81 920 lx at EV 15.
TEST(Metering, EvTable) {
    const struct {
        double ev, candela, lux;
    } table[] = {{-3, 0.015625, 0.3125}, {0, 0.125, 2.5},  {3, 1, 20},       {6, 8, 160},
                 {10, 128, 2560},        {12, 512, 10240}, {15, 4096, 81920}};
    for (const auto& row : table) {
        EXPECT_DOUBLE_EQ(luminanceOf(Ev(row.ev), kUsual).value(), row.candela);
        EXPECT_DOUBLE_EQ(illuminanceOf(Ev(row.ev), kUsual).value(), row.lux);
        EXPECT_NEAR(evOf(CandelaPerM2(row.candela), kUsual).value(), row.ev, 1e-12);
        EXPECT_NEAR(evOf(Lux(row.lux), kUsual).value(), row.ev, 1e-12);
    }
}

// N^2/t = L*S/K (ISO 2720): EV 15 is 1/125 s at f/16 for ISO 100 within a mark's rounding
// (2^15 = 32768 against 256 * 125 = 32000).
TEST(Metering, SunnyExposureIsOnTheMark) {
    const auto off = exposureStops(luminanceOf(Ev(15), kUsual), ExposureIndex(100),
                                   Seconds(1.0 / 125), TStop(16), Stops(0), kUsual);
    EXPECT_NEAR(off.value(), std::log2(32768.0 / 32000.0), 1e-9);
}

// The demo's worked placement: 26 * 800 / (12.5 * 16 * 50) = 2.08, log2 = 1.0566.
TEST(Metering, WorkedPlacement) {
    const auto place = [](Stops nd, MeterCalibration meter) {
        return exposureStops(CandelaPerM2(26), ExposureIndex(800), Seconds(0.02), TStop(4), nd,
                             meter)
            .value();
    };
    EXPECT_NEAR(place(Stops(0), kUsual), 1.0566, 5e-5);
    EXPECT_NEAR(place(Stops(3), kUsual), -1.9434, 5e-5);
    EXPECT_NEAR(place(Stops(0), {14, 250}), 1.0566 - std::log2(14 / 12.5), 5e-5);
}

// pi * 12.5 / 250 = 0.15708 and pi * 14 / 250 = 0.17593 (ISO 2720 constants).
TEST(Metering, ConstantsImplyLessThanEighteenPercent) {
    EXPECT_NEAR(impliedReflectance(kUsual).value(), 0.1571, 5e-5);
    EXPECT_NEAR(impliedReflectance({14, 250}).value(), 0.1759, 5e-5);
    const auto gap = stopsBetween(Reflectance(0.18), impliedReflectance(kUsual));
    EXPECT_NEAR(gap.value(), 0.197, 5e-4);
}

// 1 fc = 10.7639 lx, 1 fL = 3.42626 cd/m2 (international foot 0.3048 m).
TEST(Metering, FeetAndMetres) {
    EXPECT_NEAR(kLuxPerFootCandle, 10.7639, 5e-5);
    EXPECT_NEAR(kCandelaPerM2PerFootLambert, 3.42626, 5e-6);
    const Reflectance grey(0.18);
    const auto fc = luminanceOf(LightReading{10, LightUnit::FootCandle}, grey, kUsual);
    const auto lx = luminanceOf(LightReading{107.639, LightUnit::Lux}, grey, kUsual);
    EXPECT_NEAR(fc.value(), lx.value(), 1e-4);
    EXPECT_NEAR(lx.value(), 107.639 * 0.18 / 3.14159265, 1e-5);
}

TEST(Metering, ReadingsConvertBothWaysAndShift) {
    for (const auto unit : {LightUnit::CandelaPerM2, LightUnit::FootLambert, LightUnit::Lux,
                            LightUnit::FootCandle, LightUnit::EvReflected}) {
        const auto reading = readingIn(unit, CandelaPerM2(26), Reflectance(0.36), kUsual);
        EXPECT_NEAR(luminanceOf(reading, Reflectance(0.36), kUsual).value(), 26, 1e-9);
        const auto brighter = shifted(reading, Stops(2));
        EXPECT_NEAR(luminanceOf(brighter, Reflectance(0.36), kUsual).value(), 104, 1e-9);
    }
    EXPECT_EQ(roundedReading({26.04567, LightUnit::Lux}).value, 26.0);
    EXPECT_EQ(roundedReading({0.0123456, LightUnit::Lux}).value, 0.0123);
    EXPECT_EQ(roundedReading({7.6789, LightUnit::EvReflected}).value, 7.68);
}

TEST(Metering, TStopLosesTheGlass) {
    EXPECT_NEAR(tStop(FNumber(2.0), 0.8).value(), 2.0 / std::sqrt(0.8), 1e-12);
    EXPECT_EQ(tStop(FNumber(2.0), 1.0).value(), 2.0);
}

} // namespace
} // namespace bslate
