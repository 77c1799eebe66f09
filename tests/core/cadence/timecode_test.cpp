// Counts of SMPTE ST 12-1 drop-frame timecode (values from memory, confirmed by counting: 2 names
// left out in 54 of 60 minutes are 108 an hour, 108 000 - 108 = 107 892).
#include "core/cadence/motion.h"
#include "core/cadence/rates.h"
#include "core/cadence/timecode.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

const FrameRate kNtsc{Rational(30000, 1001)};
const FrameRate kDouble{Rational(60000, 1001)};
const FrameRate kFilm{Rational(24, 1)};

TEST(Timecode, PublishedDropFrameCounts) {
    EXPECT_EQ(*frameAt({1, 0, 0, 0, true}, kNtsc), 107892);
    EXPECT_EQ(*frameAt({0, 10, 0, 0, true}, kNtsc), 17982);
    EXPECT_EQ(*frameAt({24, 0, 0, 0, true}, kNtsc), 2589408);
    EXPECT_EQ(*frameAt({1, 0, 0, 0, true}, kDouble), 215784);
    EXPECT_EQ(print(timecodeAt(1799, kNtsc, true)), "00:00:59;29");
    EXPECT_EQ(print(timecodeAt(1800, kNtsc, true)), "00:01:00;02");
    EXPECT_EQ(print(timecodeAt(17982, kNtsc, true)), "00:10:00;00");
    EXPECT_EQ(print(timecodeAt(86400, kFilm, true)), "01:00:00:00") << "24 never drops";
}

TEST(Timecode, EveryFrameHasOneNameAndBack) {
    for (const FrameRate rate : {kNtsc, kDouble, kFilm, FrameRate{Rational(24000, 1001)}})
        for (const bool drop : {false, true})
            for (std::int64_t frame = 0; frame < 220000; frame += frame < 40000 ? 1 : 97)
                ASSERT_EQ(*frameAt(timecodeAt(frame, rate, drop), rate), frame) << frame;
}

TEST(Timecode, NamesThatAreLeftOutAreRefused) {
    EXPECT_FALSE(frameAt({0, 1, 0, 1, true}, kNtsc).ok());
    EXPECT_TRUE(frameAt({0, 10, 0, 1, true}, kNtsc).ok());
    EXPECT_FALSE(frameAt({0, 60, 0, 0, false}, kFilm).ok());
    EXPECT_FALSE(frameAt({0, 0, 0, 24, false}, kFilm).ok());
    EXPECT_FALSE(frameAt({0, 0, -1, 0, false}, kFilm).ok());
}

TEST(Rates, SpeedsAndDrift) {
    EXPECT_DOUBLE_EQ(playbackSpeed({Rational(60, 1)}, kFilm).value(), 0.4)
        << "40 %: common practice";
    EXPECT_DOUBLE_EQ(playbackSpeed({Rational(100, 1)}, {Rational(25, 1)}).value(), 0.25);
    EXPECT_NEAR(onScreen(Seconds(2), {Rational(100, 1)}, kFilm).value(), 8.3333, 1e-4);
    EXPECT_EQ(framesIn(Seconds(2), {Rational(100, 1)}), 200);
    EXPECT_TRUE(isNearMiss(kFilm, {Rational(24000, 1001)}));
    EXPECT_FALSE(isNearMiss(kFilm, {Rational(25, 1)}));
    EXPECT_FALSE(isNearMiss(kFilm, kFilm));
    EXPECT_NEAR(driftAnHour({Rational(24000, 1001)}, kFilm).value(), 3.6, 1e-9);
    EXPECT_EQ(standardRates().size(), 11u);
}

// By hand: 0.5 frame widths in 1/50 s; an edge that moves 0.006 widths of 16:9 leans 0.61 degrees.
TEST(Motion, BlurSkewAndPans) {
    EXPECT_DOUBLE_EQ(blurWidth(WidthsPerSecond(0.5), Seconds(0.02)).value(), 0.01);
    EXPECT_NEAR(rollingSkew(WidthsPerSecond(0.5), Seconds(0.012), {3840, 2160}).value(), 0.611,
                1e-3);
    EXPECT_NEAR(shortestCrossing(kFilm, ShutterAngle(180)).value(), 7, 1e-12)
        << "7 s at 24 and half the frame: common practice, no source";
    EXPECT_NEAR(shortestCrossing({Rational(48, 1)}, ShutterAngle(180)).value(), 3.5, 1e-12);
    EXPECT_NEAR(shortestCrossing(kFilm, ShutterAngle(90)).value(), 10.5, 1e-12);
    EXPECT_NEAR(shortestCrossing(kFilm, ShutterAngle(360)).value(), 1.75, 1e-12);
    EXPECT_NEAR(fastestPan(kFilm, ShutterAngle(180), Degrees(54)).value(), 54.0 / 7, 1e-12);
}

} // namespace
} // namespace bslate
