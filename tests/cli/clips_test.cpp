// Clips told and judged by the command line.
#include "cli/ran.h"
#include "core/frame/surface.h"
#include "core/quantity/number_text.h"
#include "io/json/shoot_json.h"
#include "support/media_tool.h"

#include <gtest/gtest.h>

namespace bslate::cli {
namespace {

TEST(ClipVerbs, TellAndJudgeWhatTheyCanReadAndNameTheRest) {
    const TemporaryFolder folder;
    const auto clip = (folder / "2A_24.mov").string();
    const auto text = (folder / "notes.mov").string();
    sample::mediaTool("-v error -f lavfi -i testsrc2=s=320x180:r=25:d=1 -c:v libx264 -g 1 -pix_fmt "
                      "yuv420p " +
                      clip);
    spit(text, "not a clip");
    const auto told = ran({"clip", clip, text, "--no-sound", "--json"});
    EXPECT_EQ(told.code, 2);
    EXPECT_NE(told.err.find("notes.mov"), std::string::npos);
    const auto json = told.json();
    ASSERT_EQ(json["clips"].size(), 1u);
    EXPECT_EQ(json["clips"][0]["rate"], "25");
    EXPECT_EQ(json["clips"][0]["gop"], "intra");
    EXPECT_EQ(json["clips"][0]["bit_depth"], 8);
    EXPECT_EQ(json["clips"][0]["frames"], 25);
    EXPECT_EQ(json["refused"].size(), 1u);
    const auto checked = ran({"clip-check", kShoot, clip, "--json"});
    EXPECT_EQ(checked.code, 1) << "25 frames where 24 were planned, and no sound";
    const auto found = checked.json()["clips"][0];
    EXPECT_EQ(found["setup"], "2A");
    EXPECT_EQ(found["findings"][0]["id"], "clip-rate");
    EXPECT_NE(ran({"clip-check", kShoot, clip}).out.find("runs at 25, planned was 24"),
              std::string::npos);
    EXPECT_EQ(ran({"clip-check", kShoot, clip, "--setup", "99"}).code, 2);
}

TEST(ClipVerbs, PicturesAreLookedAtAndPatchesWhereTheyAreMarked) {
    const TemporaryFolder folder;
    const auto clip = (folder / "2A.mov").string();
    ASSERT_EQ(ran({"make-clip", kShoot, "--setup", "2A", "--size", "320x180", "--seconds", "0.5",
                   "--steps", "-1", "-o", clip})
                  .code,
              0);
    const auto checked = [&](std::vector<std::string> more) {
        std::vector<std::string> line{"clip-check", kShoot, clip, "--setup", "2A"};
        line.insert(line.end(), more.begin(), more.end());
        return ran(line);
    };
    const auto shoot = io::loadShoot(kShoot);
    ASSERT_TRUE(shoot);
    std::string grey;
    for (const auto& surface : surfacesOf(*findScene(*shoot, "hopper"), shoot->kit, shoot->meter))
        if (surface.patch == "grey")
            for (const double share :
                 {surface.probe.x, surface.probe.y, surface.probe.width, surface.probe.height})
                grey += (grey.empty() ? "grey=" : ",") + trimmed(share, 4);
    EXPECT_NE(checked({"--patch", grey}).out.find("Grey card in 2A.mov lies 1."), std::string::npos)
        << checked({"--patch", grey}).out;
    EXPECT_EQ(checked({"--patch", grey, "--facts"}).out.find("from the plan"), std::string::npos);
    EXPECT_EQ(checked({}).out.find("from the plan"), std::string::npos);
    EXPECT_EQ(checked({"--patch", "nobody=0,0,1,1"}).code, 2);
    EXPECT_EQ(checked({"--patch", "grey"}).code, 2);
    EXPECT_EQ(checked({"--patch", "grey=0.9,0,0.2,0.2"}).code, 2);
}

// Modes against the settings the clips were encoded with.
TEST(ClipVerbs, MakeACameraOfClipsAndATable) {
    const TemporaryFolder folder;
    const auto encode = [&](const char* name, const std::string& how) {
        const auto path = (folder / name).string();
        sample::mediaTool("-v error -f lavfi -i testsrc2=s=640x360:" + how + " " + path);
        return path;
    };
    const auto slow = encode("slow.mov", "r=25:d=1 -c:v libx264 -g 1 -pix_fmt yuv420p -b:v 8M");
    const auto fast = encode("fast.mov", "r=60000/1001:d=1 -c:v libx264 -g 1 -pix_fmt yuv420p");
    const auto deep = encode(
        "deep.mov", "r=24000/1001:d=2 -c:v libx264 -pix_fmt yuv422p10le -metadata model=Heron");
    spit(folder / "modes.txt", "UHD 25p 100 Mbps 10 bit 4:2:2 Long GOP\nnot a mode at all\n");
    const auto kit = (folder / "own.bskit.json").string();
    const auto made = ran(
        {"camera-from", slow, fast, deep, (folder / "modes.txt").string(), "-o", kit, "--json"});
    EXPECT_EQ(made.code, 0) << made.err;
    const auto json = made.json();
    ASSERT_EQ(json["modes"].size(), 3u);
    const auto line = [&](std::size_t at) { return json["modes"][at]["line"].get<std::string>(); };
    EXPECT_EQ(line(0).find("640x360 H.264 intra 8-bit 4:2:0 25@"), 0u) << line(0);
    EXPECT_NE(line(0).find(" 59.94@"), std::string::npos) << line(0);
    EXPECT_EQ(line(1).find("640x360 H.264 long 10-bit 4:2:2 23.976@"), 0u) << line(1);
    EXPECT_EQ(line(2), "3840x2160 long 10-bit 4:2:2 25@100");
    EXPECT_EQ(json["modes"][0]["rests_on"].dump(), R"(["slow.mov","fast.mov"])");
    EXPECT_EQ(json["rows"][1]["rest"], "not a mode at all");
    EXPECT_EQ(ran({"validate", kit}).code, 0);
    EXPECT_EQ(ran({"camera-from", slow, "-o", kit}).code, 2) << "there is one already";
    const auto none =
        ran({"camera-from", (folder / "modes.txt").string() + "x", "-o", kit, "--force"});
    EXPECT_EQ(none.code, 2);
    EXPECT_NE(none.err.find("no recording mode"), std::string::npos) << none.err;
}

} // namespace
} // namespace bslate::cli
