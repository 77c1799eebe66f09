#include "cli/cli.h"
#include "cli/verbs.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

#include <cmath>
#include <filesystem>
#include <iterator>
#include <sstream>

namespace bslate::cli {
namespace {

using Json = nlohmann::json;
using sample::root;
using sample::slurp;
using sample::spit;
using sample::TemporaryFolder;

struct Ran {
    int code;
    std::string out, err;
    [[nodiscard]] Json json() const { return Json::parse(out); }
};

Ran ran(const std::vector<std::string>& args) {
    std::ostringstream out, err;
    const int code = run(args, out, err);
    return {code, out.str(), err.str()};
}

const std::string kShoot = (root() / "data/demo/slack-water.bslate").string();
const std::string kKit = (root() / "data/demo/slack-water.bskit.json").string();

std::vector<std::string> expose(std::vector<std::string> more) {
    std::vector<std::string> args = {"expose",    "--kit",    kKit,   "--camera",  "tarn-6",
                                     "--profile", "tarn-log", "--ei", "400",       "--t-stop",
                                     "T4",        "--rate",   "24",   "--shutter", "1/50"};
    args.insert(args.end(), more.begin(), more.end());
    return args;
}

TEST(CliCheck, JudgesTheDemo) {
    const auto all = ran({"check", kShoot, "--json"});
    EXPECT_EQ(all.code, kFaults) << "the demo has a fault on purpose";
    EXPECT_TRUE(all.err.empty());
    const auto json = all.json();
    ASSERT_EQ(json["setups"].size(), 8u);
    const auto& second = json["setups"][1];
    EXPECT_EQ(second["number"], "2A");
    for (const char* key : {"exposure_time_s", "angle_deg", "clip_stops", "noise_floor_stops",
                            "rating_offset_stops", "patches", "zebra"})
        EXPECT_TRUE(second["derived"].contains(key)) << key;
    const auto& fault = second["findings"][0];
    EXPECT_EQ(fault["id"], "patch-clipped");
    EXPECT_EQ(fault["severity"], "fault");
    EXPECT_FALSE(fault["title"].get<std::string>().empty());
    EXPECT_FALSE(fault["reason"].get<std::string>().empty());
    const auto fine = ran({"check", kShoot, "--setup", "4A", "--json"});
    EXPECT_EQ(fine.code, kGood);
    EXPECT_EQ(fine.json()["setups"].size(), 1u);
    EXPECT_NE(ran({"check", kShoot, "--setup", "2A"}).out.find("Sky in the doorway is lost"),
              std::string::npos);
}

TEST(CliExpose, GivesTheWorkedPlacement) {
    const auto result =
        ran(expose({"--patch", "grey=26 cd/m2", "--patch", "sky=1260 cd/m2", "--json"}));
    EXPECT_EQ(result.code, kFaults);
    const auto derived = result.json()["derived"];
    EXPECT_NEAR(derived["exposure_time_s"].get<double>(), 0.02, 1e-12);
    EXPECT_NEAR(derived["angle_deg"].get<double>(), 172.8, 1e-9);
    EXPECT_NEAR(derived["rating_offset_stops"].get<double>(), -1, 1e-12);
    EXPECT_NEAR(derived["clip_stops"].get<double>(), 6.1, 1e-12);
    EXPECT_NEAR(derived["noise_floor_stops"].get<double>(), -6.54, 5e-3);
    const auto& grey = derived["patches"][0];
    EXPECT_NEAR(grey["sensor_stops"].get<double>(), 1.0566, 5e-5);
    EXPECT_NEAR(grey["recorded_stops"].get<double>(), 1.0566, 5e-5);
    EXPECT_NEAR(grey["viewed_stops"].get<double>(), 0.0566, 5e-5);
    for (const char* key :
         {"level_percent", "code", "headroom_stops", "above_noise_stops", "state"})
        EXPECT_TRUE(grey.contains(key)) << key;
    EXPECT_EQ(derived["patches"][1]["state"], "clipped");
}

TEST(CliExpose, FiltersReflectanceAndSnr) {
    const auto place = [](const std::vector<std::string>& more) {
        return ran(expose(more)).json()["derived"]["patches"][0]["sensor_stops"].get<double>();
    };
    const double plain = place({"--patch", "a=26 cd/m2", "--json"});
    EXPECT_NEAR(plain - place({"--patch", "a=26 cd/m2", "--nd", "ND8", "--nd", "1 stop", "--json"}),
                4, 1e-9);
    EXPECT_NEAR(place({"--patch", "a=453.786 lx @ 18 %", "--json"}), plain, 1e-4);
    const auto engineering = ran(expose({"--snr", "1", "--json"}));
    EXPECT_NEAR(engineering.json()["derived"]["noise_floor_stops"].get<double>(), -7.747, 5e-4);
    EXPECT_EQ(engineering.code, kGood);
}

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

// The command line of an example, beside the demo shoot.
std::vector<std::string> exampleWords(std::string_view example) {
    std::istringstream text{std::string(example)};
    std::vector<std::string> words(std::istream_iterator<std::string>(text), {});
    words.erase(words.begin());
    return words;
}

TEST(Cli, EveryVerbHasAnExampleThatWorksAndHelpThatShowsIt) {
    const TemporaryFolder folder;
    std::filesystem::copy(root() / "data/demo", folder.path(),
                          std::filesystem::copy_options::recursive);
    const auto before = std::filesystem::current_path();
    std::filesystem::current_path(folder.path());
    for (const auto* verb : verbs()) {
        const auto words = exampleWords(verb->example);
        ASSERT_FALSE(words.empty()) << verb->name;
        EXPECT_EQ(words.front(), verb->name);
        const auto told = ran(words);
        EXPECT_NE(told.code, kBadInput) << verb->example << ": " << told.err;
        EXPECT_FALSE(told.out.empty()) << verb->name;
        const auto help = ran({std::string(verb->name), "--help"});
        EXPECT_EQ(help.code, kGood);
        EXPECT_NE(help.out.find(verb->example), std::string::npos) << verb->name;
        EXPECT_NE(help.out.find("--json"), std::string::npos) << verb->name;
    }
    std::filesystem::current_path(before);
}

TEST(Cli, BadInputIsTwoWithAMessageThatNamesThePlace) {
    const TemporaryFolder folder;
    spit(folder / "cut.bslate", slurp(kShoot).substr(0, 500));
    const struct {
        std::vector<std::string> args;
        const char* says;
    } table[] = {
        {{}, "A subcommand"},
        {{"sing"}, "sing"},
        {{"check"}, "FILE"},
        {{"check", "missing.bslate"}, "missing.bslate"},
        {{"check", (folder / "cut.bslate").string()}, "line "},
        {{"check", kShoot, "--setup", "9Z"}, "--setup"},
        {{"check", kShoot, "--loud"}, "--loud"},
        {{"curve", "acescct", "--stops", "2:1:1"}, "FROM:TO:STEP"},
        {{"curve", "acescct", "--stops", "0:1:0"}, "FROM:TO:STEP"},
        {{"curve", "acescct", "--stops", "0:1:nan"}, "FROM:TO:STEP"},
        {{"curve", "acescct", "--stops", "0:1:1", "--bits", "9"}, "8, 10 or 12"},
        {{"curve", kKit, "--stops", "0:1:1"}, "tarn-log"},
        {{"curve", "nolog", "--stops", "0:1:1"}, "acescct, bt2020, bt709, hlg"},
        {expose({"--patch", "grey=26 K"}), "cd/m2"},
        {expose({"--patch", "grey=-3 lx"}), "above zero"},
        {expose({"--patch", "26 cd/m2"}), "NAME=READING"},
        {expose({"--patch", "a=1 lx", "--patch", "a=2 lx"}), "only once"},
        {expose({"--nd", "ND1"}), "ND1.0"},
        {expose({"--snr", "0"}), "--snr"},
        {expose({"--school", "hope"}), "to-the-right"},
        {expose({"--base", "x"}), "--base"},
        {expose({"--mode", "gone"}), "recording mode"},
    };
    for (const auto& row : table) {
        const auto result = ran(row.args);
        EXPECT_EQ(result.code, kBadInput) << result.err;
        EXPECT_TRUE(result.out.empty()) << result.out;
        EXPECT_NE(result.err.find(row.says), std::string::npos)
            << "wanted " << row.says << ", got " << result.err;
        EXPECT_EQ(result.err.find("bslate: "), 0u) << result.err;
    }
    auto zero = expose({});
    for (const auto& [index, text] : {std::pair<std::size_t, const char*>{14, "0"},
                                      {12, "0"},
                                      {10, "T0"},
                                      {8, "-1"},
                                      {4, "gone"},
                                      {6, "gone"},
                                      {2, "gone.json"}}) {
        auto args = zero;
        args[index] = text;
        EXPECT_EQ(ran(args).code, kBadInput) << text << " for " << args[index - 1];
    }
    EXPECT_EQ(ran({"--help"}).code, kGood);
}

// ---- modes and validate

TEST(CliModes, ListsEveryCellWithReasonsAndCosts) {
    const auto all =
        ran({"modes", "--kit", kKit, "--camera", "tarn-6", "--profile", "tarn-log", "--json"});
    ASSERT_EQ(all.code, kGood) << all.err;
    const auto json = all.json();
    int closed = 0;
    for (const auto& cell : json["cells"]) {
        EXPECT_EQ(cell["available"].get<bool>(), cell["reasons"].empty());
        closed += cell["available"].get<bool>() ? 0 : 1;
        if (cell["available"].get<bool>()) {
            const double pixels = cell["width_px"].get<double>() * cell["height_px"].get<double>();
            EXPECT_GT(cell["bit_rate_bps"].get<double>(), 1e6);
            EXPECT_GT(cell["bits_per_pixel"].get<double>() * pixels, 0);
        }
    }
    EXPECT_EQ(json["cells"].size(), 9u * 7u) << "nine modes, seven rates";
    EXPECT_GT(closed, 10);
}

TEST(CliModes, OneRateSaysWhyInWords) {
    const auto one = ran({"modes", "--kit", kKit, "--camera", "sedge-2", "--rate", "48", "--json"});
    ASSERT_EQ(one.code, kGood);
    const auto cells = one.json()["cells"];
    ASSERT_EQ(cells.size(), 4u);
    EXPECT_EQ(cells[0]["reasons"][0], "MP4 (H.265) has no 48");
    EXPECT_EQ(cells[0]["opens_with"][0], "nearest open: UHD long 8-bit at 48");
    const auto plain = ran({"modes", "--kit", kKit, "--camera", "sedge-2", "--rate", "120"});
    EXPECT_NE(plain.out.find("1.5 crop"), std::string::npos);
    EXPECT_NE(plain.out.find("no autofocus"), std::string::npos);
}

TEST(CliModes, WrongNamesSayWhatThereIs) {
    const auto camera = ran({"modes", "--kit", kKit, "--camera", "none"});
    EXPECT_EQ(camera.code, kBadInput);
    EXPECT_NE(camera.err.find("tarn-6, sedge-2, pip"), std::string::npos);
    EXPECT_EQ(ran({"modes", "--kit", kKit, "--camera", "pip", "--rate", "fast"}).code, kBadInput);
    EXPECT_EQ(ran({"modes", "--kit", kKit, "--camera", "pip", "--profile", "x"}).code, kBadInput);
}

TEST(CliValidate, KnowsKitsAndShootsAndNamesThePlaceOfAFault) {
    EXPECT_EQ(ran({"validate", kKit}).code, kGood);
    EXPECT_EQ(ran({"validate", kShoot, "--json"}).json()["format"], "bright-slate-shoot");
    TemporaryFolder folder;
    auto json = Json::parse(slurp(kKit));
    json["cameras"][1]["modes"][0]["codec"] = "gone";
    spit(folder / "bad.bskit.json", json.dump());
    const auto bad = ran({"validate", (folder / "bad.bskit.json").string()});
    EXPECT_EQ(bad.code, kBadInput);
    EXPECT_NE(bad.err.find("/cameras/1/modes/0/codec"), std::string::npos) << bad.err;
    json["version"] = 99;
    spit(folder / "new.bskit.json", json.dump());
    EXPECT_NE(ran({"validate", (folder / "new.bskit.json").string()}).err.find("newer"),
              std::string::npos);
    EXPECT_EQ(ran({"validate", "/nonexistent"}).code, kBadInput);
}

// ---- shutter

TEST(CliShutter, GivesTheWorkedValuesOfPulsedLight) {
    const auto half = ran({"shutter", "--rate", "24", "--angle", "180", "--light", "100:1:sine",
                           "--readout", "12", "--steps", "third", "--json"});
    ASSERT_EQ(half.code, kFaults) << half.err;
    const auto json = half.json();
    EXPECT_NEAR(json["exposure_time_s"].get<double>(), 1.0 / 48, 1e-12);
    EXPECT_NEAR(json["ripple_percent"].get<double>(), 3.95, 5e-3);
    EXPECT_NEAR(json["alias_hz"].get<double>(), 4, 1e-9);
    EXPECT_NEAR(json["peak_to_peak_stops"].get<double>(), 0.114, 5e-4);
    EXPECT_NEAR(json["bands"].get<double>(), 1.2, 1e-9);
    EXPECT_EQ(json["nearest"]["shutter"], "1/50 s");
    EXPECT_NEAR(json["nearest"]["error_deg"].get<double>(), -7.2, 1e-9);
    EXPECT_NEAR(json["nearest"]["error_stops"].get<double>(), -0.0589, 1e-4);
    ASSERT_EQ(json["safe"].size(), 4u);
    EXPECT_NEAR(json["safe"][1]["best_deg"].get<double>(), 172.8, 1e-9);
    EXPECT_EQ(json["safe"][1]["on_dial"], "1/50 s");
    EXPECT_TRUE(json["safe_rates"].empty());
    const auto still = ran({"shutter", "--rate", "24", "--time", "1/50", "--light", "100"});
    EXPECT_EQ(still.code, kGood);
    EXPECT_NE(still.out.find("172.8"), std::string::npos);
}

TEST(CliShutter, WhereNoShutterHelpsTheRatesAreListed) {
    const auto fast =
        ran({"shutter", "--rate", "120", "--angle", "180", "--light", "100", "--json"});
    EXPECT_TRUE(fast.json()["safe"].empty());
    EXPECT_EQ(fast.json()["safe_rates"][0]["rate"], "100");
    EXPECT_TRUE(fast.json()["safe_rates"][0]["any_shutter"].get<bool>());
}

TEST(CliShutter, WrongEntriesNameTheirOption) {
    const std::pair<std::vector<std::string>, const char*> wrong[] = {
        {{"--rate", "0", "--angle", "180"}, "--rate"},
        {{"--rate", "-24", "--angle", "180"}, "--rate"},
        {{"--rate", "24", "--angle", "361"}, "--angle"},
        {{"--rate", "24", "--angle", "nan"}, "--angle"},
        {{"--rate", "60", "--time", "1/50"}, "--time"},
        {{"--rate", "24"}, "--angle"},
        {{"--rate", "24", "--angle", "180", "--light", "100:2x"}, "--light"},
        {{"--rate", "24", "--angle", "180", "--light", "100:1:square"}, "square"},
        {{"--rate", "24", "--angle", "180", "--steps", "fifth"}, "--steps"},
        {{"--rate", "24", "--angle", "180", "--steps", "list:1/50,x"}, "--steps"},
        {{"--rate", "24", "--angle", "180", "--readout", "-3"}, "--readout"}};
    for (const auto& [options, place] : wrong) {
        std::vector<std::string> args = {"shutter"};
        args.insert(args.end(), options.begin(), options.end());
        const auto result = ran(args);
        EXPECT_EQ(result.code, kBadInput) << place;
        EXPECT_NE(result.err.find(place), std::string::npos) << result.err;
    }
    std::vector<std::string> many = {"shutter", "--rate", "24", "--angle", "180"};
    for (int i = 0; i < 70; ++i)
        many.insert(many.end(), {"--light", "100"});
    EXPECT_NE(ran(many).err.find("at most 64"), std::string::npos);
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

// Record times with all of the capacity: common practice, no source (tables of several makers
// agree). 512 GB at 810 Mb/s are 5056.8 s.
TEST(CliMedia, LastsAndFits) {
    const auto wide = ran({"media", "--bit-rate", "810Mb/s", "--capacity", "512GB", "--json"});
    EXPECT_NEAR(wide.json()["record_time_s"].get<double>() / 60, 84.3, 0.05);
    const auto fits = ran({"media", "--bit-rate", "240Mb/s", "--capacity", "128GB", "--usable",
                           "0.9", "--class", "V60", "--peak", "1.1", "--json"});
    EXPECT_EQ(fits.code, kGood);
    EXPECT_NEAR(fits.json()["record_time_s"].get<double>(), 3840, 0.01);
    EXPECT_NEAR(fits.json()["required_write_bytes_per_s"].get<double>(), 33e6, 1);
    EXPECT_EQ(fits.json()["fit"], "fits");
    EXPECT_EQ(
        ran({"media", "--bit-rate", "400Mb/s", "--capacity", "1TB", "--class", "V60", "--json"})
            .json()["fit"],
        "marginal");
    EXPECT_EQ(ran({"media", "--bit-rate", "481Mb/s", "--capacity", "1TB", "--class", "V60"}).code,
              1);
    for (const auto& wrong : std::vector<std::vector<std::string>>{
             {"--bit-rate", "0Mb/s", "--capacity", "1TB"},
             {"--bit-rate", "fast", "--capacity", "1TB"},
             {"--bit-rate", "9Mb/s", "--capacity", "-4GB"},
             {"--bit-rate", "9Mb/s", "--capacity", "4GB", "--class", "V61"},
             {"--bit-rate", "9Mb/s", "--capacity", "4GB", "--usable", "0"},
             {"--bit-rate", "9Mb/s", "--capacity", "4GB", "--peak", "0.5"}}) {
        std::vector<std::string> args = {"media"};
        args.insert(args.end(), wrong.begin(), wrong.end());
        const auto result = ran(args);
        EXPECT_EQ(result.code, kBadInput) << wrong.back();
        EXPECT_NE(result.err.find("expected"), std::string::npos) << result.err;
    }
}

TEST(CliDay, PlansTheDemo) {
    const auto all = ran({"day", kShoot, "--json"});
    EXPECT_EQ(all.code, 1) << "the interview outlasts a clip limit";
    const auto node = all.json();
    ASSERT_EQ(node["days"].size(), 2u);
    for (const char* key : {"takes", "assignments", "swaps", "offloads", "batteries", "findings",
                            "safe_s", "recorded_bytes", "optimal", "least_changes"})
        EXPECT_TRUE(node["days"][1].contains(key)) << key;
    EXPECT_EQ(node["days"][1]["swaps"].size(), 2u);
    EXPECT_FALSE(node["pack"].empty());
    const auto one = ran({"day", kShoot, "--day", "1", "--text"});
    EXPECT_EQ(one.code, kGood) << one.out;
    EXPECT_NE(one.out.find("Pack"), std::string::npos);
    EXPECT_EQ(ran({"day", kShoot, "--day", "9"}).code, kBadInput);
    EXPECT_EQ(ran({"day", "nowhere.bslate"}).code, kBadInput);
}

TEST(CliCardBench, SimulatesAndAsksBeforeItWrites) {
    const auto tired = ran({"card-bench", "--simulated", "V60:tired", "--size", "40MB", "--rate",
                            "400Mb/s", "--buffer", "40MB", "--json"});
    EXPECT_EQ(tired.code, 1) << "40 MB last 0.8 s";
    EXPECT_NEAR(tired.json()["sustained_bytes_per_s"].get<double>(), 60e6, 3e6);
    EXPECT_GT(tired.json()["camera"]["drop_chance_per_hour"].get<double>(), 0.5);
    EXPECT_EQ(ran({"card-bench", "--simulated", "V60", "--size", "40MB", "--rate", "240Mb/s"}).code,
              kGood);
    const TemporaryFolder folder;
    spit(folder / "mine.txt", "keep");
    const auto asked = ran({"card-bench", "--folder", folder.path().string(), "--size", "20MB"});
    EXPECT_EQ(asked.code, kBadInput);
    EXPECT_NE(asked.err.find("--yes"), std::string::npos);
    const auto wrote = ran(
        {"card-bench", "--folder", folder.path().string(), "--size", "20MB", "--yes", "--json"});
    EXPECT_EQ(wrote.code, kGood) << wrote.err;
    EXPECT_EQ(wrote.json()["written_bytes"], 20e6);
    EXPECT_EQ(slurp(folder / "mine.txt"), "keep");
    std::size_t files = 0;
    for ([[maybe_unused]] const auto& entry : std::filesystem::directory_iterator(folder.path()))
        ++files;
    EXPECT_EQ(files, 1u) << "its own file is gone";
    EXPECT_EQ(ran({"card-bench", "--folder", "/nowhere", "--yes"}).code, kBadInput);
    EXPECT_EQ(ran({"card-bench", "--folder", "/proc", "--size", "20MB", "--yes"}).code, kBadInput);
    EXPECT_EQ(ran({"card-bench"}).code, kBadInput);
    EXPECT_EQ(ran({"card-bench", "--simulated", "V60", "--size", "9TB"}).code, kBadInput);
}

} // namespace
} // namespace bslate::cli
