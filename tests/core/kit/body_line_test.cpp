// A body typed as lines: what is written reads back, what cannot be is named.
#include "core/kit/body_line.h"
#include "core/kit/edit.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

Body whole() {
    Body body;
    Bank forgetful;
    forgetful.label = "two words";
    std::erase(forgetful.holds, BodySetting::Shutter);
    forgetful.locked = true;
    Bank small;
    small.label = "4";
    small.place = BankPlace::Card;
    small.holds = {BodySetting::Rate, BodySetting::White};
    body.banks = {{"1", BankPlace::Inside, {kBankSettings.begin(), kBankSettings.end()}, false, {}},
                  forgetful,
                  small};
    body.slips = {{BodySetting::White, SlipCause::PowerOn, "5600 K", {}},
                  {BodySetting::Compensation, SlipCause::Knock, "", {}}};
    body.automatics = {{AutomaticKind::EyeSensor, "Setup 3", "the screen goes dark", {}},
                       {AutomaticKind::Iso, "", "", {}}};
    body.controls = {
        {"front dial",
         ControlPlace::Finger,
         ControlKind::Dial,
         Function::Iris,
         {Function::Rating, Function::White},
         Function::White,
         true,
         {}},
        {"Bin", ControlPlace::Back, ControlKind::Button, Function::Erase, {}, {}, false, {}}};
    body.quickMenu = 8;
    body.ownMenu = 2;
    body.facts = {"2.10", "50 Hz", "set 2026-05-01, within a second"};
    return body;
}

TEST(BodyLine, WhatIsWrittenReadsBack) {
    const auto lines = bodyLines(whole());
    const auto body = bodyFrom({}, lines);
    ASSERT_TRUE(body.ok()) << message(body.error());
    EXPECT_TRUE(*body == whole());
    EXPECT_EQ(lines[1], "bank \"two words\" inside without shutter locked");
    EXPECT_EQ(lines[2], "bank 4 card holds rate, white");
    EXPECT_EQ(lines[3], "slips white power-on to 5600 K");
    EXPECT_EQ(lines[5], "auto eye-sensor in Setup 3 : the screen goes dark");
    EXPECT_EQ(lines[7], "control \"front dial\" dial finger printed iris takes rating, white "
                        "chosen white each-mode");
    EXPECT_TRUE(*bodyFrom({}, {"", "  "}) == Body{});
}

TEST(BodyLine, NamesTheLineAndWhatWasExpected) {
    const struct {
        const char* line;
        const char* got;
        const char* expected;
    } wrong[] = {{"bank 2 inside holds", "2", "at least one setting"},
                 {"bank 2 inside without shuter", "shuter", "shutter"},
                 {"bank 1 card", "1", "only once"},
                 {"control Top button top", "Top", "a function"},
                 {"control Top button top takes shoot", "shoot", "a kind"},
                 {"slips white sometimes", "sometimes", "power-on"},
                 {"slips everything knock", "everything", "a setting"},
                 {"auto pilot", "pilot", "eye-sensor"},
                 {"quick many", "many", "0 to 40"},
                 {"own 21", "21", "0 to 20"},
                 {"banks 3", "banks", "bank, slips, auto"}};
    for (const auto& one : wrong) {
        const auto body = bodyFrom({}, {"bank 1 inside", "", one.line});
        ASSERT_FALSE(body.ok()) << one.line;
        EXPECT_EQ(body.error().place, "line 3") << one.line;
        EXPECT_EQ(body.error().got, one.got) << one.line;
        EXPECT_NE(body.error().expected.find(one.expected), std::string::npos)
            << body.error().expected;
    }
}

TEST(BodyLine, BanksOfTheLinesAreCounted) {
    Camera camera = sample::shoot().kit.cameras[0];
    camera.banks = {3, 2};
    EXPECT_EQ(banksOf(camera).size(), 5u);
    EXPECT_EQ(banksOf(camera)[4].label, "5");
    EXPECT_EQ(banksOf(camera)[4].place, BankPlace::Card);
    const auto same = withBodyLines(camera, {"quick 4"});
    ASSERT_TRUE(same.ok());
    EXPECT_EQ(same->banks, (BankCount{3, 2})) << "no line names a bank";
    const auto named = withBodyLines(camera, {"bank 1 inside", "bank C card"});
    ASSERT_TRUE(named.ok());
    EXPECT_EQ(named->banks, (BankCount{1, 1}));
    EXPECT_EQ(banksOf(*named)[1].label, "C");
}

} // namespace
} // namespace bslate
