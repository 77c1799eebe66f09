// Clips made of a setup's scene, read back and against what they were made of.
#include "core/cadence/pulse.h"
#include "core/clip/clip_check.h"
#include "core/facts/evaluate.h"
#include "core/shoot/lamps.h"
#include "io/clips/clip_file.h"
#include "io/codec/clip_make.h"
#include "support/sample_shoot.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate::io {
namespace {

class MadeClips : public ::testing::Test {
public:
    MadeClips() {
        shoot.setups[0].rate = FrameRate{Rational(24, 1)};
        wish.size = {320, 180};
        wish.length = Seconds(0.5);
    }
    Result<std::string> made() {
        const auto context = resolve(shoot, shoot.setups[0]);
        return makeClip(*context, evaluate(*context), wish);
    }
    Result<ClipFacts> readBack(ClipDepth depth = ClipDepth::Facts) {
        const auto file = made();
        if (!file)
            return file.error();
        sample::spit(folder / "2A.mov", *file);
        return readClip(folder / "2A.mov", depth);
    }
    Shoot shoot = sample::shoot();
    MadeClipWish wish;
    sample::TemporaryFolder folder;
};

TEST_F(MadeClips, AreWhatTheirSetupRecords) {
    wish.tone = Decibels(-20);
    wish.timecode = {10, 20, 30, 12, false};
    const auto clip = readBack(ClipDepth::Listen);
    ASSERT_TRUE(clip) << message(clip.error());
    ASSERT_TRUE(clip->picture);
    EXPECT_EQ(clip->picture->size, (FrameSize{320, 180}));
    EXPECT_EQ(clip->picture->rate, shoot.setups[0].rate);
    EXPECT_EQ(clip->picture->frames, 12);
    EXPECT_EQ(clip->picture->gop, Gop::Intra);
    EXPECT_EQ(clip->picture->depth, BitDepth{10});
    EXPECT_EQ(clip->picture->chroma, Chroma::C422);
    EXPECT_EQ(clip->picture->range, CodeRange::Full);
    EXPECT_EQ(clip->timecode, wish.timecode);
    ASSERT_EQ(clip->sound.size(), 1u);
    EXPECT_NEAR(clip->sound[0].level->peak.value(), -20, 0.02);
    // The mode's 240 Mb/s by share of its pixels; encoders miss it on short clips.
    const double planned = 240e6 * 320 * 180 / (3840.0 * 2160);
    EXPECT_GT(clip->average.value(), 0.4 * planned);
    EXPECT_LT(clip->average.value(), 2.0 * planned);
}

TEST_F(MadeClips, AWrongRateIsCaught) {
    wish.rate = FrameRate{Rational(25, 1)};
    const auto clip = readBack();
    ASSERT_TRUE(clip) << message(clip.error());
    const auto context = resolve(shoot, shoot.setups[0]);
    EXPECT_EQ(checkClip(*context, *clip)[0].id, FindingId::ClipRate);
}

TEST_F(MadeClips, TooManyFramesAndRawAreRefused) {
    wish.length = Seconds(60);
    EXPECT_FALSE(made());
    wish.length = Seconds(0.001);
    EXPECT_FALSE(made());
    wish.length = Seconds(0.5);
    wish.size = {8000, 100};
    EXPECT_FALSE(made());
    wish.size = {320, 180};
    shoot.kit.cameras[0].codecs[0].gop = Gop::Raw;
    EXPECT_FALSE(made());
}

// 24 frames, 1/48, a lamp of 100 Hz and depth 1: sin(pi f t)/(pi f t) swings by 0.114 stop peak to
// peak, four times a second (worked by hand); rows run through 1.2 periods in 12 ms.
TEST_F(MadeClips, LampsPulseAsTheirWaveHasIt) {
    shoot.scenes[0].lamps = {*parseLampLine("measured 100Hz h1:100% share100%")};
    shoot.setups[0].shutter = ShutterAngle(180);
    const auto context = resolve(shoot, shoot.setups[0]);
    wish.length = Seconds(1);
    const auto task = madeClipTask(*context, evaluate(*context), wish);
    ASSERT_TRUE(task);
    double low = 9, high = 0;
    int turns = 0;
    for (int frame = 0; frame < 24; ++frame) {
        const double now = lightOnRow(*context, wish, *task, frame, 0).value();
        const double before = lightOnRow(*context, wish, *task, frame - 1, 0).value();
        turns += (now - 1) * (before - 1) < 0;
        low = std::min(low, now);
        high = std::max(high, now);
    }
    EXPECT_LE(std::log2(high / low), 0.1145);
    EXPECT_GE(std::log2(high / low), 0.114 * 0.86)
        << "six frames a period miss its ends by 30 degrees";
    EXPECT_NEAR(turns, 8, 1) << "four periods cross the mean eight times";
    wish.steps = {Stops(-2), Stops(1)};
    const double first = lightOnRow(*context, wish, *task, 0, 0).value();
    wish.pulsing = false;
    EXPECT_NEAR(lightOnRow(*context, wish, *task, 0, 90).value(), 0.25, 1e-12);
    EXPECT_NEAR(lightOnRow(*context, wish, *task, 23, 0).value(), 2, 1e-12);
    EXPECT_NE(first, 0.25);
}

} // namespace
} // namespace bslate::io
