#include "core/cadence/safe_rate.h"

#include "core/cadence/rates.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate {
namespace {

FrameRate framesASecond(int rate) {
    return {Rational(rate, 1)};
}

PulsedLight lamp(double hertz, Waveform waveform = Waveform::Sinusoid) {
    PulsedLight light;
    light.frequency = Hertz(hertz);
    light.waveform = waveform;
    return light;
}

std::vector<double> bests(const PulsedLight& light, FrameRate rate) {
    std::vector<double> angles;
    for (const auto& range : safeShutters(std::span(&light, 1), rate))
        angles.push_back(std::round(range.best.value() * 1e6) / 1e6);
    return angles;
}

// Whole numbers of pulses: t = k / f, angle = 360 t rate.
TEST(SafeShutters, AreWholeNumbersOfPulses) {
    EXPECT_EQ(bests(lamp(100), framesASecond(24)),
              (std::vector<double>{86.4, 172.8, 259.2, 345.6}));
    EXPECT_EQ(bests(lamp(120), framesASecond(24)), (std::vector<double>{72, 144, 216, 288, 360}));
    EXPECT_EQ(bests(lamp(100), framesASecond(25)), (std::vector<double>{90, 180, 270, 360}))
        << "any quarter at 25 under 50 Hz: common practice, no source";
    EXPECT_TRUE(bests(lamp(100), framesASecond(120)).empty()) << "a pulse is longer than the frame";
    EXPECT_EQ(bests(lamp(400, Waveform::Pwm), framesASecond(24)).size(), 16u);
    EXPECT_EQ(bests(lamp(100, Waveform::Rectified), framesASecond(24)),
              (std::vector<double>{86.4, 172.8, 259.2, 345.6}));
}

TEST(SafeShutters, HaveARoomAroundThemThatTheLimitSets) {
    const PulsedLight tubes = lamp(100);
    const auto safe = safeShutters(std::span(&tubes, 1), framesASecond(24));
    ASSERT_EQ(safe.size(), 4u);
    for (const auto& range : safe) {
        const auto at = [&](double angle) {
            return peakToPeak(swing(tubes, exposureTime(ShutterAngle(angle), framesASecond(24))));
        };
        EXPECT_LE(at(range.from.value()), kVisible);
        EXPECT_LE(at(range.to.value()), kVisible);
        EXPECT_GT(at(range.from.value() - 0.2), kVisible);
        EXPECT_EQ(range.peakToPeak, Stops(0));
    }
    EXPECT_LT(safeShutters(std::span(&tubes, 1), framesASecond(24), Stops(0.3))[1].from,
              safe[1].from);
}

TEST(SafeShutters, AKiloHertzLampIsSafeFromSomewhereOn) {
    const PulsedLight led = lamp(20000, Waveform::Pwm);
    const auto safe = safeShutters(std::span(&led, 1), framesASecond(24));
    ASSERT_FALSE(safe.empty());
    EXPECT_EQ(safe.back().to, ShutterAngle(360));
    EXPECT_LT(safe.back().from.value(), 40);
    PulsedLight steady;
    steady.waveform = Waveform::Steady;
    const auto all = safeShutters(std::span(&steady, 1), framesASecond(24));
    ASSERT_EQ(all.size(), 1u);
    EXPECT_EQ(all[0].to, ShutterAngle(360));
}

// 50 and 60 Hz lamps together: 1/20 s would span both, longer than a frame at 24.
TEST(SafeShutters, TwoMainsAtOnceLeaveNone) {
    PulsedLight fifty = lamp(100), sixty = lamp(120);
    fifty.share = sixty.share = Fraction(0.5);
    const PulsedLight both[] = {fifty, sixty};
    EXPECT_TRUE(safeShutters(both, framesASecond(24), Stops(0.01)).empty());
    const auto slow = safeShutters(both, framesASecond(15), Stops(0.01));
    ASSERT_EQ(slow.size(), 1u);
    EXPECT_NEAR(slow[0].best.value(), 270, 1e-6) << "1/20 s at 15";
}

// The search by recurrences against the swing computed angle by angle.
TEST(PulsingByAngle, AgreesWithEveryAngleOnItsOwn) {
    std::vector<PulsedLight> lights = {lamp(100), lamp(123.4, Waveform::Harmonics),
                                       lamp(400, Waveform::Pwm), lamp(120, Waveform::Rectified)};
    for (int order = 1; order <= 32; ++order)
        lights[1].harmonics.push_back({order, Fraction(0.5 / order)});
    for (auto& light : lights)
        light.share = Fraction(0.25);
    const auto seen = pulsingByAngle(lights, framesASecond(24));
    ASSERT_EQ(seen.size(), 3600u);
    double worst = 0;
    for (std::size_t i = 0; i < seen.size(); ++i) {
        const ShutterAngle angle(0.1 * static_cast<double>(i + 1));
        const auto alone = peakToPeak(swing(lights, exposureTime(angle, framesASecond(24))));
        worst = std::max(worst, std::abs((seen[i] - alone).value()));
    }
    EXPECT_LT(worst, 1e-9);
}

TEST(NearestSafe, IsOnTheDialOrNothing) {
    const PulsedLight tubes = lamp(100);
    const auto safe = safeShutters(std::span(&tubes, 1), framesASecond(24));
    const auto thirds = thirdStopTimes();
    const ShutterDial times{0, {thirds.begin(), thirds.end()}};
    const ShutterDial angles{0.1, {}};
    const Shutter half = ShutterAngle(180);
    EXPECT_EQ(nearestSafe(times, safe, half, framesASecond(24)), Shutter(Seconds(1.0 / 50)));
    EXPECT_EQ(nearestSafe(angles, safe, half, framesASecond(24)), Shutter(ShutterAngle(172.8)));
    EXPECT_EQ(nearestSafe(angles, safe, ShutterAngle(80), framesASecond(24)),
              Shutter(ShutterAngle(86.4)));
    EXPECT_FALSE(nearestSafe({0, {Seconds(1.0 / 125)}}, safe, half, framesASecond(24)).has_value());
    EXPECT_FALSE(nearestSafe({45, {}}, {}, half, framesASecond(24)).has_value());
}

TEST(NearestSafeRates, AreOfferedFirstAndElseTheLampsOwn) {
    const PulsedLight tubes = lamp(100);
    const auto of = [&](std::initializer_list<FrameRate> offered) {
        std::vector<FrameRate> rates;
        for (const auto& safe : nearestSafeRates(std::span(&tubes, 1), framesASecond(120),
                                                 std::span(offered.begin(), offered.size())))
            rates.push_back(safe.rate);
        return rates;
    };
    EXPECT_EQ(of({framesASecond(24), framesASecond(100), framesASecond(120)}),
              (std::vector{framesASecond(100), framesASecond(24)}));
    EXPECT_EQ(of({framesASecond(120)}), (std::vector{framesASecond(100)}))
        << "100 Hz itself, when nothing offered is";
    const auto standard =
        nearestSafeRates(std::span(&tubes, 1), framesASecond(120), standardRates());
    EXPECT_EQ(standard.front(), (SafeRate{framesASecond(100), true, std::nullopt, false}));
}

// 85.3 degrees at 24 under 50 Hz are 0.030 stop with the mains as they should be and 0.039 with
// them 0.4 % off: what is called safe stays so.
TEST(SafeShutters, HoldWithTheMainsOff) {
    PulsedLight tubes = lamp(100);
    tubes.fromMains = true;
    for (const auto& range : safeShutters(std::span(&tubes, 1), framesASecond(24)))
        for (const auto angle : {range.from, range.best, range.to}) {
            const auto seen = pulsing(std::span(&tubes, 1), exposureTime(angle, framesASecond(24)),
                                      framesASecond(24), Seconds(0));
            EXPECT_LE(seen.worstOnMains.value(), kVisible.value() + 1e-6) << angle.value();
        }
    const auto first = safeShutters(std::span(&tubes, 1), framesASecond(24)).front();
    EXPECT_GT(first.from.value(), 85.3);
    EXPECT_NEAR(first.best.value(), 86.4, 1e-9) << "whole periods, as every handbook has them";
}

// 100 and 120 Hz together: at 25 the first keep step and the second do not, so 180 degrees (1/50)
// pulse and only a whole number of 120ths is still; at 24 it is the other way round, and 1/50 is.
TEST(NearestSafeRates, SayWithWhichShutter) {
    const PulsedLight both[] = {lamp(100), lamp(120)};
    const FrameRate offered[] = {framesASecond(24), framesASecond(25)};
    const auto rates = nearestSafeRates(both, framesASecond(25), offered);
    ASSERT_EQ(rates.size(), 2u);
    EXPECT_EQ(rates[0].rate, framesASecond(25));
    ASSERT_TRUE(rates[0].shutter);
    EXPECT_NEAR(rates[0].shutter->value(), 150, 0.3) << "1/60: two pulses of 120 Hz";
    EXPECT_TRUE(rates[0].bandsStand);
    EXPECT_EQ(rates[1].rate, framesASecond(24));
    ASSERT_TRUE(rates[1].shutter);
    EXPECT_NEAR(rates[1].shutter->value(), 172.8, 0.3);
}

} // namespace
} // namespace bslate
