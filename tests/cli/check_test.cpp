#include "cli/ran.h"

#include <gtest/gtest.h>

#include <cmath>
#include <filesystem>
#include <iterator>

namespace bslate::cli {
namespace {

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

TEST(CliValidate, KnowsKitsAndShootsAndNamesThePlaceOfAFault) {
    EXPECT_EQ(ran({"validate", kKit}).code, kGood);
    EXPECT_EQ(ran({"validate", kShoot, "--json"}).json()["format"], "bright-slate-shoot");
    TemporaryFolder folder;
    auto json = nlohmann::json::parse(slurp(kKit));
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

} // namespace
} // namespace bslate::cli
