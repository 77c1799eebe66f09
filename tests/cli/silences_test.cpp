// What cannot be meant is refused, and what was taken is said: nothing in silence.
#include "cli/ran.h"

#include <gtest/gtest.h>

#include <filesystem>
#include <fstream>
#include <sstream>

namespace bslate::cli {
namespace {

const std::string kSeries = (root() / "data/demo/sedge-2-series.csv").string();

std::vector<std::string> metered(std::vector<std::string> more, const char* iris = "T4") {
    more.insert(more.begin(), {"--patch", "grey=26 cd/m2"});
    return expose(std::move(more), iris);
}

struct Refused {
    std::vector<std::string> args;
    const char* says; ///< what was typed, or what is expected instead
};

TEST(CliSilence, AKitElsewhereIsNotReadUnasked) {
    const TemporaryFolder folder;
    std::filesystem::create_directory(folder / "show");
    auto json = nlohmann::ordered_json::parse(sample::slurp(kShoot));
    json["kit"] = "../far.bskit.json";
    sample::spit(folder / "show/a.bslate", json.dump());
    std::filesystem::copy_file(kKit, folder / "far.bskit.json");
    const auto shoot = (folder / "show/a.bslate").string();
    for (const auto& verb : {"check", "day", "validate"}) {
        const auto refused = ran({verb, shoot});
        EXPECT_EQ(refused.code, 2) << verb;
        EXPECT_NE(refused.err.find("../far.bskit.json"), std::string::npos) << refused.err;
        EXPECT_NE(refused.err.find("--kit-elsewhere"), std::string::npos) << refused.err;
        EXPECT_NE(ran({verb, shoot, "--kit-elsewhere"}).code, 2) << verb;
    }
}

TEST(CliSilence, RefusesWhatCannotBeMeant) {
    const TemporaryFolder folder;
    const auto file = [&](const char* name) { return (folder / name).string(); };
    const Refused table[] = {
        {metered({"--base", "160"}), "160"},
        {metered({}, "f/2.8"), "an f-number is brighter"},
        {metered({"--snr", "0.0000001"}), "0.0000001"},
        {metered({"--nd", "1/3"}), "two ways"},
        {{"shutter", "--rate", "24", "--angle", "180", "--light", "100:2"}, "80%"},
        {{"shutter", "--rate", "24", "--angle", "180", "--light", "400::pwm"},
         "a depth from 0 to 1"},
        {{"shutter", "--rate", "24", "--angle", "1/50"}, "1/50"},
        {{"day", kShoot, "--day", "0"}, "a day of the shoot: 1, 2"},
        {{"day", kShoot, "--day", "one"}, "one"},
        {{"check", kShoot, "--setup", ""}, "one of"},
        {{"lut", kShoot, "--setup", "2A", "-o", file("x.txt")}, ".cube"},
        {{"lut", kShoot, "--setup", "2A", "-o", file("x.cube"), "--format", "clf"}, "clf"},
        {{"lut", kShoot, "--setup", "2A", "-o", file("x.cube"), "--size", "18"}, "17, 33 or 65"},
        {{"card-bench", "--simulated", "V60", "--size", "40MB", "--seed", "-1"}, "-1"},
        {{"media", "--bit-rate", "9Mb/s", "--capacity", "4GB", "--usable", "2"}, "0.001 to 1"},
        {{"curve", "acescct", "--bits", "9"}, "8, 10 or 12"},
        {{"fit", kSeries, "--kit", kKit, "--camera", "sedge-2", "--profile", "sedge-flat", "--base",
          "12345"},
         "a base of Sedge 2"},
        {{"fit", kSeries, "--kit", kKit, "--camera", "tarn-6", "--profile", "sedge-flat"},
         "a profile of Tarn 6"},
        {{"fit", kSeries, "--nominal", "acescct", "--base", "500"}, "--kit"},
    };
    for (const auto& refused : table) {
        const auto result = ran(refused.args);
        EXPECT_EQ(result.code, kBadInput) << refused.args.back() << result.out;
        EXPECT_NE(result.err.find(refused.says), std::string::npos) << result.err;
    }
    EXPECT_TRUE(std::filesystem::is_empty(folder.path())) << "nothing was written on the way";
}

TEST(CliSilence, SaysWhatWasTaken) {
    const auto odd = ran(metered({"--nd", "ND3", "--json"}));
    EXPECT_NE(odd.err.find("ND3 is taken as a factor, 1.58 stops"), std::string::npos) << odd.err;
    EXPECT_TRUE(nlohmann::json::accept(odd.out)) << "the note is on standard error";
    EXPECT_TRUE(ran(metered({"--nd", "ND8", "--json"})).err.empty());
    const auto fitted = ran({"fit", kSeries, "--kit", kKit, "--camera", "sedge-2", "--profile",
                             "sedge-flat", "--json"});
    EXPECT_NE(fitted.err.find("fitted for base"), std::string::npos) << fitted.err;
    const auto node = nlohmann::json::parse(fitted.out);
    EXPECT_TRUE(node["clip_uncertainty_stops"]["red"].is_number());
    EXPECT_EQ(node["zebra_measured_on"], "viewing_lut") << "where this body measures";
}

TEST(CliNames, AreTakenAsTheStandardsSpellThem) {
    for (const char* name : {"ACEScct", "BT.709", "Rec.709", "HLG", "sRGB", "PQ"})
        EXPECT_EQ(ran({"curve", name, "--stops", "0:0:1"}).code, kGood) << name;
    for (const char* name : {"v60", "Class 10", "U3"}) {
        const auto result =
            ran({"media", "--bit-rate", "40Mb/s", "--capacity", "64GB", "--class", name, "--json"});
        EXPECT_EQ(result.code, kGood) << name << result.err;
    }
    const auto version = ran({"--version"});
    EXPECT_EQ(version.code, kGood);
    EXPECT_EQ(version.out.rfind("bslate ", 0), 0u) << version.out;
}

TEST(CliHelp, ShowsDefaultsAndWhatIsNeeded) {
    const auto helped = [](const char* verb) { return ran({verb, "--help"}).out; };
    EXPECT_NE(helped("expose").find("=12.5"), std::string::npos);
    EXPECT_NE(helped("expose").find("skin-dark"), std::string::npos) << "roles a name may carry";
    EXPECT_NE(helped("card-bench").find("=500MB"), std::string::npos);
    EXPECT_NE(helped("curve").find("=-8:8:1"), std::string::npos);
    EXPECT_NE(helped("shutter").find("one of them"), std::string::npos);
}

TEST(CliExpose, APatchCarriesTheRoleOfItsName) {
    auto args = metered({"--patch", "skin-dark cheek=10 cd/m2", "--patch", "shadow=0.001 cd/m2",
                         "--patch", "spare window=99999 cd/m2", "--json"});
    const auto node = nlohmann::json::parse(ran(args).out);
    for (const auto& finding : node["findings"])
        if (finding["id"] == "patch-clipped")
            EXPECT_EQ(finding["severity"], "note") << "what is spare may be lost";
}

// A display transform of the installed library is no recording: found by what it does, by index.
TEST(CliCurve, RefusesADisplayTransformWithTheReason) {
    const auto list = nlohmann::json::parse(ran({"curve", "--list-builtins", "--json"}).out);
    int refused = 0, taken = 0;
    for (const auto& item : list["builtins"]) {
        const std::string name = "builtin:" + std::to_string(item["index"].get<int>());
        const auto result = ran({"curve", name, "--stops", "0:0:1"});
        if (item["recorded_to_light"].get<bool>()) {
            EXPECT_EQ(result.code, kGood) << item["name"] << result.err;
            ++taken;
        } else {
            EXPECT_EQ(result.code, kBadInput) << item["name"];
            EXPECT_NE(result.err.find("scene light"), std::string::npos) << result.err;
            ++refused;
        }
    }
    EXPECT_GT(refused, 5);
    EXPECT_GT(taken, 3);
}

TEST(CliOutput, ThatNobodyTakesIsNoSuccess) {
    std::ofstream full("/dev/full");
    std::ostringstream err;
    EXPECT_EQ(run({"check", kShoot, "--setup", "4A"}, full, err), kBadInput);
    EXPECT_NE(err.str().find("could not be written"), std::string::npos);
}

TEST(CliOutput, SurvivesNamesThatAreNoUtf8) {
    const TemporaryFolder folder;
    const auto file = (folder / "caf\xe9.cube").string();
    const auto written = ran({"lut", kShoot, "--setup", "2A", "-o", file, "--json"});
    EXPECT_EQ(written.code, kGood) << written.err;
    EXPECT_FALSE(nlohmann::json::parse(written.out)["file"].get<std::string>().empty());
    // Shortened between characters: 39 bytes and one of two.
    const auto cut =
        ran({"media", "--bit-rate", std::string(39, 'x') + "\u00e9\u00e9", "--capacity", "1GB"});
    EXPECT_EQ(cut.code, kBadInput);
    EXPECT_TRUE(nlohmann::json(cut.err).dump().size() > 0) << "whole characters, or this throws";
}

TEST(CliCardBench, WritesWholeBytesOnly) {
    const auto part = ran({"card-bench", "--simulated", "V60", "--size", "1.1MiB", "--json"});
    ASSERT_EQ(part.code, kGood) << part.err;
    EXPECT_EQ(nlohmann::json::parse(part.out)["written_bytes"], 1153433);
}

} // namespace
} // namespace bslate::cli
