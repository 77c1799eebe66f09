// Days in a shoot file, and gear of a day in a kit file: read, written, and refused with a pointer.
#include "core/quantity/parse_gear.h"
#include "io/json/kit_json.h"
#include "io/json/shoot_json.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace bslate::io {
namespace {

using Json = nlohmann::ordered_json;

Json demo() {
    return Json::parse(
        sample::slurp(sample::root() / "tests/data/shoots/v3/slack-water-media.bslate"));
}

TEST(DayJson, EverythingOfADayComesBack) {
    auto shoot = readShoot(demo().dump(), "demo", {}).valueOr({});
    ASSERT_EQ(shoot.plan.size(), 2u);
    auto& day = shoot.plan[1];
    day.safeBy = Seconds(600); // ten past midnight
    day.takes[6].began = Seconds(13 * 3600.0 + 240);
    day.takes[6].ran = Seconds(4512);
    day.takes[6].gap = Seconds(0);
    day.takes[6].cards = {{"s4a", "cf", "cf-512:2", {}}, {"s4b", "sd-1", "sd-v60:4", {}}};
    day.failures = {{"sd-v60:1", Seconds(15 * 3600.0), {}}};
    day.accepted = {{"day-clip-limit:t7", "the editor cuts there", {}}};
    shoot.setups[0].secondSlot = SecondSlot::Proxy;
    shoot.brief.copies = 3;
    shoot.brief.finished = Seconds(720);
    const auto again = readShoot(writeShoot(shoot), "again", {});
    ASSERT_TRUE(again.ok()) << message(again.error());
    EXPECT_EQ(*again, shoot);
}

TEST(DayJson, KeysOfALaterVersionAreKept) {
    auto json = demo();
    json["plan"][0]["weather"] = "fog";
    json["plan"][0]["takes"][0]["mood"] = "calm";
    const auto shoot = readShoot(json.dump(), "demo", {});
    ASSERT_TRUE(shoot.ok());
    const auto written = Json::parse(writeShoot(*shoot));
    EXPECT_EQ(written["plan"][0]["weather"], "fog");
    EXPECT_EQ(written["plan"][0]["takes"][0]["mood"], "calm");
}

struct Broken {
    const char* pointer; ///< what is replaced
    Json value;
    const char* place; ///< of the error; empty: the same
    const char* expected;
};

class BrokenDay : public ::testing::TestWithParam<Broken> {};

TEST_P(BrokenDay, IsRefusedWithItsPlace) {
    const auto& broken = GetParam();
    auto json = demo();
    json[Json::json_pointer(broken.pointer)] = broken.value;
    const auto shoot = readShoot(json.dump(), "demo.bslate", {});
    ASSERT_FALSE(shoot.ok());
    EXPECT_EQ(shoot.error().file, "demo.bslate");
    EXPECT_EQ(shoot.error().place, *broken.place ? broken.place : broken.pointer)
        << message(shoot.error());
    EXPECT_NE(shoot.error().expected.find(broken.expected), std::string::npos)
        << message(shoot.error());
}

const Broken kBroken[] = {
    {"/plan/0/number", 0, "", "1"},
    {"/plan/1/number", 1, "/plan", "every day only once"},
    {"/plan/0/start", "25:00", "", "a time of day"},
    {"/plan/0/takes/0/length", "-5 min", "", "length"},
    {"/plan/0/takes/0/length", 720, "", "text"},
    {"/plan/0/takes/0/gap_s", -1, "", "0"},
    {"/plan/0/takes/1/id", "t1", "/plan/0/takes", "every id only once"},
    {"/plan/0/takes/0/whole", "yes", "", "true or false"},
    {"/plan/0/takes/0/setups", "s1a", "", "list"},
    {"/brief/copies", 0, "", "1"},
    {"/setups/0/second_slot", "both", "", "mirror"},
    {"/kit/cards/0/capacity", "0 GB", "", "above 0"},
    {"/kit/cards/0/speed_class", "V61", "", "V60"},
    {"/kit/cards/0/read", "fast", "", "bit rate"},
    {"/kit/batteries/0/health", 0, "", "0.01"},
    {"/kit/readers/0/forms/0", "floppy", "/kit/readers/0/forms", "cfexpress"},
    {"/kit/readers/0/bus", "0 Mb/s", "", "above 0"},
    {"/kit/drives/0/write", "-1 Mb/s", "", "bit rate"},
    {"/kit/chargers/0/bays", 0, "", "1"},
    {"/kit/chargers/0/power", "0 W", "", "more than 0 W"},
    {"/kit/chargers/0/batteries/0", "gone", "", "a battery in this kit"},
    {"/kit/cameras/0/slots/0/most", "lots", "", "bit rate"},
};

INSTANTIATE_TEST_SUITE_P(All, BrokenDay, ::testing::ValuesIn(kBroken), [](const auto& one) {
    std::string name = one.param.pointer + std::to_string(one.index);
    std::erase_if(name, [](char c) { return c == '/' || c == '_'; });
    return name;
});

TEST(DayJson, TooManyTakesAreRefused) {
    auto json = demo();
    auto& takes = json["plan"][0]["takes"];
    const Json model = takes[0];
    for (int i = 0; i < 2001; ++i) {
        takes.push_back(model);
        takes.back()["id"] = "more" + std::to_string(i);
    }
    const auto shoot = readShoot(json.dump(), "demo", {});
    ASSERT_FALSE(shoot.ok());
    EXPECT_EQ(shoot.error().expected, "at most 2000 takes a day");
}

// "85.5 s" is a length whatever the locale writes; this program is run once under one with commas.
TEST(DayJson, NumbersDoNotDependOnTheLocale) {
    ASSERT_TRUE(parseDuration("85.5 s").ok());
    EXPECT_EQ(*parseDuration("85.5 s"), Seconds(85.5));
    Shoot shoot;
    ShootDay day;
    Take take;
    take.id = "t";
    take.setups = {"s"};
    take.length = Seconds(85.5);
    take.at = Seconds(20430.5);
    take.gap = Seconds(0.25);
    day.takes = {take};
    shoot.plan = {day};
    const auto text = writeShoot(shoot);
    const auto read = readShoot(text, "a.bslate", {});
    ASSERT_TRUE(read.ok()) << message(read.error());
    EXPECT_EQ(read->plan[0].takes[0].length, Seconds(85.5));
    EXPECT_EQ(read->plan[0].takes[0].at, Seconds(20430.5)) << "seconds are kept";
    EXPECT_EQ(writeShoot(*read), text);
}

} // namespace
} // namespace bslate::io
