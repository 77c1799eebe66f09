// Banks, pre-roll and record on the demo shoot, by the command line.
#include "cli/ran.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <set>

namespace bslate::cli {
namespace {

nlohmann::json asked(std::vector<std::string> args) {
    args.push_back("--json");
    const auto answer = ran(args);
    EXPECT_EQ(answer.code, kGood) << answer.err;
    return answer.code == kGood ? answer.json() : nlohmann::json::object();
}

TEST(CliBanks, PlansEveryCameraOfTheDemo) {
    const auto json = asked({"banks", kShoot});
    ASSERT_EQ(json["cameras"].size(), 3u);
    for (const auto& camera : json["cameras"]) {
        EXPECT_TRUE(camera["proven"].get<bool>()) << camera["camera"];
        EXPECT_EQ(camera["cost_s"], camera["at_least_s"]);
        double sum = 0;
        std::set<std::string> functions, setups;
        for (const auto& hand : camera["by_hand"]) {
            sum += hand["cost_s"].get<double>();
            EXPECT_EQ(hand["settings"].size(), hand["values"].size());
            setups.insert(hand["setup"].get<std::string>());
        }
        EXPECT_DOUBLE_EQ(sum, camera["cost_s"].get<double>());
        for (const auto& bank : camera["banks"]) {
            EXPECT_EQ(bank["setups"].empty(), bank["values"].empty()) << bank;
            EXPECT_FALSE(bank["locked"].get<bool>() && !bank["setups"].empty());
        }
        ASSERT_EQ(camera["alternatives"].size(), 3u);
        for (const auto& school : camera["alternatives"])
            EXPECT_GE(school["cost_s"], camera["cost_s"]);
        EXPECT_FALSE(camera["controls"].empty());
        for (const auto& control : camera["controls"])
            if (control["function"].is_string())
                EXPECT_TRUE(functions.insert(control["function"].get<std::string>()).second)
                    << control;
        EXPECT_EQ(setups.size(), camera["by_hand"].size());
    }
    // The shoot's own threads are dearer, and the card's bank is a fault of theirs.
    const auto tarn = asked({"banks", kShoot, "--camera", "tarn-6", "--as-is"})["cameras"][0];
    EXPECT_GT(tarn["cost_s"], tarn["at_least_s"]);
    const auto sedge = asked({"banks", kShoot, "--camera", "sedge-2", "--as-is"})["cameras"][0];
    EXPECT_TRUE(std::any_of(sedge["findings"].begin(), sedge["findings"].end(),
                            [](const auto& finding) {
                                return finding["id"] == "bank-lost:4" ||
                                       finding["id"] == "bank-lost";
                            }))
        << sedge["findings"];
    const auto text = ran({"banks", kShoot, "--camera", "tarn-6"});
    EXPECT_NE(text.out.find("By hand after recall"), std::string::npos);
    EXPECT_NE(text.out.find("One bank a look"), std::string::npos);
    EXPECT_EQ(ran({"banks", kShoot, "--camera", "none"}).code, kBadInput);
}

TEST(CliPreroll, ListsWhatToCheckWithReasonsAndPlaces) {
    const auto json = asked({"preroll", kShoot, "--setup", "3A"});
    std::set<std::string> ids;
    for (const auto& check : json["checks"]) {
        EXPECT_TRUE(ids.insert(check["id"].get<std::string>()).second) << check;
        EXPECT_FALSE(check["text"].get<std::string>().empty());
        EXPECT_FALSE(check["reason"].get<std::string>().empty());
    }
    for (const char* id : {"card", "battery", "region", "recall", "bank-changed",
                           "take-automatic-white", "hand-stabiliser", "sound"})
        EXPECT_TRUE(ids.contains(id)) << id;
    const auto borrowed = asked({"preroll", kShoot, "--borrowed", "pip"});
    EXPECT_EQ(borrowed["checks"][0]["id"], "start-record");
    EXPECT_NE(ran({"preroll", kShoot, "--setup", "3A"}).out.find("[ ]"), std::string::npos);
    EXPECT_EQ(ran({"preroll", kShoot, "--setup", "9Z"}).code, kBadInput);
    EXPECT_EQ(ran({"preroll", kShoot}).code, kBadInput);
}

TEST(CliRecord, GoesOutAndComesBack) {
    TemporaryFolder folder;
    const auto csv = (folder / "tarn.csv").string(), json = (folder / "tarn.json").string();
    const auto out = (folder / "back.bslate").string();
    ASSERT_EQ(ran({"record", kShoot, "--camera", "tarn-6", "-o", csv}).code, kGood);
    ASSERT_EQ(ran({"record", kShoot, "--camera", "tarn-6", "-o", json}).code, kGood);
    for (const auto& from : {csv, json}) {
        const auto back =
            ran({"record", kShoot, "--camera", "tarn-6", "--from", from, "-o", out, "--force"});
        ASSERT_EQ(back.code, kGood) << back.err;
        const auto again = asked({"record", out, "--camera", "tarn-6"});
        EXPECT_EQ(again, asked({"record", kShoot, "--camera", "tarn-6"})) << from;
    }
    const auto other = ran({"record", kShoot, "--camera", "pip", "--from", csv});
    EXPECT_EQ(other.code, kBadInput);
    EXPECT_NE(other.err.find("line 2"), std::string::npos) << other.err;
    EXPECT_NE(other.err.find("another camera's"), std::string::npos) << other.err;
    EXPECT_EQ(ran({"record", kShoot, "--camera", "pip"}).code, kBadInput) << "nothing is on record";
    EXPECT_EQ(ran({"record", kShoot, "--camera", "tarn-6", "-o", csv}).code, kBadInput)
        << "what is there stays";
}

} // namespace
} // namespace bslate::cli
