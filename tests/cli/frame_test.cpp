#include "cli/ran.h"
#include "support/media_tool.h"

#include <gtest/gtest.h>

namespace bslate::cli {
namespace {

const std::string kWedge = (root() / "data/demo/step-wedge.png").string();

TEST(MeasureVerb, ReadsAStillInPercentAndStops) {
    const auto done = ran({"measure", kWedge, "--profile", "bt709", "--zebra", "70", "--probe",
                           "mid=105,10,8,8", "--probe", "top=0.95,0.1,0.02,0.5", "--json"});
    ASSERT_EQ(done.code, 0) << done.err;
    const auto json = done.json();
    EXPECT_EQ(json["width"], 220);
    EXPECT_EQ(json["height"], 60);
    // Eleven steps of 8-bit full codes 0, 26 (25.5), ... 255 of a legal curve: by their share.
    EXPECT_NEAR(json["probes"][0]["percent"].get<double>(), 128 / 255.0 * 100, 0.1);
    // BT.709-6: (0.50196 + 0.099) / 1.099 to 1 / 0.45 is 0.2615, 0.539 stop over 18 %.
    EXPECT_NEAR(json["probes"][0]["stops"].get<double>(), 0.539, 0.005);
    EXPECT_NEAR(json["probes"][1]["percent"].get<double>(), 100, 0.01);
    EXPECT_NEAR(json["zebra_share"].get<double>(), 3.0 / 11, 1e-9)
        << "80, 90 and 100 %: 178 of 255 is under 70";
    EXPECT_NEAR(json["mean_percent"].get<double>(), 50, 0.2);
    std::uint64_t pixels = 0;
    for (const auto& count : json["histogram"])
        pixels += count.get<std::uint64_t>();
    EXPECT_EQ(pixels, 220u * 60u);
    const auto legal = ran({"measure", kWedge, "--profile", "bt709", "--range", "legal", "--zebra",
                            "50+-4", "--json"})
                           .json();
    // Code 128 of legal range is (128 - 16) / 219 = 51.1 %.
    EXPECT_NEAR(legal["zebra_share"].get<double>(), 1.0 / 11, 1e-9);
    const auto log = ran({"measure", kWedge, "--profile", "tarn-log", "--kit", kKit, "--json"});
    EXPECT_EQ(log.code, 0) << log.err;
}

// A still that is white all over, made here: every channel is at the end of its codes, whatever the
// curve could hold beyond.
TEST(MeasureVerb, SaysThatAWhiteIsBlownAndReadsItAsWhite) {
    const sample::TemporaryFolder folder;
    const auto still = (folder / "white.png").string();
    sample::mediaTool("-v error -f lavfi -i color=white:s=32x16:d=1 -frames:v 1 -pix_fmt rgb24 " +
                      still);
    for (const char* profile : {"bt709", "srgb", "hlg", "pq"}) {
        const auto json =
            ran({"measure", still, "--profile", profile, "--probe", "a=0,0,32,16", "--json"})
                .json();
        EXPECT_NEAR(json["clipped_share"]["green"].get<double>(), 1, 1e-9) << profile;
        EXPECT_NEAR(json["probes"][0]["percent"].get<double>(), 100, 0.01) << profile;
    }
    const auto grey = (folder / "grey.png").string();
    sample::mediaTool(
        "-v error -f lavfi -i color=0xebebeb:s=32x16:d=1 -frames:v 1 -pix_fmt rgb24 " + grey);
    const auto legal = ran({"measure", grey, "--profile", "srgb", "--range", "legal", "--probe",
                            "a=0,0,32,16", "--json"})
                           .json();
    EXPECT_NEAR(legal["probes"][0]["percent"].get<double>(), 100, 0.5) << "code 235 of legal range";
    EXPECT_EQ(legal["clipped_share"]["green"].get<double>(), 0) << "there are codes above it";
    // ITU-R BT.2100 luma: 0.2627 of red, not BT.709's 0.2126.
    const auto red = (folder / "red.png").string();
    sample::mediaTool("-v error -f lavfi -i color=red:s=32x16:d=1 -frames:v 1 -pix_fmt rgb24 " +
                      red);
    for (const auto& [profile, luma] : {std::pair{"hlg", 26.27}, {"pq", 26.27}, {"bt709", 21.26}}) {
        const auto json = ran({"measure", red, "--profile", profile, "--json"}).json();
        EXPECT_NEAR(json["mean_percent"].get<double>(), luma, 0.6) << profile;
    }
}

TEST(MeasureVerb, RefusesWhatItCannotRead) {
    const struct {
        std::vector<std::string> args;
        const char* says;
    } wrong[] = {{{"measure", kShoot, "--profile", "bt709"}, "picture"},
                 {{"measure", "nothing.png", "--profile", "bt709"}, "nothing.png"},
                 {{"measure", kWedge, "--profile", "film"}, "one of"},
                 {{"measure", kWedge, "--profile", "bt709", "--range", "wide"}, "full or legal"},
                 {{"measure", kWedge, "--profile", "bt709", "--zebra", "300"}, "70+-5"},
                 {{"measure", kWedge, "--profile", "bt709", "--probe", "a=1,2,3"}, "name=x,y,w,h"},
                 {{"measure", kWedge, "--profile", "bt709", "--probe", "a=0,0,900,9"},
                  "inside of the picture"},
                 {{"measure", kWedge, "--profile", "bt709", "--probe", "=0,0,9,9"}, "name="}};
    for (const auto& row : wrong) {
        const auto done = ran(row.args);
        EXPECT_EQ(done.code, 2) << row.says;
        EXPECT_NE(done.err.find(row.says), std::string::npos) << done.err;
    }
}

TEST(FrameVerb, WritesEveryStageAndTellsWhatWasFound) {
    const TemporaryFolder folder;
    const auto out = (folder / "a.png").string();
    std::string last;
    for (const char* stage : {"light", "sensor", "curve", "grade"}) {
        const auto done = ran({"frame", kShoot, "--setup", "2A", "--stage", stage, "--size",
                               "160x90", "-o", out, "--force", "--json"});
        ASSERT_EQ(done.code, 0) << done.err;
        EXPECT_NE(slurp(out), last) << stage;
        last = slurp(out);
        const auto json = done.json();
        for (const auto& patch : json["patches"])
            EXPECT_NEAR(patch["found_percent"].get<double>(),
                        patch["planned_percent"].get<double>(), 3)
                << patch["id"];
        EXPECT_GT(json["clipped_share"]["green"].get<double>(), 0.02);
        EXPECT_GT(json["ssim"].get<double>(), 0.5);
        EXPECT_LT(json["psnr_db"].get<double>(), 50) << "the sky is lost";
    }
    const auto beside = ran({"frame", kShoot, "--setup", "2A", "--against", "3A", "--size",
                             "160x90", "-o", out, "--force"});
    EXPECT_EQ(beside.code, 0) << beside.err;
    EXPECT_NE(slurp(out), last);
    EXPECT_EQ(ran({"frame", kShoot, "--setup", "2A", "--size", "160x90", "-o", out}).code, 2)
        << "it is there";
    EXPECT_EQ(ran({"frame", kShoot, "--setup", "2A", "--size", "160x90", "--seed", "4"}).out,
              ran({"frame", kShoot, "--setup", "2A", "--size", "160x90", "--seed", "4"}).out);
}

TEST(FrameVerb, RefusesWhatItDoesNotKnow) {
    for (const auto& [more, says] :
         {std::pair<std::vector<std::string>, const char*>({"--stage", "film"}, "grade"),
          std::pair<std::vector<std::string>, const char*>({"--size", "9000x9000"}, "8192"),
          std::pair<std::vector<std::string>, const char*>({"--against", "9Z"}, "9Z"),
          std::pair<std::vector<std::string>, const char*>({"--seed", "x"}, "0 to")}) {
        std::vector<std::string> args = {"frame", kShoot, "--setup", "2A", "--size", "32x18"};
        if (more[0] == "--size")
            args.resize(4);
        args.insert(args.end(), more.begin(), more.end());
        const auto done = ran(args);
        EXPECT_EQ(done.code, 2) << says;
        EXPECT_NE(done.err.find(says), std::string::npos) << done.err;
    }
}

} // namespace
} // namespace bslate::cli
