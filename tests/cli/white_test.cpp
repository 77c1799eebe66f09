#include "cli/ran.h"
#include "io/stills/still_file.h"
#include "support/sample_chart.h"

#include <gtest/gtest.h>

namespace bslate::cli {
namespace {

TEST(WhiteVerb, GivesTheTemperatureOfAChromaticity) {
    const auto tube = ran({"white", "--xy", "0.3721,0.3751", "--json"});
    ASSERT_EQ(tube.code, 0) << tube.err;
    EXPECT_NEAR(tube.json()["cct_k"].get<double>(), 4224, 1.5);
    EXPECT_NEAR(tube.json()["duv"].get<double>(), 0.0018, 0.00006);
    EXPECT_EQ(ran({"white", "--xy", "0.3127,0.3290"}).out, "6505 K, Duv +0.0032\n");
}

TEST(WhiteVerb, TellsWhatMovingWhiteCosts) {
    const auto later = ran({"white", "--from", "3200K", "--to", "5600K", "--json"}).json();
    EXPECT_NEAR(later["mired_shift"].get<double>(), -133.93, 0.01);
    EXPECT_NEAR(later["gains_stops"]["red"].get<double>(), 0.49, 0.02);
    EXPECT_NEAR(later["gains_stops"]["blue"].get<double>(), -1.0, 0.02);
    EXPECT_EQ(later["gains_stops"]["green"].get<double>(), 0);
    EXPECT_TRUE(later["codes_in_stop"].is_null());
    EXPECT_TRUE(later["generic_sensor"].get<bool>());
    const auto duv = ran({"white", "--from", "3200K,0.004", "--to", "3200K", "--json"}).json();
    EXPECT_NEAR(duv["duv_shift"].get<double>(), -0.004, 1e-9);
    const auto own = ran({"white", "--from", "3200K", "--to", "5600K", "--kit", kKit, "--camera",
                          "sedge-2", "--profile", "sedge-flat", "--bits", "8", "--json"})
                         .json();
    EXPECT_FALSE(own["generic_sensor"].get<bool>());
    EXPECT_NEAR(own["gains_stops"]["red"].get<double>(), 0.5, 0.02) << "0.05 - -0.45, as found";
    EXPECT_NEAR(own["gains_stops"]["blue"].get<double>(), -1.05, 0.02);
    EXPECT_GT(own["codes_in_stop"]["blue"].get<int>(), own["codes_in_stop"]["red"].get<int>());
}

TEST(WhiteVerb, TellsASetupsLightsChannelsAndWaysOut) {
    const auto shop = ran({"white", kShoot, "--setup", "3A", "--json"});
    ASSERT_EQ(shop.code, 0) << shop.err;
    const auto json = shop.json();
    EXPECT_EQ(json["white"]["text"], "4100 K");
    EXPECT_EQ(json["lights"].size(), 2u);
    EXPECT_EQ(json["lights"][0]["cct_k"].get<double>(), 4100);
    EXPECT_EQ(json["setting"]["key"]["text"], "4100 K M8");
    for (const char* channel : {"red", "green", "blue"}) {
        const auto& one = json["channels"][channel];
        EXPECT_NEAR(one["clip_stops"].get<double>() + one["gain_stops"].get<double>(), 6.1, 0.01);
    }
    EXPECT_EQ(json["patches"].size(), 5u);
    bool green = false;
    for (const auto& finding : json["findings"])
        green = green || finding["id"] == "light-green";
    EXPECT_TRUE(green);
    EXPECT_NE(ran({"white", kShoot, "--setup", "3A"}).out.find("old tubes"), std::string::npos);
    EXPECT_EQ(ran({"white", kShoot, "--setup", "4A", "--json"}).json()["ratios"].size(), 2u);
}

TEST(WhiteVerb, WrongEntriesSayWhatWasExpected) {
    const struct {
        std::vector<std::string> args;
        const char* says;
    } wrong[] = {
        {{"white"}, "one of --xy"},
        {{"white", "--from", "3200K", "--to", "5600K", "--bits", "8"}, "--kit FILE --profile"},
        {{"white", "--xy", "0.3"}, "x and y"},
        {{"white", "--xy", "0.1,0.8"}, "no colour temperature"},
        {{"white", "--xy", "0.9,0.9"}, "at most 1"},
        {{"white", "--from", "500K", "--to", "5500K"}, "1667K"},
        {{"white", "--from", "90000K", "--to", "5500K"}, "40000K"},
        {{"white", "--from", "3200K"}, "--to"},
        {{"white", "--from", "3200K,0.2", "--to", "5500K"}, "0.05"},
        {{"white", "--xy", "0.3,0.3", kShoot}, "one of --xy"},
        {{"white", "--from", "3200K", "--to", "5600K", "--kit", kKit, "--camera", "none"},
         "tarn-6"}};
    for (const auto& row : wrong) {
        const auto done = ran(row.args);
        EXPECT_EQ(done.code, 2) << row.says;
        EXPECT_NE(done.err.find(row.says), std::string::npos) << done.err;
    }
}

TEST(SensorVerb, FindsAPlantedSensorInAPicture) {
    Random random(51);
    const TemporaryFolder folder;
    const auto file = [&](const char* name) { return (folder / name).string(); };
    const Gamut sensor{{0.69, 0.31}, {0.22, 0.74}, {0.14, 0.05}, {0.34, 0.33}};
    const ColourPoint light{Kelvin(4300), usualDuv(Kelvin(4300))};
    const auto chart = sample::chart(6, 4, random);
    const auto seen = sample::seen(chart, sensor, light, 0.5);
    spit(file("chart.txt"), sample::textOf(chart));
    ASSERT_TRUE(io::writePicture(sample::pictureOf(chart, seen), file("chart.exr"), false));
    std::vector<std::string> args = {
        "sensor",          kShoot,    "--setup",         "2A",     "--picture",
        file("chart.exr"), "--chart", file("chart.txt"), "--area", "0.25,0.25,0.5,0.5",
        "--light",         "4300K",   "--json"};
    EXPECT_NE(ran(args).err.find("--own"), std::string::npos) << "a profile has its own primaries";
    args.emplace_back("--own");
    const auto found = ran(args);
    ASSERT_EQ(found.code, 0) << found.err;
    const auto json = found.json();
    EXPECT_NEAR(json["primaries"]["green"]["x"].get<double>(), 0.22, 0.003);
    EXPECT_NEAR(json["primaries"]["green"]["y"].get<double>(), 0.74, 0.003);
    EXPECT_LT(json["mean_difference"].get<double>(), 0.5);
    EXPECT_TRUE(json["gains"].is_null());
    EXPECT_EQ(json["patches"].size(), 24u);
    args[9] = "0,0,1,1";
    EXPECT_NE(ran(args).err.find("the place, columns and light of this chart"), std::string::npos);
    args[9] = "0.25,0.25,0.5,0.5";
    for (const char* text :
         {"", "CGATS.17\nBEGIN_DATA\n", "CGATS.17\n.INCLUDE \"/etc/passwd\"\n"}) {
        spit(file("chart.txt"), text);
        const auto broken = ran(args);
        EXPECT_NE(broken.code, 0);
        EXPECT_NE(broken.err.find("CGATS text"), std::string::npos) << broken.err;
        EXPECT_EQ(broken.err.find("root:"), std::string::npos);
    }
}

} // namespace
} // namespace bslate::cli
