// Pulsed light. Worked values follow from integrating 1 + m cos(2 pi f t) by hand; that 172.8
// degrees are steady at 24 under 50 Hz and 144 under 60 Hz is common practice, no source.
#include "core/cadence/pulse.h"
#include "core/cadence/shutter.h"

#include <gtest/gtest.h>

#include <cmath>
#include <random>

namespace bslate {
namespace {

FrameRate fps(int rate) {
    return {Rational(rate, 1)};
}

PulsedLight sine(double hertz, double depth = 1) {
    PulsedLight light;
    light.frequency = Hertz(hertz);
    light.depth = Fraction(depth);
    return light;
}

Pulsing seen(const PulsedLight& light, double seconds, FrameRate rate, double readout = 0) {
    return pulsing(std::span(&light, 1), Seconds(seconds), rate, Seconds(readout));
}

TEST(Pulsing, WorkedValuesOfTheSinusoid) {
    const auto half = seen(sine(100), 1.0 / 48, fps(24));
    EXPECT_NEAR(half.ripple.value(), 0.0395, 5e-5);
    EXPECT_NEAR(half.alias.value(), 4, 1e-12);
    EXPECT_NEAR(half.peakToPeak.value(), 0.114, 5e-4);
    const auto still = seen(sine(100), 1.0 / 50, fps(24));
    EXPECT_EQ(still.peakToPeak, Stops(0));
    EXPECT_FALSE(still.strongest.has_value());
    const auto sixty = seen(sine(120), 1.0 / 48, fps(24));
    EXPECT_NEAR(sixty.ripple.value(), 0.1273, 5e-5);
    EXPECT_EQ(sixty.alias, Hertz(0));
    EXPECT_EQ(seen(sine(120), 1.0 / 60, fps(24)).ripple, Fraction(0));
    const auto fast = seen(sine(100), 1.0 / 250, fps(120));
    EXPECT_NEAR(fast.ripple.value(), 0.757, 5e-4);
    EXPECT_NEAR(fast.alias.value(), 20, 1e-12);
}

TEST(Pulsing, TheMainsWanderAndFilmRatesDrift) {
    PulsedLight tubes = sine(100);
    tubes.fromMains = true;
    const auto locked = seen(tubes, 1.0 / 50, fps(24));
    EXPECT_EQ(locked.peakToPeak, Stops(0));
    // 49.8 Hz: r = |sin(1.992 pi) / (1.992 pi)| = 0.00402, log2((1 + r) / (1 - r)) = 0.0116
    EXPECT_NEAR(locked.worstOnMains.value(), 0.0116, 1e-4);
    const auto drift = seen(sine(120), 1.0 / 48, {Rational(24000, 1001)});
    EXPECT_NEAR(drift.alias.value(), 0.12, 5e-4) << "5 * 23.976 is 119.88";
    EXPECT_LE(drift.alias, kDrift);
}

TEST(Pulsing, BandsFollowTheReadoutAndTheStrongestLamp) {
    const auto tubes = sine(100, 0.7);
    EXPECT_NEAR(seen(tubes, 1.0 / 48, fps(24), 0.012).bands, 1.2, 1e-12);
    PulsedLight strips = sine(400, 0.5);
    strips.share = Fraction(0.2);
    PulsedLight main = sine(100, 0.9);
    main.share = Fraction(0.8);
    const PulsedLight both[] = {strips, main};
    const auto mixed = pulsing(both, Seconds(1.0 / 60), fps(24), Seconds(0.01));
    EXPECT_EQ(mixed.strongest, 1u);
    EXPECT_NEAR(mixed.bands, 1, 1e-12);
}

TEST(Pulsing, SharesAboveTheWholeAreScaledAndDarkFramesBounded) {
    const PulsedLight twice[] = {sine(100), sine(100)};
    const auto both = pulsing(twice, Seconds(1.0 / 48), fps(24), Seconds(0));
    EXPECT_NEAR(both.ripple.value(), 0.0395, 5e-5);
    PulsedLight strobe;
    strobe.waveform = Waveform::Pwm;
    strobe.frequency = Hertz(10);
    strobe.duty = Fraction(0.1);
    EXPECT_EQ(seen(strobe, 1.0 / 48, fps(24)).peakToPeak, kDeepest);
}

// Half-on PWM over 8 1/3 periods: 4 to 4 1/3 of 8 1/3 periods are lit, 0.96 to 1.04 of the mean.
TEST(Pulsing, DimmedLedsGatherWholeAndOddPeriods) {
    PulsedLight led;
    led.waveform = Waveform::Pwm;
    led.frequency = Hertz(400);
    const Swing odd = swing(led, Seconds(1.0 / 48));
    EXPECT_NEAR(odd.low, 0.96, 1e-9);
    EXPECT_NEAR(odd.high, 1.04, 1e-9);
    EXPECT_EQ(swing(led, Seconds(1.0 / 50)).high, 1);
    EXPECT_NEAR(rippleOf(odd).value(), 0.04, 1e-9);
}

// A second implementation: the waveform summed numerically, over random lamps and exposures. The
// worst error met is 5e-8 for the smooth waves and 3e-4 for PWM, whose edges the sum blurs.
TEST(Gathered, AgreesWithBruteForceIntegration) {
    std::mt19937 random(7);
    std::uniform_real_distribution<double> unit(0, 1);
    double worstSmooth = 0, worstPwm = 0;
    for (int n = 0; n < 300; ++n) {
        PulsedLight light;
        light.waveform = static_cast<Waveform>(1 + n % 4);
        light.frequency = Hertz(20 + 500 * unit(random));
        light.depth = Fraction(unit(random));
        light.duty = Fraction(0.05 + 0.9 * unit(random));
        for (int k = 1; k <= 4; ++k)
            light.harmonics.push_back({k * k, Fraction(unit(random) / (2 * k * k))});
        const double start = unit(random), length = 0.0005 + 0.04 * unit(random);
        constexpr int samples = 20000;
        double sum = 0;
        for (int i = 0; i < samples; ++i)
            sum += lightAt(light, Seconds(start + length * (i + 0.5) / samples));
        const double error =
            std::abs(gathered(light, Seconds(start), Seconds(length)) - sum / samples);
        auto& worst = light.waveform == Waveform::Pwm ? worstPwm : worstSmooth;
        worst = std::max(worst, error);
    }
    EXPECT_LT(worstSmooth, 1e-7);
    EXPECT_LT(worstPwm, 5e-4);
}

// The extremes are those of every moment an exposure may start at; summed harmonics bound them.
TEST(Gathered, StaysWithinTheSwingAndReachesIt) {
    std::mt19937 random(11);
    std::uniform_real_distribution<double> unit(0, 1);
    for (int n = 0; n < 120; ++n) {
        PulsedLight light;
        light.waveform = static_cast<Waveform>(1 + n % 4);
        light.frequency = Hertz(30 + 300 * unit(random));
        light.depth = Fraction(unit(random));
        light.duty = Fraction(0.1 + 0.8 * unit(random));
        light.harmonics = {{1, Fraction(0.4)}, {3, Fraction(0.1 * unit(random))}};
        const Seconds length(0.001 + 0.03 * unit(random));
        const Swing bounds = swing(light, length);
        double low = 2, high = 0;
        for (int i = 0; i < 2000; ++i) {
            const double got =
                gathered(light, Seconds(i / 2000.0 / light.frequency.value()), length);
            low = std::min(low, got);
            high = std::max(high, got);
        }
        EXPECT_GE(low, bounds.low - 1e-9) << n;
        EXPECT_LE(high, bounds.high + 1e-9) << n;
        if (light.waveform != Waveform::Harmonics) {
            EXPECT_NEAR(low, bounds.low, 2e-3) << n;
            EXPECT_NEAR(high, bounds.high, 2e-3) << n;
        }
    }
}

// Half tubes that keep step with 24 under 60 Hz, half LED at 400 Hz that does not: what the tubes
// hide, the LED does. Worked by hand: 400 Hz over 160/360/24 s are 7.407 periods, lit for 0 to
// 0.407 of the rest, so the LED swings 0.945 to 1.055; the tubes' ripple is 0.6 |sin(2.222
// pi)/(2.222 pi)|.
TEST(Pulsing, LampsThatKeepStepHideNoneThatDoNot) {
    PulsedLight tubes = sine(120, 0.6), led;
    tubes.fromMains = true;
    tubes.share = led.share = Fraction(0.5);
    led.waveform = Waveform::Pwm;
    led.frequency = Hertz(400);
    const PulsedLight lamps[] = {tubes, led};
    const auto seen = pulsing(lamps, Seconds(160.0 / 360 / 24), fps(24), Seconds(0));
    const double ripple = 0.6 * std::sin(0.2222222 * M_PI) / (2.2222222 * M_PI);
    const double dimmest = 1 - 0.5 * ripple;
    EXPECT_NEAR(seen.moving.value(), std::log2((dimmest + 0.0275) / (dimmest - 0.0275)), 1e-4);
    EXPECT_TRUE(isMoving(seen));
    EXPECT_EQ(seen.strongest, 1u) << "the one that moves";
    EXPECT_NEAR(seen.alias.value(), 8, 1e-9);
    EXPECT_GT(seen.peakToPeak, seen.moving) << "bands of the tubes besides";
    // The tubes alone stand still: bands, and no flicker.
    const auto alone = pulsing(std::span(lamps, 1), Seconds(160.0 / 360 / 24), fps(24), Seconds(0));
    EXPECT_FALSE(isMoving(alone));
    EXPECT_FALSE(isStill(alone));
    EXPECT_EQ(alone.alias, Hertz(0));
}

TEST(Pulsing, AMeasuredLampKeepsStepByTheOrdersItHas) {
    PulsedLight lamp;
    lamp.waveform = Waveform::Harmonics;
    lamp.frequency = Hertz(50);
    lamp.harmonics = {{1, Fraction(0)}, {2, Fraction(0.4)}}; // 100 Hz alone
    EXPECT_TRUE(keepsStep(lamp, fps(25)));
    EXPECT_TRUE(keepsStep(lamp, fps(100))) << "though 50 Hz would not";
    lamp.harmonics[0].depth = Fraction(0.1);
    EXPECT_FALSE(keepsStep(lamp, fps(100)));
}

} // namespace
} // namespace bslate
