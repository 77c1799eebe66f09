#include "core/light/white_gains.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate {
namespace {

Chromaticity usualLight(double kelvin) {
    return chromaticityOf({Kelvin(kelvin), usualDuv(Kelvin(kelvin))});
}

// Primaries of ITU-R BT.2020-2 balanced at D65 under light of CIE 15:2004, worked out apart from
// the program with the matrix of SMPTE RP 177.
TEST(WhiteGains, OfTheGenericSensorUnderCommonLights) {
    const auto camera = xyzToRgb(genericPrimaries());
    const struct {
        Chromaticity light;
        double red, blue;
    } table[] = {{{0.44757, 0.40745}, -0.69, 1.51},
                 {usualLight(3200), -0.56, 1.21},
                 {daylight(Kelvin(4300)), -0.26, 0.67},
                 {daylight(Kelvin(5600)), -0.07, 0.21},
                 {{0.3127, 0.3290}, 0, 0}};
    for (const auto& row : table) {
        const auto gains = whiteGains(camera, row.light);
        EXPECT_NEAR(gains[0].value(), row.red, 0.006) << row.light.x;
        EXPECT_EQ(gains[1], Stops(0));
        EXPECT_NEAR(gains[2].value(), row.blue, 0.006) << row.light.x;
    }
    // By kelvin alone the dial stands for the same lights.
    EXPECT_NEAR(whiteGains(camera, usualLight(4300))[2].value(), 0.67, 0.02);
    EXPECT_NEAR(whiteGains(camera, usualLight(5600))[2].value(), 0.21, 0.02);
}

TEST(WhiteGains, MakeTheirOwnLightNeutral) {
    const auto camera = xyzToRgb(gamutP3D65());
    for (const double kelvin : {2000.0, 3200.0, 5600.0, 9000.0}) {
        const auto c = usualLight(kelvin);
        const auto gains = whiteGains(camera, c);
        const double xyz[] = {c.x / c.y, 1, (1 - c.x - c.y) / c.y};
        double rgb[3] = {};
        for (std::size_t row = 0; row < 3; ++row)
            for (std::size_t k = 0; k < 3; ++k)
                rgb[row] += camera[row][k] * xyz[k];
        for (std::size_t channel = 0; channel < 3; ++channel)
            EXPECT_NEAR(rgb[channel] * std::exp2(gains[channel].value()), rgb[1], 1e-9) << kelvin;
    }
}

TEST(WhiteGains, OfALightOutsideOfThePrimariesAreHeld) {
    const auto gains = whiteGains(xyzToRgb(gamutBt709()), {0.70, 0.29});
    for (const auto& gain : gains) {
        EXPECT_TRUE(std::isfinite(gain.value()));
        EXPECT_LE(gain, Stops(6));
    }
}

TEST(LaterWhite, PaysWithGrainCodesAndHighlights) {
    const RecordedIn tarn{{CameraLog{2, 0.0735, 0.4, 6, 0.05, 0.01, {}}, CodeRange::Full, {}},
                          {10}};
    const auto camera = xyzToRgb(genericPrimaries());
    const ColourPoint tungsten{Kelvin(3200), Duv(0)}, day{Kelvin(5600), usualDuv(Kelvin(5600))};
    const auto low = whiteGains(camera, chromaticityOf(tungsten));
    const auto high = whiteGains(camera, chromaticityOf(day));
    const auto later = laterWhite(tungsten, low, day, high, tarn);
    EXPECT_NEAR(later.shift.value(), -133.9, 0.05) << "1e6/5600 - 1e6/3200";
    // From the table above: red -0.07 + 0.56, blue 0.21 - 1.21.
    EXPECT_NEAR(later.channels[0].gain.value(), 0.49, 0.02);
    EXPECT_NEAR(later.channels[2].gain.value(), -1.0, 0.02);
    EXPECT_EQ(later.channels[0].noise, later.channels[0].gain);
    EXPECT_EQ(later.channels[2].noise, Stops(0)) << "what is pulled down gets no grain";
    // Counted: codes of the log curve between the two ends of the stop that becomes the middle one.
    for (const auto& channel : later.channels) {
        const auto code = [&](double stops) {
            return recordedCode(encode(tarn.curve, linearAt(Stops(stops))), CodeRange::Full, {10});
        };
        const double middle = -channel.gain.value();
        EXPECT_NEAR(channel.codes, code(middle + 0.5) - code(middle - 0.5), 1);
    }
    EXPECT_GT(later.channels[0].codes, 0.9 * codesInMiddle(tarn))
        << "a log curve keeps as many in each stop";
    // Of a linear recording half of them are left for each stop of gain.
    const RecordedIn linear{{CameraLog{2, 0.0735, 0.4, 6, 0.05, 1e9, 1.0}, CodeRange::Full, {}},
                            {10}};
    EXPECT_NEAR(laterWhite(tungsten, low, day, high, linear).channels[0].codes,
                codesInMiddle(linear) / std::exp2(0.49), 1);
    EXPECT_EQ(later.staysClipped, -later.channels[2].gain);
    const auto none = laterWhite(day, high, day, high, tarn);
    EXPECT_EQ(none.staysClipped, Stops(0));
    EXPECT_EQ(none.shift, Mired(0));
}

} // namespace
} // namespace bslate
