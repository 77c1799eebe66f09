// The documented model of a look, worked by hand: luma of ITU-R BT.709-6 item 3.2.
#include "core/signal/look.h"

#include <gtest/gtest.h>

#include <cmath>
#include <functional>
#include <random>

namespace bslate {
namespace {

double lumaOf(const Rgb& c) {
    return 0.2126 * c[0] + 0.7152 * c[1] + 0.0722 * c[2];
}

constexpr Rgb kPure[] = {{1, 0, 0}, {1, 1, 0}, {0, 1, 0}, {0, 1, 1}, {0, 0, 1}, {1, 0, 1}};

TEST(ColourLook, GreysNeverChange) {
    ColourLook look{0.3, {1, -1, 0.5, -0.5, 1, -1}, 7};
    for (const double grey : {0.0, 0.18, 0.5, 1.0})
        EXPECT_EQ(applyColour(look, {grey, grey, grey}), (Rgb{grey, grey, grey}));
}

TEST(ColourLook, SaturationStretchesColourAboutItsLuma) {
    const Rgb skin{0.62, 0.47, 0.40};
    EXPECT_EQ(applyColour({}, skin), skin) << "neutral changes nothing";
    const auto grey = applyColour({0, {}, 0}, skin);
    for (const double channel : grey)
        EXPECT_NEAR(channel, 0.2126 * 0.62 + 0.7152 * 0.47 + 0.0722 * 0.40, 1e-12);
    const auto rich = applyColour({1.5, {}, 0}, skin);
    EXPECT_NEAR(lumaOf(rich), lumaOf(skin), 1e-12) << "brightness stays";
    for (std::size_t i = 0; i < 3; ++i)
        EXPECT_NEAR(rich[i] - lumaOf(skin), 1.5 * (skin[i] - lumaOf(skin)), 1e-12);
}

// A pure hue has a spread of 1, so its luma is multiplied by 1 - depth of that hue alone.
TEST(ColourLook, DepthDarkensItsOwnHue) {
    for (std::size_t hue = 0; hue < 6; ++hue) {
        ColourLook look;
        look.depth[hue] = 0.4;
        for (std::size_t other = 0; other < 6; ++other) {
            const auto out = applyColour(look, kPure[other]);
            const double wanted = lumaOf(kPure[other]) * (other == hue ? 0.6 : 1.0);
            EXPECT_NEAR(lumaOf(out), wanted, 1e-12) << hue << " on " << other;
        }
    }
}

TEST(ColourLook, BetweenTwoHuesDepthIsBetweenTheirs) {
    ColourLook look;
    look.depth[static_cast<std::size_t>(Hue::Red)] = 0.2;
    look.depth[static_cast<std::size_t>(Hue::Yellow)] = 0.6;
    // A quarter of the way from red to yellow: 0.75 * 0.2 + 0.25 * 0.6 = 0.3.
    const Rgb orange{1, 0.25, 0};
    EXPECT_NEAR(lumaOf(applyColour(look, orange)), lumaOf(orange) * 0.7, 1e-12);
    // Pale orange has half the spread, so it loses half as much.
    const Rgb pale{1, 0.625, 0.5};
    EXPECT_NEAR(lumaOf(applyColour(look, pale)), lumaOf(pale) * 0.85, 1e-12);
    // From magenta round to red: the circle closes.
    ColourLook round;
    round.depth[static_cast<std::size_t>(Hue::Magenta)] = 0.5;
    const Rgb rose{1, 0, 0.5};
    EXPECT_NEAR(lumaOf(applyColour(round, rose)), lumaOf(rose) * 0.75, 1e-12);
}

TEST(ColourLook, HuesMeetWithoutASeam) {
    std::mt19937 random(3);
    std::uniform_real_distribution<double> depth(-1, 1), unit(0, 1);
    for (int round = 0; round < 200; ++round) {
        ColourLook look{1, {}, 0};
        for (double& own : look.depth)
            own = depth(random);
        const Rgb colour{unit(random), unit(random), unit(random)};
        const auto here = applyColour(look, colour);
        for (std::size_t channel = 0; channel < 3; ++channel) {
            Rgb beside = colour;
            beside[channel] += 1e-7;
            const auto there = applyColour(look, beside);
            for (std::size_t i = 0; i < 3; ++i)
                EXPECT_NEAR(there[i], here[i], 1e-5) << "a step of a ten millionth";
        }
    }
}

TEST(Look, IsToneThenColourAndStaysInsideTheSignal) {
    Look look;
    look.colour.saturation = 2;
    look.colour.depth[0] = -1;
    for (const double light : {0.0, 0.02, 0.18, 1.0, 40.0})
        for (const Rgb& hue : kPure) {
            const auto out = lookSignal(look, {hue[0] * light, hue[1] * light, hue[2] * light});
            for (const double channel : out) {
                EXPECT_GE(channel, 0.0);
                EXPECT_LE(channel, 1.0);
            }
        }
    // Grey goes through the tone alone.
    const Curve tone{look.tone, CodeRange::Legal, std::nullopt};
    const auto grey = lookSignal(look, {0.18, 0.18, 0.18});
    EXPECT_NEAR(grey[1], encode(tone, SceneLinear(0.18)).value(), 1e-12);
    EXPECT_EQ(grey[0], grey[2]);
}

TEST(Look, MoreLightIsNeverLessSignal) {
    for (const double toe : {-0.5, 0.0, 0.5})
        for (const double slope : {0.01, 0.25, 1.0}) {
            Look look;
            look.tone.blackGamma = toe;
            look.tone.kneeSlope = slope;
            double last = -1;
            for (double stops = -9; stops <= 5; stops += 0.05) {
                const double light = 0.18 * std::exp2(stops);
                const double now = lookSignal(look, {light, light, light})[0];
                EXPECT_GE(now, last - 1e-12) << toe << " " << slope << " at " << stops;
                last = now;
            }
        }
}

struct OutOfRange {
    const char* place;
    std::function<void(Look&)> change;
};

class WrongLook : public ::testing::TestWithParam<OutOfRange> {};

TEST_P(WrongLook, IsRefusedByTheNameOfItsParameter) {
    Look look;
    ASSERT_TRUE(checkLook(look).ok());
    GetParam().change(look);
    const auto outcome = checkLook(look);
    ASSERT_FALSE(outcome.ok());
    EXPECT_EQ(outcome.error().code, ErrorCode::OutOfRange);
    EXPECT_EQ(outcome.error().place, GetParam().place);
    EXPECT_NE(outcome.error().expected.find(" to "), std::string::npos);
}

INSTANTIATE_TEST_SUITE_P(
    Parameters, WrongLook,
    ::testing::Values(OutOfRange{"knee point", [](Look& l) { l.tone.kneePoint = 0.49; }},
                      OutOfRange{"knee point", [](Look& l) { l.tone.kneePoint = NAN; }},
                      OutOfRange{"knee slope", [](Look& l) { l.tone.kneeSlope = 0; }},
                      OutOfRange{"black gamma", [](Look& l) { l.tone.blackGamma = 0.51; }},
                      OutOfRange{"black level", [](Look& l) { l.tone.blackLevel = -0.11; }},
                      OutOfRange{"saturation", [](Look& l) { l.colour.saturation = 2.1; }},
                      OutOfRange{"depth", [](Look& l) { l.colour.depth[5] = -1.01; }},
                      OutOfRange{"detail", [](Look& l) { l.colour.detail = 8; }}));

} // namespace
} // namespace bslate
