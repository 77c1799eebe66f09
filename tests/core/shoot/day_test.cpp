#include "core/quantity/print.h"
#include "core/shoot/edit.h"
#include "core/shoot/take_line.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

Shoot twoCameras() {
    Shoot shoot;
    Scene scene;
    scene.id = "talk";
    scene.name = "Talk";
    scene.day = 2;
    scene.start = Seconds(13 * 3600.0);
    scene.longestTake = Seconds(1200);
    scene.footage = Seconds(3000);
    shoot.scenes = {scene};
    for (const char* number : {"4A", "4B", "4C"}) {
        Setup setup;
        setup.id = std::string("s") + number;
        setup.number = number;
        setup.scene = "talk";
        setup.camera = number[1] == 'B' ? "two" : "one";
        shoot.setups.push_back(setup);
    }
    return shoot;
}

TEST(Day, TakesFollowEachOtherAndWaitForTheirHour) {
    ShootDay day;
    day.start = Seconds(8 * 3600.0);
    day.takes.resize(3);
    day.takes[0].length = Seconds(600);
    day.takes[1].length = Seconds(1200);
    day.takes[1].at = Seconds(10 * 3600.0);
    day.takes[2].gap = Seconds(900);
    auto times = timesOf(day);
    EXPECT_EQ(times[0].start, Seconds(8 * 3600.0));
    EXPECT_EQ(times[1].start, Seconds(10 * 3600.0));
    EXPECT_EQ(times[2].start, Seconds(10 * 3600.0 + 1200 + 900));
    // It really began later and ran long: what follows is pushed.
    day.takes[1].began = Seconds(10.5 * 3600);
    day.takes[1].ran = Seconds(2000);
    times = timesOf(day);
    EXPECT_EQ(times[1].start, Seconds(10.5 * 3600));
    EXPECT_EQ(times[2].start, Seconds(10.5 * 3600 + 2000 + 900));
    // A take that began before the day was to start is of this day, and what follows follows it.
    ShootDay early;
    early.start = Seconds(8 * 3600.0);
    early.takes.resize(2);
    early.takes[0].began = Seconds(7 * 3600.0 + 55 * 60);
    early.takes[0].ran = Seconds(600);
    EXPECT_EQ(timesOf(early)[0].start, Seconds(7 * 3600.0 + 55 * 60));
    EXPECT_EQ(timesOf(early)[1].start, Seconds(8 * 3600.0 + 5 * 60 + 300));
    EXPECT_EQ(onDay(early.start, Seconds(7.5 * 3600)), Seconds(7.5 * 3600));
    EXPECT_EQ(onDay(early.start, Seconds(1800)), Seconds(24.5 * 3600));
    EXPECT_EQ(nextAfter(early.start, Seconds(7 * 3600.0)), Seconds(31 * 3600.0));
    // The small hours belong to the evening before.
    day.start = Seconds(20 * 3600.0);
    day.takes[1].began.reset();
    day.takes[1].at = Seconds(1800);
    EXPECT_EQ(timesOf(day)[1].start, Seconds(24.5 * 3600));
}

TEST(TakeLine, IsReadAndGivenBack) {
    const auto shoot = twoCameras();
    const auto take = parseTakeLine(shoot, " 4a+4B 70min WHOLE 13:00 gap20min the interview");
    ASSERT_TRUE(take.ok());
    EXPECT_EQ(take->setups, (std::vector<std::string>{"s4A", "s4B"}));
    EXPECT_EQ(take->length, Seconds(4200));
    EXPECT_TRUE(take->whole);
    EXPECT_EQ(take->at, Seconds(13 * 3600.0));
    EXPECT_EQ(take->gap, Seconds(1200));
    EXPECT_EQ(take->name, "the interview");
    EXPECT_EQ(lineOf(shoot, *take), "4A+4B 70min whole 13:00 gap20min the interview");
    EXPECT_EQ(*parseTakeLine(shoot, lineOf(shoot, *take)), *take);
    EXPECT_EQ(parseTakeLine(shoot, "4A 90s gap0")->gap, Seconds(0));
    const struct {
        const char* line;
        ErrorCode code;
        const char* got;
    } wrong[] = {{"", ErrorCode::EmptyText, ""},
                 {"4A", ErrorCode::EmptyText, "4A"},
                 {"9Z 10min", ErrorCode::UnknownId, "9Z"},
                 {"4A+4C 10min", ErrorCode::OutOfRange, "4A+4C"},
                 {"4A 10min 20min", ErrorCode::OutOfRange, "20min"},
                 {"4A 0min", ErrorCode::OutOfRange, "0min"},
                 {"4A -5min", ErrorCode::EmptyText, "4A -5min"},
                 {"4A 10min gap9x", ErrorCode::OutOfRange, "gap9x"}};
    for (const auto& one : wrong) {
        const auto result = parseTakeLine(shoot, one.line);
        ASSERT_FALSE(result.ok()) << one.line;
        EXPECT_EQ(result.error().code, one.code) << one.line << ": " << message(result.error());
        EXPECT_EQ(result.error().got, one.got) << one.line;
        EXPECT_FALSE(result.error().expected.empty());
    }
}

TEST(Happened, IsALengthAndPerhapsAnHour) {
    EXPECT_EQ(parseHappened("75min")->ran, Seconds(4500));
    EXPECT_FALSE(parseHappened("75min")->began);
    EXPECT_EQ(parseHappened("13:04 1 h 15 min")->began, Seconds(13 * 3600.0 + 240));
    EXPECT_EQ(parseHappened("13:04 1 h 15 min")->ran, Seconds(4500));
    for (const char* wrong : {"", "13:04", "long", "13:04 long", "-5min"})
        EXPECT_FALSE(parseHappened(wrong).ok()) << wrong;
}

// 50 min in takes of at most 20: three equal ones; cameras of a scene roll together, the second
// setup of a camera after the first, each round with half of the footage.
TEST(TakesFromScenes, SplitTheFootage) {
    auto shoot = twoCameras();
    const auto takes = takesFromScenes(shoot, 2);
    ASSERT_EQ(takes.size(), 4u);
    EXPECT_EQ(takes[0].setups, (std::vector<std::string>{"s4A", "s4B"}));
    EXPECT_EQ(takes[0].length, Seconds(750));
    EXPECT_TRUE(takes[0].whole);
    EXPECT_EQ(takes[0].at, Seconds(13 * 3600.0));
    EXPECT_FALSE(takes[1].at);
    EXPECT_EQ(takes[2].setups, (std::vector<std::string>{"s4C"}));
    EXPECT_TRUE(takesFromScenes(shoot, 1).empty());
    EXPECT_EQ(dayOf(shoot, 2).start, Seconds(12 * 3600.0)) << "an hour before the first scene";
    EXPECT_EQ(dayNumbers(shoot), std::vector<int>{2});
    ShootDay first;
    first.number = 1;
    shoot = applied(applied(shoot, {.day = dayOf(shoot, 2)}), {.day = first});
    ASSERT_EQ(shoot.plan.size(), 2u);
    EXPECT_EQ(shoot.plan[0].number, 1) << "by number";
}

// Whatever a take is called and its setups are numbered, its line gives it back.
TEST(TakeLine, ComesBackWhateverItIsCalled) {
    auto shoot = twoCameras();
    shoot.setups[0].number = "4 A+";
    for (const char* name : {"", "whole", "the whole thing", "70min", "05:40", "gap5min",
                             "a \"b\" c", "two  spaces", " leading", "back\\slash", "12"}) {
        Take take;
        take.name = name;
        take.setups = {"s4A", "s4B"};
        take.length = Seconds(85.5);
        take.at = Seconds(20430);
        take.gap = Seconds(0);
        take.whole = true;
        const auto line = lineOf(shoot, take);
        const auto read = parseTakeLine(shoot, line);
        ASSERT_TRUE(read.ok()) << line << ": " << message(read.error());
        EXPECT_EQ(*read, take) << line;
    }
    EXPECT_FALSE(parseTakeLine(shoot, "4B 24:99").ok());
}

} // namespace
} // namespace bslate
