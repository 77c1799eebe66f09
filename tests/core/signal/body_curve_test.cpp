// Bodies whose curve no camera-log formula holds, and series that tell nothing.
#include "core/signal/exposure_series.h"

#include <gtest/gtest.h>

#include <cmath>
#include <random>

namespace bslate {
namespace {

constexpr double kCode10 = 1.0 / 1023;

struct Photographed {
    Curve nominal = bt709();
    double shift = 0.3;
    double scatter = 0; ///< codes of 10 bits
    double step = 0.5;
    unsigned seed = 3;

    [[nodiscard]] std::vector<SeriesReading> readings() const {
        std::mt19937 random(seed);
        std::normal_distribution<double> normal(0, std::max(scatter, 1e-9) * kCode10);
        std::vector<SeriesReading> series;
        for (double stops = -6; stops <= 4; stops += step) {
            const double clean = encode(nominal, linearAt(Stops(stops + shift))).value();
            SeriesReading reading{Stops(stops), {}, {}};
            for (auto& channel : reading.rgb)
                channel = Signal(std::min(clean + normal(random), 1.05));
            series.push_back(reading);
        }
        return series;
    }
    [[nodiscard]] Result<SeriesFit> fit() const {
        return fitSeries(readings(), nominal.range, nominal);
    }
};

// Of a display curve the body's own sensitivity is found from clean readings and from noisy ones,
// and what is kept encodes what was photographed.
TEST(BodyCurve, ADisplayCurveKeepsItsShapeWithTheBodysShift) {
    for (const double scatter : {0.0, 0.5, 3.0, 6.0}) {
        Photographed body;
        body.scatter = scatter;
        body.step = 0.25;
        const auto fit = body.fit();
        ASSERT_TRUE(fit.ok()) << scatter << ": " << message(fit.error());
        EXPECT_NEAR(fit->shift.value(), body.shift, 0.02 + 0.02 * scatter) << scatter;
        for (double stops = -4; stops <= 2; stops += 0.5) {
            const double held = encode(fit->curve, linearAt(Stops(stops))).value();
            const double made = encode(body.nominal, linearAt(Stops(stops + body.shift))).value();
            EXPECT_NEAR(held, made, (1.5 + 1.5 * scatter) * kCode10) << scatter << " at " << stops;
        }
        EXPECT_NEAR(tenBitCodes(fit->scatter), scatter, 0.4 + 0.4 * scatter);
    }
}

TEST(BodyCurve, ACameraLogBodyStaysCameraLog) {
    Photographed body;
    body.nominal = acescct();
    body.shift = -0.4;
    const auto fit = body.fit();
    ASSERT_TRUE(fit.ok()) << message(fit.error());
    EXPECT_FALSE(fit->sampled);
    EXPECT_TRUE(std::holds_alternative<CameraLog>(fit->curve.family));
    EXPECT_NEAR(fit->shift.value(), body.shift, 1e-3);
}

TEST(BodyCurve, WhatOnlyScattersIsNoCurve) {
    std::mt19937 random(8);
    std::uniform_real_distribution<double> any(0, 1);
    auto readings = Photographed{}.readings();
    for (auto& reading : readings)
        reading.rgb.fill(Signal(any(random)));
    const auto fit = fitSeries(readings, CodeRange::Legal, bt709());
    ASSERT_FALSE(fit.ok());
    EXPECT_EQ(fit.error().code, ErrorCode::OutOfRange);
    EXPECT_FALSE(fit.error().expected.empty());
}

// The columns swapped: light falls where it should rise.
TEST(BodyCurve, ASeriesTheWrongWayRoundIsToldSo) {
    auto readings = Photographed{}.readings();
    for (auto& reading : readings)
        reading.stops = Stops(-reading.stops.value());
    const auto fit = fitSeries(readings, CodeRange::Legal, bt709());
    ASSERT_FALSE(fit.ok());
    EXPECT_NE(message(fit.error()).find("rise with exposure"), std::string::npos)
        << message(fit.error());
}

TEST(BodyCurve, TooFewOrTooNarrowSaysHowMuchIsNeeded) {
    const auto all = Photographed{}.readings();
    const std::vector<SeriesReading> few(all.begin(), all.begin() + 3);
    const auto tooFew = fitSeries(few, CodeRange::Legal, bt709());
    ASSERT_FALSE(tooFew.ok());
    EXPECT_FALSE(tooFew.error().expected.empty());
    Photographed close;
    close.step = 0.1;
    auto narrow = close.readings();
    narrow.resize(20); // two stops
    EXPECT_FALSE(fitSeries(narrow, CodeRange::Legal, bt709()).ok());
    auto broken = all;
    broken[4].rgb[1] = Signal(std::nan(""));
    const auto fit = fitSeries(broken, CodeRange::Legal, bt709());
    ASSERT_FALSE(fit.ok());
    EXPECT_EQ(fit.error().place, "reading 5");
}

} // namespace
} // namespace bslate
