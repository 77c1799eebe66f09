// Clips told and judged by the command line.
#include "cli/ran.h"
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

} // namespace
} // namespace bslate::cli
