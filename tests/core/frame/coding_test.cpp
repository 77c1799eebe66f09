// Luma and colour differences by hand, what an encoder is asked, and what is left of noise.
#include "core/base/random.h"
#include "core/facts/evaluate.h"
#include "core/frame/coding.h"
#include "core/frame/frame_made.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate {
namespace {

CodeFrame frameOf(PictureSize size, BitDepth depth, CodeRange range,
                  const std::array<std::uint16_t, 3>& rgb) {
    CodeFrame frame{depth, range, Planes<std::uint16_t>(size)};
    for (std::size_t c = 0; c < 3; ++c)
        std::fill(frame.codes.plane[c].begin(), frame.codes.plane[c].end(), rgb[c]);
    return frame;
}

// 100/0/100/0 yellow in BT.709 is 92.78 % of luma: 8-bit legal code 16 + 219 * 0.9278 = 219; its Cb
// is (0 - 0.9278) / 1.8556 = -0.5, code 16 (ITU-R BT.709-6 items 3 and 4).
TEST(Ycbcr, YellowByHand) {
    const auto yellow = frameOf({4, 2}, BitDepth{8}, CodeRange::Legal, {235, 235, 16});
    const auto coded = ycbcrOf(yellow, Chroma::C420, {});
    EXPECT_EQ(coded.plane[0][0], 219);
    EXPECT_EQ(coded.plane[1].size(), 2u);
    EXPECT_EQ(coded.plane[1][0], 16);
    EXPECT_EQ(coded.plane[2][0], 138) << "(1 - 0.9278) / 1.5748 = 0.0458 of 224, over 128";
    const auto back = rgbOf(coded, {});
    for (std::size_t c = 0; c < 3; ++c)
        EXPECT_NEAR(back.codes.plane[c][0], yellow.codes.plane[c][0], 1) << c;
}

TEST(Ycbcr, GreysHaveNoColourAndOddSidesAreWhole) {
    for (const auto chroma : {Chroma::C420, Chroma::C422, Chroma::C444}) {
        const auto grey = frameOf({5, 3}, BitDepth{10}, CodeRange::Full, {400, 400, 400});
        const auto coded = ycbcrOf(grey, chroma, {0.2627, 0.6780, 0.0593});
        for (const auto code : coded.plane[1])
            EXPECT_EQ(code, 512);
        EXPECT_EQ(rgbOf(coded, {0.2627, 0.6780, 0.0593}), grey);
    }
    EXPECT_EQ(chromaSize({5, 3}, Chroma::C420), (PictureSize{3, 2}));
    EXPECT_EQ(chromaSize({5, 3}, Chroma::C422), (PictureSize{3, 3}));
}

TEST(CodingTask, IsTheModesShareOfItsPixels) {
    Shoot shoot = sample::shoot();
    const auto context = *resolve(shoot, shoot.setups[0]);
    const auto at = evaluate(context);
    const PictureSize size{context.mode->frame.width / 4, context.mode->frame.height / 4};
    const auto task = codingTask(context, at, size);
    ASSERT_TRUE(task);
    EXPECT_NEAR(task->bitRate.value(), at.recording.bitRate->value() / 16, 1);
    EXPECT_EQ(task->depth, at.depth);
    EXPECT_LT(task->shown, task->frames);
    shoot.kit.cameras[0].codecs[0].gop = Gop::Long;
    EXPECT_EQ(codingTask(*resolve(shoot, shoot.setups[0]), at, size)->frames, 2 * kLongGroup);
    shoot.kit.cameras[0].codecs[0].gop = Gop::Raw;
    EXPECT_FALSE(codingTask(*resolve(shoot, shoot.setups[0]), at, size));
}

TEST(CodingTask, TheShownFrameIsTheDrawnOneAndTheOthersHaveMoved) {
    Shoot shoot = sample::shoot();
    shoot.setups[0].support = Support::Hand;
    const auto context = *resolve(shoot, shoot.setups[0]);
    const auto at = evaluate(context);
    FrameWish wish;
    wish.size = {160, 90};
    const auto task = *codingTask(context, at, wish.size);
    const auto surfaces = surfacesOf(context);
    const auto drawn = makeFrame(context, at, wish);
    EXPECT_EQ(recordedAt(context, at, task, surfaces, wish.camera, task.shown).frame,
              drawn.recorded.frame);
    CameraPathWish quiet;
    quiet.noise = false;
    const auto early = recordedAt(context, at, task, surfaces, quiet, 0).frame;
    EXPECT_NE(early, recordedAt(context, at, task, surfaces, quiet, task.shown).frame);
}

TEST(CodedRate, CountsWholeGroups) {
    CodingTask task;
    task.rate = FrameRate{Rational(24, 1)};
    task.gop = Gop::Long;
    Coded coded;
    coded.sizes.assign(2 * kLongGroup, DataSize(1000));
    coded.sizes[0] = DataSize(900'000); // the first group is still settling
    EXPECT_NEAR(codedRate(task, coded).value(), 1000 * 8 * 24, 1e-6);
    task.gop = Gop::Intra;
    coded.sizes = {DataSize(1000), DataSize(3000)};
    EXPECT_NEAR(codedRate(task, coded).value(), 2000 * 8 * 24, 1e-6);
}

TEST(NoiseKept, IsTheShareOfItThatStands) {
    constexpr PictureSize kSize{100, 60};
    const auto clean = frameOf(kSize, BitDepth{10}, CodeRange::Full, {500, 500, 500});
    auto before = clean, half = clean;
    Random random(7);
    for (std::size_t i = 0; i < kSize.pixels(); ++i) {
        const int noise = 2 * (static_cast<int>(random.next() % 41) - 20);
        for (std::size_t c = 0; c < 3; ++c) {
            before.codes.plane[c][i] = static_cast<std::uint16_t>(500 + noise);
            half.codes.plane[c][i] = static_cast<std::uint16_t>(500 + noise / 2);
        }
    }
    EXPECT_NEAR(noiseKept(clean, before, before, {})->value(), 1, 1e-9);
    EXPECT_NEAR(noiseKept(clean, before, half, {})->value(), 0.5, 1e-9);
    EXPECT_NEAR(noiseKept(clean, before, clean, {})->value(), 0, 1e-9);
    EXPECT_FALSE(noiseKept(clean, clean, clean, {}));
}

} // namespace
} // namespace bslate
