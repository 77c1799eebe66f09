#include "cli/ran.h"

#include <gtest/gtest.h>

#include <cmath>
#include <filesystem>
#include <iterator>

namespace bslate::cli {
namespace {

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
    EXPECT_EQ(cells[0]["reasons"][0], "MP4 has no 48");
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
