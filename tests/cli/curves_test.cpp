#include "cli/ran.h"

#include <gtest/gtest.h>

#include <cmath>
#include <filesystem>
#include <iterator>

namespace bslate::cli {
namespace {

TEST(CliCurve, TabulatesStandardsAndKitCurves) {
    const auto acescct = ran({"curve", "acescct", "--stops", "-2:2:1", "--json"}).json();
    ASSERT_EQ(acescct["points"].size(), 5u);
    EXPECT_NEAR(acescct["points"][2]["signal"].get<double>(), 0.413588, 1e-6);
    EXPECT_NEAR(acescct["points"][2]["linear"].get<double>(), 0.18, 1e-12);
    const auto bt709 = ran({"curve", "bt709", "--stops", "0:0:1", "--bits", "8", "--json"}).json();
    EXPECT_EQ(bt709["points"][0]["code"], 106); // 16 + 219 * 0.40901
    EXPECT_NEAR(bt709["clip_stops"].get<double>(), 2.729, 1e-3);
    const auto flat =
        ran({"curve", kKit, "--profile", "sedge-flat", "--stops", "0:8:4", "--json"}).json();
    EXPECT_NEAR(flat["points"][2]["level_percent"].get<double>(), 84, 0.1);
}

TEST(CliLut, WritesAFileAndFailsWithoutTouchingOne) {
    const TemporaryFolder folder;
    const auto file = (folder / "2a.cube").string();
    EXPECT_EQ(ran({"lut", kShoot, "--setup", "2A", "-o", file}).code, kGood);
    EXPECT_EQ(slurp(file).find("TITLE \"Slack Water 2A"), 0u);
    const auto there = ran({"lut", kShoot, "--setup", "2A", "-o", file, "--1d"});
    EXPECT_EQ(there.code, kBadInput) << "nothing is written over without being told to";
    EXPECT_NE(there.err.find("--force"), std::string::npos);
    EXPECT_EQ(ran({"lut", kShoot, "--setup", "2A", "-o", file, "--1d", "--force"}).code, kGood);
    EXPECT_NE(slurp(file).find("LUT_1D_SIZE 4096"), std::string::npos);
    spit(file, "mine");
    EXPECT_EQ(ran({"lut", kShoot, "--setup", "9Z", "-o", file}).code, kBadInput);
    EXPECT_EQ(slurp(file), "mine");
    EXPECT_EQ(ran({"lut", kShoot, "--setup", "2A", "-o", "/nowhere/a.cube"}).code, kBadInput);
}

// ---- precision and standard curves

TEST(CliPrecision, TellsEveryStopAndTheAnswerForEightBits) {
    const auto own = ran({"precision", kShoot, "--setup", "2A", "--json"});
    ASSERT_NE(own.code, kBadInput) << own.err;
    const auto json = own.json();
    EXPECT_EQ(json["bits"], 10);
    ASSERT_GT(json["rows"].size(), 8u);
    double last = -1e9;
    for (const auto& row : json["rows"]) {
        EXPECT_GT(row["stops"].get<double>(), last);
        last = row["stops"].get<double>();
        EXPECT_GT(row["codes"].get<double>(), 0);
        EXPECT_GT(row["noise_codes"].get<double>(), 0);
    }
    const auto eight = ran({"precision", kShoot, "--setup", "2A", "--bits", "8", "--json"}).json();
    EXPECT_NEAR(eight["rows"][4]["display_step_codes"].get<double>(),
                json["rows"][4]["display_step_codes"].get<double>() * 1023 / 255, 0.1);
    EXPECT_TRUE(eight["eight_bit_log"].is_string());
    EXPECT_NE(ran({"precision", kShoot, "--setup", "2A"}).out.find("8 bits:"), std::string::npos);
    EXPECT_EQ(ran({"precision", kShoot, "--setup", "9Z"}).code, kBadInput);
    EXPECT_EQ(ran({"precision", kShoot, "--setup", "2A", "--bits", "7"}).code, kBadInput);
}

TEST(CliCurve, KnowsEveryStandardCurveByName) {
    for (const char* name : {"acescc", "acescct", "bt2020", "bt709", "hlg", "pq", "srgb"}) {
        const auto curve = ran({"curve", name, "--stops", "0:0:1", "--json"});
        ASSERT_EQ(curve.code, kGood) << name << curve.err;
    }
    const auto pq = ran({"curve", "pq", "--stops", "0:0:1", "--json"}).json();
    EXPECT_NEAR(pq["points"][0]["level_percent"].get<double>(), 38, 0.5) << "ITU-R BT.2408";
    EXPECT_NE(ran({"curve", "none", "--stops", "0:0:1"}).err.find("pq, srgb"), std::string::npos);
}

TEST(CliCurve, ReadsLibraryAndFileCurvesToo) {
    const auto list = ran({"curve", "--list-builtins", "--json"});
    ASSERT_EQ(list.code, kGood) << list.err;
    std::string index;
    const auto listed = list.json();
    for (const auto& item : listed["builtins"])
        if (item["recorded_to_light"].get<bool>() && index.empty())
            index = std::to_string(item["index"].get<int>());
    ASSERT_FALSE(index.empty());
    const auto known = ran({"curve", "builtin:" + index, "--stops", "-2:2:1", "--json"});
    ASSERT_EQ(known.code, kGood) << known.err;
    EXPECT_LT(known.json()["import"]["residual_codes_10bit"].get<double>(), 0.5);
    EXPECT_EQ(known.json()["points"].size(), 5u);
    EXPECT_EQ(ran({"curve", "builtin:9999", "--stops", "0:1:1"}).code, kBadInput);
    EXPECT_EQ(ran({"curve", "builtin:x", "--stops", "0:1:1"}).code, kBadInput);
    const TemporaryFolder folder;
    spit(folder / "a.cube", "LUT_1D_SIZE 3\n0 0 0\nnan 0 0\n1 1 1\n");
    const auto broken = ran({"curve", (folder / "a.cube").string(), "--stops", "0:1:1"});
    EXPECT_EQ(broken.code, kBadInput);
    EXPECT_NE(broken.err.find("a.cube: line 3"), std::string::npos) << broken.err;
}

TEST(CliFit, FindsTheDemoBodyAndKeepsItInAKit) {
    const TemporaryFolder folder;
    const auto readings = (root() / "data/demo/sedge-2-series.csv").string();
    const auto kit = (folder / "a.bskit.json").string();
    const auto fit = ran({"fit", readings, "--kit", kKit, "--camera", "sedge-2", "--profile",
                          "sedge-flat", "--base", "500", "-o", kit, "--json"});
    ASSERT_EQ(fit.code, kGood) << fit.err;
    const auto json = fit.json();
    EXPECT_EQ(json["outliers"], 1) << "the demo has one wrong reading";
    EXPECT_LT(json["clip_stops"]["red"], json["clip_stops"]["green"]);
    EXPECT_LT(json["rms_codes_10bit"].get<double>(), 1.0);
    EXPECT_EQ(std::fmod(json["zebra_clip_percent"].get<double>(), 5.0), 0);
    EXPECT_EQ(ran({"validate", kit}).code, kGood);
    spit(folder / "one.csv", "0,40\n");
    spit(folder / "swapped.csv", "90,-9\n423,0\n571,2\n");
    const auto one = ran({"fit", (folder / "one.csv").string()});
    EXPECT_EQ(one.code, kBadInput);
    EXPECT_NE(one.err.find("at least 6"), std::string::npos) << one.err;
    const auto swapped = ran({"fit", (folder / "swapped.csv").string()});
    EXPECT_NE(swapped.err.find("line 3"), std::string::npos) << swapped.err;
    EXPECT_EQ(ran({"fit", readings, "--kit", kKit, "--camera", "gone"}).code, kBadInput);
    EXPECT_EQ(ran({"fit", readings, "-o", kit}).code, kBadInput) << "a kit to keep it in";
    EXPECT_EQ(ran({"fit", readings, "--bits", "99"}).code, kBadInput);
}

TEST(CliTargets, GivesEverySchoolsTools) {
    const auto all = ran({"targets", kShoot, "--setup", "2A", "--json"});
    ASSERT_EQ(all.code, kGood) << all.err;
    EXPECT_EQ(all.json()["schools"].size(), 5u);
    for (const char* key : {"low_percent", "set_percent", "stops", "measured_on", "reachable"})
        EXPECT_TRUE(all.json()["schools"][0]["tools"][0].contains(key)) << key;
    const auto one = ran({"targets", kShoot, "--setup", "2A", "--school", "guard", "--json"});
    EXPECT_EQ(one.json()["schools"].size(), 1u);
    EXPECT_NE(ran({"targets", kShoot, "--setup", "2A"}).out.find("grey_card"), std::string::npos);
    EXPECT_EQ(ran({"targets", kShoot, "--setup", "2A", "--school", "bold"}).code, kBadInput);
}

TEST(CliLut, WritesEveryFormat) {
    const TemporaryFolder folder;
    const auto write = [&](const char* file, std::vector<std::string> more) {
        std::vector<std::string> args = {"lut", kShoot, "--setup",
                                         "2A",  "-o",   (folder / file).string()};
        args.insert(args.end(), more.begin(), more.end());
        const auto result = ran(args);
        EXPECT_EQ(result.code, kGood) << result.err;
        return result.code == kGood ? slurp(folder / file) : std::string();
    };
    EXPECT_NE(write("a.clf", {}).find("<ProcessList"), std::string::npos);
    EXPECT_NE(write("a.ccc", {}).find("rating-log"), std::string::npos);
    EXPECT_NE(write("a.cdl", {}).find("ColorDecisionList"), std::string::npos);
    EXPECT_NE(write("a.cube", {"--look", "ferry-evening", "--size", "17"}).find("Ferry evening"),
              std::string::npos);
    EXPECT_NE(write("b.xml", {"--format", "cdl"}).find("rating-linear"), std::string::npos);
    EXPECT_EQ(ran({"lut", kShoot, "--setup", "2A", "-o", "x", "--format", "png"}).code, kBadInput);
    EXPECT_EQ(ran({"lut", kShoot, "--setup", "2A", "-o", "x", "--look", "gone"}).code, kBadInput);
}

} // namespace
} // namespace bslate::cli
