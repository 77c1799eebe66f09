#include "core/clip/picture_check.h"
#include "core/clip/region_pulse.h"

#include "core/facts/evaluate.h"
#include "core/signal/curve.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

#include <cmath>
#include <numbers>

namespace bslate {
namespace {

// Strips under a lamp, read from the top down, with a bright thing that crosses the picture in a
// second and a half, and light that fades.
struct Filmed {
    double lamp = 100, depth = 0.1, readout = 0.016, rate = 25, fade = 0;
    bool crossing = false;

    [[nodiscard]] std::vector<RegionFrame> frames(int count, std::size_t strips) const {
        std::vector<RegionFrame> all;
        for (int n = 0; n < count; ++n) {
            RegionFrame frame{Seconds(n / rate), {}, {}, {}, {}};
            double mean = 0;
            for (std::size_t s = 0; s < strips; ++s) {
                auto& strip = frame.strips.emplace_back();
                const double when =
                    n / rate + readout * static_cast<double>(s) / static_cast<double>(strips);
                const double light = 0.18 * std::exp2(fade * n / rate) *
                                     (1 + depth * std::cos(2 * std::numbers::pi * lamp * when));
                for (std::size_t c = 0; c < kStripColumns; ++c) {
                    const double place = std::fmod(n / rate / 1.5, 1.0) * 12 - 2;
                    const bool covered = crossing && std::abs(place - double(c)) < 1.6;
                    strip[c] = encode(bt709(), SceneLinear(light * (covered ? 2.5 : 1)));
                    mean += strip[c].value() / double(strips * kStripColumns);
                }
            }
            frame.luma =
                strips > 0 ? Signal(mean)
                           : encode(bt709(),
                                    SceneLinear(0.18 * (1 + depth * std::cos(2 * std::numbers::pi *
                                                                             lamp * n / rate))));
            all.push_back(frame);
        }
        return all;
    }
    [[nodiscard]] std::optional<RegionPulse> pulse(int count = 100, std::size_t strips = 24) const {
        return pulseOf(frames(count, strips), bt709(), FrameRate{Rational(int(rate), 1)}, Hertz(1));
    }
};

TEST(RegionPulse, AliasAmplitudeAndBandsAreThoseOfTheLamp) {
    // 110 Hz at 25: 4 * 25 + 10; 0.016 s * 110 = 1.76 bands, later downwards.
    Filmed filmed;
    filmed.lamp = 110;
    const auto pulse = filmed.pulse();
    ASSERT_TRUE(pulse);
    EXPECT_NEAR(pulse->alias.value(), 10, 0.05);
    EXPECT_NEAR(pulse->peakToPeak.value(), std::log2(1.1 / 0.9), 0.01);
    ASSERT_TRUE(pulse->bands);
    EXPECT_NEAR(*pulse->bands, 1.76, 0.06);
    // 90 Hz aliases alike, from under the multiple: its bands run the other way.
    filmed.lamp = 90;
    const auto under = filmed.pulse();
    ASSERT_TRUE(under && under->bands);
    EXPECT_NEAR(under->alias.value(), 10, 0.05);
    EXPECT_NEAR(*under->bands, -0.016 * 90, 0.06);
    const auto lamps = agreeingLamps(*under, FrameRate{Rational(25, 1)}, Seconds(0.016));
    ASSERT_FALSE(lamps.empty());
    EXPECT_NEAR(lamps[0].value(), 90, 0.05);
    for (const auto lamp : lamps) // others would need a readout that is off, or bands the other way
        EXPECT_NEAR(lamp.value() * 0.016, 1.44, 0.2 + 0.15 * lamp.value() * 0.016);
}

TEST(RegionPulse, WhatMovesAndWhatFadesIsNoPulsing) {
    Filmed filmed;
    filmed.depth = 0;
    filmed.crossing = true;
    EXPECT_FALSE(filmed.pulse());
    filmed.fade = 0.4;
    EXPECT_FALSE(filmed.pulse());
    // And does not hide it.
    filmed.depth = 0.1;
    filmed.lamp = 104;
    const auto pulse = filmed.pulse();
    ASSERT_TRUE(pulse);
    EXPECT_NEAR(pulse->alias.value(), 4, 0.1);
    EXPECT_NEAR(pulse->peakToPeak.value(), std::log2(1.1 / 0.9), 0.03);
}

TEST(RegionPulse, TooFewFramesTooLittleLightOrTooWeakIsNone) {
    Filmed filmed;
    filmed.lamp = 104;
    EXPECT_FALSE(filmed.pulse(15));
    filmed.depth = 0.005;
    EXPECT_FALSE(filmed.pulse());
    filmed.depth = 0.1;
    EXPECT_TRUE(filmed.pulse(100, 0)) << "without strips by the whole place";
    auto dark = filmed.frames(60, 0);
    for (auto& frame : dark)
        frame.luma = Signal(0);
    EXPECT_FALSE(pulseOf(dark, bt709(), FrameRate{Rational(25, 1)}));
}

// 100 frames a second that play at 24: lamps met the sensor a hundred times a second.
TEST(PictureWish, AConformedClipWasCapturedAtTheSetupsRate) {
    auto shoot = sample::shoot();
    shoot.brief.rate = FrameRate{Rational(24, 1)};
    shoot.setups[0].rate = FrameRate{Rational(100, 1)};
    shoot.kit.cameras[0].modes[0].offSpeed =
        OffSpeed{FrameRate{Rational(1, 1)}, FrameRate{Rational(120, 1)}, false, false};
    const auto context = resolve(shoot, shoot.setups[0]);
    ASSERT_TRUE(context);
    const FrameRate played = shoot.brief.rate, other{Rational(25, 1)};
    EXPECT_EQ(pictureWish(*context, played, {}).captured, shoot.setups[0].rate);
    EXPECT_EQ(pictureWish(*context, other, {}).captured, other) << "no plan explains that rate";
    shoot.setups[0].rate = played;
    EXPECT_EQ(pictureWish(*resolve(shoot, shoot.setups[0]), played, {}).captured, played);
}

TEST(ChannelCounts, ShareAtTheEndIsThatOfThePixelsThere) {
    ChannelCounts counts{Signal(0), Signal(0.001), {}};
    counts.channels[1].assign(1024, 0);
    counts.channels[1][400] = 90;
    counts.channels[1][899] = 10;
    EXPECT_NEAR(shareAt(counts, 1, Signal(0.9)).value(), 0.1, 1e-9);
    EXPECT_EQ(shareAt(counts, 1, Signal(0.95)), Fraction(0));
    EXPECT_EQ(shareAt(counts, 0, Signal(0.9)), Fraction(0)) << "of no pixels";
}

} // namespace
} // namespace bslate
