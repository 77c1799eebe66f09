// Rates from times alone, and what the heaviest second weighs.
#include "core/clip/clip_timing.h"

#include <gtest/gtest.h>

#include <cmath>
#include <vector>

namespace bslate {
namespace {

std::vector<ClipSample> atRate(double perSecond, double ticksPerSecond, int frames) {
    std::vector<ClipSample> samples;
    for (int i = 0; i < frames; ++i)
        samples.push_back({std::llround(i * ticksPerSecond / perSecond) + 777, 1000, true});
    return samples;
}

struct RateCase {
    Rational rate;
    std::int64_t ticks;
    std::optional<FrameRate> told;
    friend void PrintTo(const RateCase& one, std::ostream* out) {
        *out << one.rate.numerator() << "/" << one.rate.denominator() << " in " << one.ticks;
    }
};
class ClipRates : public ::testing::TestWithParam<RateCase> {};

// Ticks of containers: milliseconds, MPEG's 90 kHz, and multiples of the rate.
TEST_P(ClipRates, AreExactBehindTheRoundingOfTicks) {
    const auto& [rate, ticks, told] = GetParam();
    auto samples = atRate(rate.toDouble(), static_cast<double>(ticks), 300);
    std::swap(samples[3], samples[5]); // the order of decoding is another one
    const auto timing = timingOf(samples, Rational(1, ticks), told);
    ASSERT_TRUE(timing);
    EXPECT_EQ(timing->rate.perSecond, rate);
    EXPECT_FALSE(timing->variable);
    EXPECT_EQ(timing->gaps, 0);
    EXPECT_TRUE(timing->everyKey);
    EXPECT_NEAR(timing->duration.value(), 300 / rate.toDouble(), 1.5 / static_cast<double>(ticks));
}
INSTANTIATE_TEST_SUITE_P(
    Clips, ClipRates,
    ::testing::Values(RateCase{Rational(24000, 1001), 1000, std::nullopt},
                      RateCase{Rational(24, 1), 1000, std::nullopt},
                      RateCase{Rational(24000, 1001), 90'000, FrameRate{Rational(24, 1)}},
                      RateCase{Rational(60000, 1001), 90'000, std::nullopt},
                      RateCase{Rational(48, 1), 12'288, std::nullopt},
                      RateCase{Rational(25, 2), 1000, std::nullopt},
                      RateCase{Rational(37, 1), 1000, FrameRate{Rational(37, 1)}}));

TEST(ClipTiming, GapsDoubledFramesAndKeysAreCounted) {
    auto samples = atRate(30, 15'360, 90);
    samples.erase(samples.begin() + 40);
    samples.erase(samples.begin() + 60, samples.begin() + 63);
    samples[10].time = samples[9].time;
    samples[20].key = false;
    const auto timing = timingOf(samples, Rational(1, 15'360), FrameRate{Rational(28, 1)});
    ASSERT_TRUE(timing);
    EXPECT_TRUE(timing->variable);
    EXPECT_EQ(timing->rate.perSecond, Rational(30, 1)) << "most frames keep it";
    EXPECT_EQ(timing->gaps, 3) << "two cuts, and where the doubled frame should have been";
    EXPECT_EQ(timing->doubled, 1);
    EXPECT_FALSE(timing->everyKey);
}

TEST(ClipTiming, APaceThatHoldsIsNoGap) {
    // 25 frames a second, then 50, then 25 again, with one frame missing in the middle of each.
    std::vector<ClipSample> samples;
    std::int64_t time = 0;
    for (const int interval : {40, 20, 40})
        for (int i = 0; i < 50; ++i) {
            samples.push_back({time, 1, true});
            time += i == 25 ? 2 * interval : interval;
        }
    const auto timing = timingOf(samples, Rational(1, 1000), std::nullopt);
    ASSERT_TRUE(timing);
    EXPECT_TRUE(timing->variable);
    ASSERT_TRUE(timing->varies);
    EXPECT_EQ(timing->varies->slowest.perSecond, Rational(25, 1));
    EXPECT_EQ(timing->varies->fastest.perSecond, Rational(50, 1));
    EXPECT_EQ(timing->gaps, 3);
    // Even and without a gap but one: that is no varying rate.
    auto even = atRate(25, 1000, 60);
    even.erase(even.begin() + 30);
    EXPECT_FALSE(timingOf(even, Rational(1, 1000), std::nullopt)->varies);
    EXPECT_EQ(timingOf(even, Rational(1, 1000), std::nullopt)->gaps, 1);
}

TEST(ClipTiming, OfFramesThatKeepNoRateIsTheMean) {
    std::vector<ClipSample> samples;
    for (int i = 0; i < 11; ++i)
        samples.push_back({i * i, 1, true});
    const auto timing = timingOf(samples, Rational(1, 10), std::nullopt);
    ASSERT_TRUE(timing);
    EXPECT_TRUE(timing->variable);
    EXPECT_EQ(timing->rate.perSecond, Rational(1, 1)) << "ten intervals in ten seconds";
}

TEST(ClipTiming, OneFrameNeedsToBeTold) {
    const ClipSample one[] = {{5, 1000, true}};
    EXPECT_FALSE(timingOf(one, Rational(1, 25), std::nullopt));
    EXPECT_FALSE(timingOf({}, Rational(1, 25), FrameRate{Rational(25, 1)}));
    const auto told = timingOf(one, Rational(1, 25), FrameRate{Rational(25, 1)});
    ASSERT_TRUE(told);
    EXPECT_NEAR(told->duration.value(), 0.04, 1e-12);
}

// By hand: 25 frames of 1000 bytes are 200 kb/s; ten heavy ones add 10 x 9000 x 8 to one second.
TEST(ClipTiming, ThePeakIsOfTheHeaviestSecondWhereverItBegins) {
    auto samples = atRate(25, 25, 100);
    EXPECT_NEAR(peakRate(samples, Rational(1, 25), Seconds(4)).value(), 200'000, 1e-6);
    for (std::size_t i = 45; i < 55; ++i)
        samples[i].bytes = 10'000;
    EXPECT_NEAR(peakRate(samples, Rational(1, 25), Seconds(4)).value(), 920'000, 1e-6);
    EXPECT_NEAR(peakRate(std::span(samples).first(5), Rational(1, 25), Seconds(0.2)).value(),
                200'000, 1e-6);
    EXPECT_EQ(peakRate({}, Rational(1, 25), Seconds(0)), DataRate(0));
}

} // namespace
} // namespace bslate
