// A camera of the kit that is refined by clips, lines, marks and answers, and what of it stays.
#include "core/clip/own_camera.h"
#include "core/clip/sample_clip.h"

#include "core/kit/check.h"
#include "core/kit/kit_parts.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

FrameRate wholeRate(std::int64_t rate) {
    return FrameRate{Rational(rate, 1)};
}

Kit heronKit() {
    Kit kit = plainKit();
    OwnCamera own;
    own.table = "UHD 25p 50p 100 Mbps 10 bit 4:2:2 Long GOP\nFHD 100p 60 Mbps 8 bit 4:2:0 IPB\n";
    auto heron = *cameraOf(own, kit, "Heron 4");
    heron.modes[0].profiles = {"hlg"};
    heron.modes[0].proxy = true;
    kit.cameras = {heron};
    return kit;
}

TEST(OwnCamera, RefinedItKeepsWhatTheLatticeDoesNotShow) {
    const auto kit = heronKit();
    OwnCamera own;
    own.start = kit.cameras[0];
    EXPECT_EQ(*cameraOf(own, kit, "Heron 4"), kit.cameras[0]) << "nothing was told of it";
    own.clips = {sample::clip("a.mov", wholeRate(25), 140e6, 140e6),
                 sample::clip("a.mov", wholeRate(24), 99e6, 99e6)};
    const auto lattice = latticeOf(own);
    ASSERT_EQ(lattice.modes.size(), 2u);
    EXPECT_TRUE(lattice.grounds[0][1].camera && lattice.grounds[0][1].clips == 1);
    EXPECT_FALSE(lattice.grounds[0][0].camera) << "24 is new";
    const auto after = cameraOf(own, kit, "Heron 4b");
    ASSERT_TRUE(after);
    EXPECT_EQ(after->id, kit.cameras[0].id);
    EXPECT_EQ(after->name, "Heron 4b");
    EXPECT_EQ(after->modes[0].id, kit.cameras[0].modes[0].id);
    EXPECT_EQ(after->modes[0].profiles, std::vector<std::string>{"hlg"});
    EXPECT_TRUE(after->modes[0].proxy);
    EXPECT_EQ(after->modes[0].rates, (std::vector<RateOption>{{wholeRate(24), DataRate(99e6)},
                                                              {wholeRate(25), DataRate(140e6)},
                                                              {wholeRate(50), DataRate(100e6)}}))
        << "a clip that writes more counts, one that writes less does not lower the promise";
    EXPECT_EQ(after->modes[1], kit.cameras[0].modes[1]);
}

TEST(OwnCamera, WhatIsPrintedCountsOverWhatWasEntered) {
    const auto kit = heronKit();
    OwnCamera own;
    own.start = kit.cameras[0];
    own.table = "UHD 25p 150 Mbps 10 bit 4:2:2 Long GOP\n";
    const auto after = cameraOf(own, kit, "Heron 4");
    ASSERT_TRUE(after);
    EXPECT_EQ(after->modes.size(), 2u);
    EXPECT_EQ(after->modes[0].rates[0].bitRate, DataRate(150e6));
}

TEST(OwnCamera, MarksSplitARowAndTheKitStaysWhole) {
    auto kit = heronKit();
    OwnCamera own;
    own.start = kit.cameras[0];
    const auto row = latticeOf(own).modes[0].line;
    own.edits = {MarkedCell{row, wholeRate(50), {Magnification(1.5), false, true, Seconds(600)}}};
    const auto after = cameraOf(own, kit, "Heron 4");
    ASSERT_TRUE(after);
    ASSERT_EQ(after->modes.size(), 3u);
    const auto& split = after->modes[1];
    EXPECT_EQ(split.rates.size(), 1u);
    EXPECT_FALSE(split.sound);
    EXPECT_EQ(split.clipLimit, Seconds(600));
    EXPECT_NE(split.id, after->modes[0].id);
    EXPECT_NEAR(findArea(*after, split.area)->width.value() * 1.5, after->areas[0].width.value(),
                1e-9);
    EXPECT_EQ(after->modes[0].rates.size(), 1u);
    kit.cameras = {*after};
    EXPECT_TRUE(checkKit(kit));
    // A cell that is not there is not marked.
    own.edits = {MarkedCell{row, wholeRate(24), {Magnification(2), true, true, {}}}};
    EXPECT_EQ(latticeOf(own).modes.size(), 2u);
}

TEST(OwnCamera, AKindGivesWayToWhatIsTold) {
    OwnCamera own;
    own.kind = BodyKind::Hybrid;
    const auto usual = latticeOf(own);
    ASSERT_GE(usual.modes.size(), 3u);
    EXPECT_TRUE(usual.grounds[0][0].kind);
    own.table = "UHD 25p 100 Mbps 10 bit 4:2:2 Long GOP\n";
    EXPECT_EQ(latticeOf(own).modes.size(), 1u) << "its own modes, no others";
    own.answers = {{CameraFact::Draw, "6.5 W"}};
    const auto camera = cameraOf(own, plainKit(), "Wren 2");
    ASSERT_TRUE(camera);
    EXPECT_EQ(camera->draw, Watts(6.5));
    EXPECT_EQ(camera->id, "wren-2");
    EXPECT_EQ(std::count(camera->guessed.begin(), camera->guessed.end(), CameraFact::Draw), 0);
    own.answers = {{CameraFact::Draw, "much"}};
    EXPECT_EQ(cameraOf(own, plainKit(), "Wren 2").error().place, "draw");
    EXPECT_FALSE(cameraOf({}, plainKit(), "Nobody")) << "a camera without a mode is none";
}

} // namespace
} // namespace bslate
