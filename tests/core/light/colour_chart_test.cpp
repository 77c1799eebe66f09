// A sensor found from a chart: planted sensors, charts turned and noisy, and what is no chart.
#include "core/kit/camera_colour.h"
#include "core/kit/sensor_line.h"
#include "core/light/colour_chart.h"
#include "support/random_below.h"
#include "support/sample_chart.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate {
namespace {

double apart(Chromaticity a, Chromaticity b) {
    return std::hypot(a.x - b.x, a.y - b.y);
}

double mostApart(const Gamut& a, const Gamut& b) {
    return std::max({apart(a.red, b.red), apart(a.green, b.green), apart(a.blue, b.blue),
                     apart(a.white, b.white)});
}

// Sensors as bodies have them: a white that is far from neutral, a blue below the axis.
const Gamut kSensors[] = {gamutBt2020(),
                          {{0.735, 0.265}, {0.215, 0.885}, {0.13, -0.04}, {0.36, 0.29}},
                          {{0.69, 0.31}, {0.22, 0.74}, {0.14, 0.05}, {0.34, 0.33}}};

TEST(ColourChart, APlantedSensorIsFoundHoweverTheChartLies) {
    Random random(41);
    for (const auto& sensor : kSensors)
        for (const ColourPoint light :
             {ColourPoint{Kelvin(5000), Duv(0.002)}, ColourPoint{Kelvin(3200), Duv(0)},
              ColourPoint{Kelvin(7500), usualDuv(Kelvin(7500))}})
            for (const bool flipped : {false, true}) {
                const auto chart = sample::chart(6, 4, random);
                auto seen = sample::seen(chart, sensor, light, 0.7);
                if (flipped)
                    std::reverse(seen.begin(), seen.end());
                const auto fit = fitSensor(chart, seen, light);
                ASSERT_TRUE(fit);
                EXPECT_LT(mostApart(fit->primaries, sensor), 1e-6);
                EXPECT_LT(fit->most, 1e-6);
                EXPECT_EQ(fit->turn.columnsBackward && fit->turn.rowsBackward, flipped);
                EXPECT_EQ(fit->patches.front().id, flipped ? "D6" : "A1");
                // What makes its neutral patches neutral is what its primaries say.
                const auto plain = whiteGains(xyzToRgb(sensor), chromaticityOf(light));
                EXPECT_NEAR(fit->gains[0].value(), plain[0].value(), 1e-6);
                EXPECT_NEAR(fit->gains[2].value(), plain[2].value(), 1e-6);
            }
}

TEST(ColourChart, NoiseMovesItLittleAndAnEndedPatchNotAtAll) {
    Random random(42);
    const ColourPoint light{Kelvin(5600), usualDuv(Kelvin(5600))};
    const auto chart = sample::chart(6, 4, random);
    auto seen = sample::seen(chart, kSensors[2], light, 1);
    for (auto& patch : seen)
        for (auto& one : patch.light)
            one = one * (1 + 0.01 * (double(below(random, 2001)) / 1000 - 1));
    seen[3].light = {SceneLinear(9), SceneLinear(9), SceneLinear(9)};
    seen[3].ended = true;
    const auto fit = fitSensor(chart, seen, light);
    ASSERT_TRUE(fit);
    EXPECT_LT(mostApart(fit->primaries, kSensors[2]), 0.02);
    EXPECT_GT(fit->mean, 0);
    EXPECT_LT(fit->mean, 1.5);
    EXPECT_TRUE(fit->patches[3].left);
}

TEST(ColourChart, ASquareChartMayLieOnItsSide) {
    Random random(43);
    const auto chart = sample::chart(5, 5, random);
    const auto seen = sample::seen(chart, kSensors[1], {}, 1);
    std::vector<PatchLight> turned(25);
    for (std::size_t row = 0; row < 5; ++row)
        for (std::size_t column = 0; column < 5; ++column)
            turned[column * 5 + 4 - row] = seen[row * 5 + column];
    const auto fit = fitSensor(chart, turned, {});
    ASSERT_TRUE(fit);
    EXPECT_LT(mostApart(fit->primaries, kSensors[1]), 1e-6);
    EXPECT_TRUE(fit->turn.swapped);
}

TEST(ColourChart, WhatIsNoChartOfThisFileIsRefused) {
    Random random(44);
    const auto chart = sample::chart(6, 4, random);
    const auto seen = sample::seen(chart, kSensors[0], {}, 1);
    EXPECT_FALSE(fitSensor(chart, std::span(seen).first(23), {}));
    EXPECT_EQ(fitSensor(sample::chart(6, 4, random), seen, {}).error().expected,
              "the place, columns and light of this chart");
    auto ended = seen;
    for (std::size_t i = 5; i < ended.size(); ++i)
        ended[i].ended = true;
    EXPECT_NE(fitSensor(chart, ended, {}).error().got.find("5 patches"), std::string::npos);
    auto grey = chart;
    for (auto& patch : grey.patches)
        patch.colour = grey.patches[0].colour;
    EXPECT_NE(
        fitSensor(grey, sample::seen(grey, kSensors[0], {}, 1), {}).error().got.find("colours"),
        std::string::npos);
}

TEST(ColourChart, TheCameraKeepsWhatWasFound) {
    Random random(45);
    const ColourPoint light{Kelvin(3200), usualDuv(Kelvin(3200))};
    const auto chart = sample::chart(6, 4, random);
    const auto fit = fitSensor(chart, sample::seen(chart, kSensors[1], light, 1), light);
    ASSERT_TRUE(fit);
    Camera camera;
    EXPECT_TRUE(CameraColour(camera).isGeneric());
    camera.whiteGains = {{Kelvin(3200), Stops(3), Stops(3)}};
    const auto raw = withSensor(camera, *fit, light, true);
    EXPECT_FALSE(CameraColour(raw).isGeneric());
    EXPECT_EQ(raw.primaries->green, (Chromaticity{0.215, 0.885}));
    ASSERT_EQ(raw.whiteGains.size(), 1U) << "those of that white are replaced";
    const auto plain = whiteGains(xyzToRgb(kSensors[1]), chromaticityOf(light));
    EXPECT_NEAR(CameraColour(raw).gains(light)[0].value(), plain[0].value(), 0.006);
    EXPECT_EQ(withSensor(camera, *fit, light, false).whiteGains, camera.whiteGains);
    const ColourPoint green{Kelvin(3200), Duv(0.02)};
    EXPECT_EQ(withSensor(camera, *fit, green, true).whiteGains, camera.whiteGains);
}

TEST(SensorLine, GivesBackWhatItReads) {
    const std::optional<Gamut> sensor = kSensors[1];
    EXPECT_EQ(spell(sensor), "R 0.735 0.265 G 0.215 0.885 B 0.13 -0.04 W 0.36 0.29");
    EXPECT_EQ(*parsePrimaries(spell(sensor)), sensor);
    EXPECT_EQ(*parsePrimaries("  "), std::nullopt);
    EXPECT_EQ((*parsePrimaries("g 0.17 0.797 r 0.708 0.292 b 0.131 0.046")), gamutBt2020());
    for (const char* wrong :
         {"R 0.7 0.3", "R 0.7 0.3 R 0.7 0.3", "0.7 0.3", "R 0.7 0,3 G 0.2 0.7 B 0.1 0",
          "R 0.7 0.3 G 0.7 0.3 B 0.1 0.1", "R 0.7 0.3 G 0.2 0.7 B 0.1"})
        EXPECT_FALSE(parsePrimaries(wrong)) << wrong;
    const std::vector<FoundGains> gains = {{Kelvin(3200), Stops(0.62), Stops(1.98)},
                                           {Kelvin(5600), Stops(1.05), Stops(-0.71)}};
    EXPECT_EQ(spell(gains), "3200 K R 0.62 B 1.98; 5600 K R 1.05 B -0.71");
    EXPECT_EQ(*parseGains(spell(gains)), gains);
    EXPECT_TRUE(parseGains("")->empty());
    for (const char* wrong : {"3200 K", "3200 K R 1", "R 1 B 1", "3200 K R 1 B 1 R 2",
                              "3200 K R 1 B 99", "3200 K R 1 B 1; 3200 K R 2 B 2"})
        EXPECT_FALSE(parseGains(wrong)) << wrong;
}

} // namespace
} // namespace bslate
