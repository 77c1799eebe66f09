// Recording modes out of clips' facts, and a table joined to them.
#include "core/advice/starting.h"
#include "core/clip/own_camera.h"
#include "core/clip/sample_clip.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

FrameRate fps(std::int64_t frames, std::int64_t seconds = 1) {
    return FrameRate{Rational(frames, seconds)};
}

using sample::clip;

TEST(ClipModes, AreOneForEachFormatWithItsRates) {
    std::vector<ClipFacts> clips = {
        clip("a", fps(50), 151.23e6, 180e6), clip("b", fps(24000, 1001), 96e6, 144e6),
        clip("c", fps(24000, 1001), 99.96e6, 120e6), clip("d", fps(25), 100e6, 100e6)};
    clips[1].sound = {{2, 48000, "pcm", std::nullopt}};
    clips[3].picture->depth = BitDepth{8};
    const auto modes = modesFromClips(clips);
    ASSERT_EQ(modes.size(), 2u);
    EXPECT_EQ(modes[0].files, (std::vector<std::string>{"a", "b", "c"}));
    EXPECT_EQ(modes[0].line.rates, (std::vector<RateOption>{{fps(24000, 1001), DataRate(100e6)},
                                                            {fps(50), DataRate(151.3e6)}}));
    EXPECT_NEAR(modes[0].peakFactor, 1.5, 1e-9);
    EXPECT_TRUE(modes[0].line.sound);
    EXPECT_FALSE(modes[1].line.sound);
    EXPECT_EQ(modes[1].line.depth.bits, 8);
}

// One body, one size, one rate: what parts them is what they are coded by.
TEST(ClipModes, OfThreeCodecsAreThreeModes) {
    std::vector<ClipFacts> clips = {clip("a", fps(25), 100e6, 120e6),
                                    clip("b", fps(25), 150e6, 160e6),
                                    clip("c", fps(25), 240e6, 250e6)};
    clips[0].picture->standard = "h264";
    clips[1].picture->standard = "hevc";
    clips[2].picture->standard = "mezzanine";
    clips[2].picture->gop = Gop::Intra;
    const auto modes = modesFromClips(clips);
    ASSERT_EQ(modes.size(), 3u);
    EXPECT_EQ(modes[0].line.rates[0].bitRate, DataRate(100e6));
    EXPECT_EQ(modes[1].line.standard, CodecStandard::H265);
    // A table tells the same three, and a fourth that no clip shows.
    const auto lines = modesIn(readModeTable("UHD 25p 10 bit 4:2:2 Long GOP H.264 90 Mbps\n"
                                             "UHD 25p 10 bit 4:2:2 Long GOP HEVC 140 Mbps\n"
                                             "UHD 25p 10 bit 4:2:2 All-I mezzanine 230 Mbps\n"
                                             "UHD 25p 10 bit 4:2:2 All-I H.264 400 Mbps\n"));
    ASSERT_EQ(lines.size(), 4u);
    const auto all = joined(modes, lines);
    ASSERT_EQ(all.size(), 4u);
    const auto camera = withModes(startingCamera({}), all);
    EXPECT_EQ(camera.codecs.size(), 4u);
    EXPECT_EQ(lineOf(camera, camera.modes[1]), "3840x2160 H.265 long 10-bit 4:2:2 25@150 mute");
    for (const auto& mode : camera.modes)
        EXPECT_EQ(*parseModeLine(lineOf(camera, mode)), modeLineOf(camera, mode));
    // A camera whose kit does not tell is told by the first clip, and not by the second.
    const std::vector<SeenMode> untold = {
        {*parseModeLine("UHD long 10-bit 4:2:2 25@95"), 1, {}, std::nullopt, "own"}};
    const auto seen = withSeen(untold, modes);
    ASSERT_EQ(seen.size(), 3u);
    EXPECT_EQ(seen[0].modeId, "own");
    EXPECT_EQ(seen[0].line.standard, CodecStandard::H264);
    EXPECT_EQ(seen[0].line.rates[0].bitRate, DataRate(100e6));
}

TEST(ClipModes, AreNotMadeOfWhatIsUnfit) {
    const auto fit = clip("a", fps(25), 1e8, 1e8);
    EXPECT_FALSE(unfitForModes(fit));
    auto one = fit;
    one.picture->variable = true;
    EXPECT_EQ(unfitForModes(one), ClipUnfit::VariableRate);
    one = fit;
    one.picture->depth.reset();
    EXPECT_EQ(unfitForModes(one), ClipUnfit::UnknownDepth);
    one.picture->readable = false;
    EXPECT_EQ(unfitForModes(one), ClipUnfit::Unreadable);
    one = fit;
    one.cutOff = true;
    EXPECT_EQ(unfitForModes(one), ClipUnfit::CutOff);
    one = fit;
    one.picture.reset();
    EXPECT_EQ(unfitForModes(one), ClipUnfit::NoPicture);
    EXPECT_TRUE(modesFromClips(std::vector{one}).empty());
}

TEST(ClipModes, SplitsAreSeenWhereFilesEndAtOneSize) {
    std::vector<ClipFacts> clips(3, clip("part", fps(25), 1e8, 1e8));
    clips[0].size = DataSize(4.29e9);
    clips[1].size = DataSize(4.28e9);
    clips[2].size = DataSize(1.1e9);
    EXPECT_EQ(modesFromClips(clips)[0].segment, DataSize(4.29e9));
    clips[1].size = DataSize(2e9);
    EXPECT_FALSE(modesFromClips(clips)[0].segment);
}

TEST(ClipModes, JoinATableAndMakeACamera) {
    const std::vector<ClipFacts> clips = {clip("a", fps(25), 100e6, 121e6)};
    const ModeLine lines[] = {*parseModeLine("UHD long 10-bit 4:2:2 24/25@90 50@150"),
                              *parseModeLine("FHD intra 8-bit 4:2:0 25@60")};
    const auto seen = joined(modesFromClips(clips), lines);
    ASSERT_EQ(seen.size(), 2u);
    EXPECT_EQ(seen[0].line.rates, (std::vector<RateOption>{{fps(24), DataRate(90e6)},
                                                           {fps(25), DataRate(100e6)},
                                                           {fps(50), DataRate(150e6)}}))
        << "what a clip showed counts more than what was printed";
    const auto camera = withModes(startingCamera({}), seen);
    ASSERT_EQ(camera.modes.size(), 2u);
    ASSERT_EQ(camera.codecs.size(), 2u);
    EXPECT_NEAR(camera.codecs[0].peak, 1.21, 1e-9);
    EXPECT_EQ(lineOf(camera, camera.modes[1]), "1920x1080 intra 8-bit 4:2:0 25@60");
    EXPECT_EQ(camera.codecs[1].gop, Gop::Intra);
}

TEST(OwnCamera, CellsKnowWhatTheyRestOn) {
    OwnCamera own;
    own.clips = {clip("a", fps(25), 100e6, 121e6), clip("b", fps(25), 99e6, 121e6)};
    own.table = "UHD 25p 50p 120 Mbps 10 bit 4:2:2 Long GOP\nanything\n";
    auto lattice = latticeOf(own);
    ASSERT_EQ(lattice.modes.size(), 1u);
    EXPECT_EQ(lattice.rates, (std::vector<FrameRate>{fps(25), fps(50)}));
    EXPECT_EQ(lattice.grounds[0][0], (CellGround{.clips = 2, .table = true}));
    EXPECT_EQ(lattice.grounds[0][1], (CellGround{.table = true}));
    EXPECT_EQ(lattice.rows[1].rest, "anything");
    // By hand: one changed, one new, then the first two taken away.
    const auto mode = lattice.modes[0].line;
    own.edits = {TypedCell{mode, fps(50), DataRate(200e6)},
                 TypedCell{mode, fps(24), DataRate(80e6)}};
    lattice = latticeOf(own);
    EXPECT_EQ(lattice.modes[0].line.rates, (std::vector<RateOption>{{fps(24), DataRate(80e6)},
                                                                    {fps(25), DataRate(100e6)},
                                                                    {fps(50), DataRate(200e6)}}));
    EXPECT_TRUE(lattice.grounds[0][0].typed && lattice.grounds[0][2].typed);
    for (const auto rate : {fps(24), fps(25), fps(50)})
        own.edits.emplace_back(TypedCell{mode, rate, std::nullopt});
    EXPECT_TRUE(latticeOf(own).modes.empty()) << "a mode without a rate is none";
    own.edits.emplace_back(TypedCell{mode, fps(25), DataRate(90e6)});
    const auto camera = cameraOf(own, {}, "Wren");
    ASSERT_TRUE(camera);
    EXPECT_EQ(camera->modes.size(), 1u);
    EXPECT_EQ(camera->name, "Wren");
    EXPECT_EQ(camera->id, "wren");
}

TEST(ClipModes, TheCamerasNameIsWhatItsNotesAgreeOn) {
    std::vector<ClipFacts> clips(2, clip("a", fps(25), 1e8, 1e8));
    EXPECT_EQ(cameraNameIn(clips), "");
    clips[0].notes["model"] = "Heron 3";
    EXPECT_EQ(cameraNameIn(clips), "Heron 3");
    clips[1].notes["com.example.Model"] = "Wren";
    EXPECT_EQ(cameraNameIn(clips), "");
}

} // namespace
} // namespace bslate
