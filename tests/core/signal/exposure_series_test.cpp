// A body made up of known numbers is photographed; the fit has to find them again.
#include "core/light/sensor.h"
#include "core/signal/exposure_series.h"

#include <gtest/gtest.h>

#include <cmath>
#include <numbers>
#include <random>

namespace bslate {
namespace {

struct TestedBody {
    Curve nominal{CameraLog{2, 0.0735, 0.4, 6, 0.05, 0.01, {}}, CodeRange::Full, {}};
    double shift = 0.2;   // stops brighter than it says
    double flare = 0.0;   // light
    double scatter = 0.0; // of a reading, codes of 10 bits
    std::array<double, 3> ends = {0.80, 0.83, 0.82};
    SensorModel sensor{Electrons(58000), Electrons(3.4), 0, Stops(6.1)};

    [[nodiscard]] SeriesReading at(double stops, std::mt19937& random) const {
        std::normal_distribution<double> normal(0.0, scatter / 1023 + 1e-15);
        const SceneLinear light(kMidGrey.value() * std::exp2(stops + shift) + flare);
        const double signal = encode(nominal, light).value() + normal(random);
        SeriesReading reading{Stops(stops), {}, {}};
        for (std::size_t c = 0; c < 3; ++c)
            reading.rgb[c] = Signal(std::min(signal, ends[c]));
        const double slope = slopePerStop(nominal, light, BitDepth{10});
        reading.noise = Signal(slope / (std::numbers::ln2 * snrAt(sensor, Stops(stops + shift))));
        return reading;
    }

    [[nodiscard]] std::vector<SeriesReading> series(double step = 0.5) const {
        std::mt19937 random(7);
        std::vector<SeriesReading> readings;
        for (double stops = -9; stops <= 7; stops += step)
            readings.push_back(at(stops, random));
        return readings;
    }
    [[nodiscard]] Stops trueClip(std::size_t channel) const {
        return stopsOf(decode(nominal, Signal(ends[channel]))) - Stops(shift);
    }
};

SeriesFit fitted(const TestedBody& body, const std::vector<SeriesReading>& readings) {
    const auto fit = fitSeries(readings, CodeRange::Full, body.nominal);
    EXPECT_TRUE(fit.ok()) << (fit.ok() ? "" : message(fit.error()));
    return fit.ok() ? *fit : SeriesFit{};
}

TEST(ExposureSeries, FindsTheBodyBehindCleanReadings) {
    const TestedBody body;
    const auto fit = fitted(body, body.series());
    EXPECT_FALSE(fit.sampled);
    EXPECT_NEAR(fit.shift.value(), body.shift, 1e-3);
    EXPECT_EQ(fit.flare.value(), 0) << "none is told where none is";
    EXPECT_LT(tenBitCodes(fit.rms), 0.05);
    for (std::size_t c = 0; c < 3; ++c) {
        ASSERT_TRUE(fit.clip[c]);
        EXPECT_NEAR(fit.clip[c]->value(), body.trueClip(c).value(), 0.01) << c;
    }
    EXPECT_EQ(fit.firstClip(), fit.clip[0]) << "red clips first on this body";
    EXPECT_EQ(fit.curve.end, Signal(0.80));
    // The curve holds the body's own sensitivity: brighter than the nominal one at the same light.
    EXPECT_NEAR(encode(fit.curve, kMidGrey).value(),
                encode(body.nominal, linearAt(Stops(body.shift))).value(), 1e-4);
    // The noise that was put in has its floor where the sensor model says, less the shift.
    ASSERT_TRUE(fit.noiseFloor);
    EXPECT_NEAR(fit.noiseFloor->value(), noiseFloor(body.sensor, 2).value() - body.shift, 0.06);
}

TEST(ExposureSeries, FlareScatterAndAWrongReadingDoNotFoolIt) {
    TestedBody body;
    body.flare = 0.0008;
    body.scatter = 0.5;
    auto readings = body.series(0.33);
    const std::size_t wrong = 20;
    for (auto& value : readings[wrong].rgb)
        value = value + Signal(25.0 / 1023);
    const auto fit = fitted(body, readings);
    EXPECT_EQ(fit.fates[wrong], ReadingFate::Outlier);
    EXPECT_LE(fit.outliers(), 3) << "scatter is not a fault";
    EXPECT_NEAR(fit.shift.value(), body.shift, 0.02);
    EXPECT_NEAR(fit.flare.value() * std::exp2(body.shift), body.flare, 0.0002);
    EXPECT_LT(tenBitCodes(fit.rms), 1.0);
    EXPECT_NEAR(fit.clip[0]->value(), body.trueClip(0).value(), 0.05);
    // Without the flare the curve is the body's: half a code or so at every stop it was shot at.
    for (double stops = -8; stops < 5; stops += 1)
        EXPECT_NEAR(encode(fit.curve, linearAt(Stops(stops))).value(),
                    encode(body.nominal, linearAt(Stops(stops + body.shift))).value(), 2.0 / 1023)
            << stops;
}

TEST(ExposureSeries, KeepsTheReadingsOfACurveThatIsNoLog) {
    TestedBody body;
    body.nominal = bt709();
    body.shift = 0;
    body.ends = {1.0, 1.0, 1.0};
    const auto readings = body.series(0.25);
    const auto fit = fitSeries(readings, CodeRange::Legal, bt709());
    ASSERT_TRUE(fit.ok());
    EXPECT_TRUE(fit->sampled);
    EXPECT_NEAR(fit->clip[1]->value(), 2.474, 0.02) << "BT.709 reaches 100 % there";
}

// An iris that is off by a tenth of a stop at every frame, thirty times over: the clip lies between
// the last reading below it and the first flat one, and the readings become no table of noise.
TEST(ExposureSeries, AWanderingIrisDoesNotMoveTheClip) {
    for (unsigned seed = 1; seed <= 30; ++seed) {
        const TestedBody body;
        std::mt19937 random(seed);
        std::normal_distribution<double> iris(0.0, 0.1);
        std::vector<SeriesReading> readings;
        for (double stops = -7; stops <= 6.5; stops += 1.0 / 3) {
            auto reading = body.at(stops + iris(random), random);
            reading.stops = Stops(stops);
            readings.push_back(reading);
        }
        const auto fit = fitSeries(readings, CodeRange::Full, body.nominal);
        ASSERT_TRUE(fit.ok()) << seed << ": " << message(fit.error());
        EXPECT_FALSE(fit->sampled) << seed << ": a table through scatter is noise";
        for (std::size_t c = 0; c < 3; ++c) {
            ASSERT_TRUE(fit->clip[c]) << seed;
            double firstFlat = 40;
            for (const auto& reading : readings)
                if (reading.rgb[c].value() > body.ends[c] - 2.0 / 1023)
                    firstFlat = std::min(firstFlat, reading.stops.value());
            EXPECT_LE(fit->clip[c]->value(), firstFlat + 1e-9) << seed;
            EXPECT_NEAR(fit->clip[c]->value(), body.trueClip(c).value(), 0.45) << seed;
            EXPECT_GT(fit->clipUncertainty[c].value(), 0.02) << seed;
            EXPECT_LT(fit->clipUncertainty[c].value(), 0.7) << seed;
        }
    }
}

// Scatter about a curve that is no log, and not the nominal one either: not enough to tell.
TEST(ExposureSeries, SaysWhenItCannotTellACurveFromScatter) {
    TestedBody body;
    body.nominal = bt709();
    body.ends = {1.0, 1.0, 1.0};
    std::mt19937 random(4);
    std::normal_distribution<double> iris(0.0, 0.25);
    std::vector<SeriesReading> readings;
    for (double stops = -6; stops <= 4; stops += 0.5) {
        auto reading = body.at(stops + iris(random), random);
        reading.stops = Stops(stops);
        readings.push_back(reading);
    }
    const Curve other{CameraLog{2, 0.0735, 0.4, 6, 0.05, 0.01, {}}, CodeRange::Legal, {}};
    const auto fit = fitSeries(readings, CodeRange::Legal, other);
    if (fit.ok()) {
        EXPECT_FALSE(fit->sampled) << "never a table of it";
        return;
    }
    EXPECT_NE(message(fit.error()).find("not enough"), std::string::npos) << message(fit.error());
    // With the right curve to start from, that one is kept, as bright as the body is.
    const auto known = fitSeries(readings, CodeRange::Legal, bt709());
    ASSERT_TRUE(known.ok()) << message(known.error());
    EXPECT_NEAR(known->clip[1]->value(), body.trueClip(1).value(), 0.51);
}

TEST(ExposureSeries, SaysWhenNothingClips) {
    const TestedBody body;
    auto readings = body.series();
    std::erase_if(readings, [](const SeriesReading& r) { return r.stops > Stops(3); });
    const auto fit = fitted(body, readings);
    EXPECT_FALSE(fit.firstClip());
    EXPECT_FALSE(fit.curve.end);
}

TEST(ExposureSeries, RefusesWhatIsNoSeries) {
    const TestedBody body;
    const auto good = body.series();
    const auto refused = [&](std::vector<SeriesReading> readings, const char* expectation) {
        const auto fit = fitSeries(readings, CodeRange::Full, body.nominal);
        ASSERT_FALSE(fit.ok()) << expectation;
        EXPECT_NE(message(fit.error()).find(expectation), std::string::npos)
            << message(fit.error());
    };
    refused({good[4]}, "at least 6 different exposures");
    refused(std::vector<SeriesReading>(40, good[4]), "at least 6 different exposures");
    refused({good.begin() + 9, good.begin() + 15}, "span three stops");
    auto nan = good;
    nan[3].rgb[1] = Signal(NAN);
    refused(nan, "reading 4");
    auto bright = good;
    std::erase_if(bright, [](const SeriesReading& r) { return r.stops < Stops(4); });
    refused(bright, "no channel has clipped");
    auto falling = good;
    for (auto& reading : falling)
        reading.stops = -reading.stops;
    const auto fit = fitSeries(falling, CodeRange::Full, body.nominal);
    EXPECT_FALSE(fit.ok()) << "signal that falls with light is no camera";
}

} // namespace
} // namespace bslate
