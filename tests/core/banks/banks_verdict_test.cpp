// The judgements on banks and controls; a remedy, carried out, cures.
#include "core/banks/bank_record.h"
#include "core/banks/banks_verdict.h"
#include "core/banks/sample_banks.h"
#include "core/words/wording.h"

#include <gtest/gtest.h>

#include <algorithm>

namespace bslate {
namespace {

using sample::addSetup;
using sample::bank;

std::vector<Finding> judged(const Shoot& shoot) {
    return judgeBanks(shoot, shoot.kit.cameras[0], sample::planned(shoot));
}

const Finding* found(const std::vector<Finding>& findings, FindingId id) {
    const auto one = std::find_if(findings.begin(), findings.end(),
                                  [&](const Finding& f) { return f.id == id; });
    return one == findings.end() ? nullptr : &*one;
}

// Every remedy of a finding leaves a shoot without it.
void expectCured(const Shoot& shoot, const Finding& finding) {
    ASSERT_FALSE(finding.remedies.empty()) << titleOf(finding);
    for (const auto& remedy : finding.remedies) {
        EXPECT_EQ(titleOf(remedy).find('{'), std::string::npos) << titleOf(remedy);
        EXPECT_EQ(effectOf(remedy).find('{'), std::string::npos) << effectOf(remedy);
        const auto after = judged(applied(shoot, remedy.edit));
        EXPECT_TRUE(std::none_of(after.begin(), after.end(), [&](const Finding& other) {
            return other.key() == finding.key();
        })) << titleOf(remedy);
    }
}

void expectSaid(const Finding* finding, std::string_view title, std::string_view reason) {
    ASSERT_TRUE(finding) << title;
    EXPECT_EQ(titleOf(*finding), title);
    EXPECT_EQ(reasonOf(*finding), reason);
}

TEST(BanksVerdict, ABankOnTheCardIsLostOnTheDayItIsNeeded) {
    Shoot shoot = sample::bankShoot({bank("1"), bank("4", {}, BankPlace::Card)});
    shoot.scenes.push_back(shoot.scenes[0]);
    shoot.scenes[1].id = "tomorrow";
    shoot.scenes[1].day = 2;
    addSetup(shoot, "2A", 3200).scene = "tomorrow";
    shoot.setups[0].bank = 0;
    shoot.setups[1].bank = 2;
    const auto findings = judged(shoot);
    const auto* lost = found(findings, FindingId::BankLost);
    expectSaid(lost, "Bank 4 lies on the card",
               "Formatting erases it. 2A needs it on day 2, and cards are formatted that morning.");
    EXPECT_EQ(lost->severity, Severity::Fault);
    EXPECT_EQ(titleOf(lost->remedies.at(0)), "2A to bank 1");
    expectCured(shoot, *lost);
    shoot.setups[1].scene = shoot.setups[0].scene; // on the first day only
    const auto early = judged(shoot);
    EXPECT_TRUE(found(early, FindingId::BankOnCard));
    EXPECT_FALSE(found(early, FindingId::BankLost));
}

TEST(BanksVerdict, TheRateComesBackWithoutItsShutter) {
    Shoot shoot = sample::bankShoot({bank("1"), bank("2", {BodySetting::Shutter}), bank("3")});
    shoot.setups[0].bank = 1;
    addSetup(shoot, "2B", 5600, 800, 60).bank = 2; // 180 after 172.8
    const auto findings = judged(shoot);
    const auto* forgets = found(findings, FindingId::BankForgetsShutter);
    expectSaid(forgets, "The rate comes back, the shutter does not",
               "Bank 2 brings 60 for 2B and leaves the shutter where it was: set 180\u00b0 after "
               "recall.");
    EXPECT_EQ(titleOf(forgets->remedies.at(0)), "2B to bank 3");
    expectCured(shoot, *forgets);
    shoot.setups[0].shutter = ShutterAngle(180);
    EXPECT_FALSE(found(judged(shoot), FindingId::BankForgetsShutter)) << "it stands there already";
}

TEST(BanksVerdict, OtherThreadsSaveAndTheBestAreSaidToBe) {
    Shoot shoot = sample::bankShoot({bank("1"), bank("2")});
    shoot.setups[0].shutter = ShutterAngle(180);
    addSetup(shoot, "1B", 3200);
    shoot.setups[0].bank = shoot.setups[1].bank = 1;
    auto findings = judged(shoot);
    const auto* other = found(findings, FindingId::BanksOther);
    expectSaid(other, "Other threads save 10 s by hand", "These cost 16 s, the best 6 s.");
    expectCured(shoot, *other);
    shoot.setups[1].bank = 2;
    findings = judged(shoot);
    expectSaid(found(findings, FindingId::BanksBest), "Banks in use: 2, setups: 2",
               "At most 2 settings by hand after a recall, 6 s over the days; no other threads "
               "cost less.");
    EXPECT_FALSE(found(findings, FindingId::BanksTooFew));
    addSetup(shoot, "1C", 4300);
    findings = judged(shoot);
    const auto* few = found(findings, FindingId::BanksTooFew);
    ASSERT_TRUE(few);
    EXPECT_EQ(titleOf(*few), "3 different setups, 2 banks");
    EXPECT_NE(reasonOf(*few).find("white stay by hand"), std::string::npos) << reasonOf(*few);
}

TEST(BanksVerdict, LockedChangedAndUnwrittenBanks) {
    Shoot shoot = sample::bankShoot({bank("1"), bank("2")});
    shoot.kit.cameras[0].body.banks[0].locked = true;
    shoot.setups[0].bank = 1;
    auto findings = judged(shoot);
    const auto* locked = found(findings, FindingId::BankLocked);
    expectSaid(locked, "Bank 1 is locked", "It is somebody else's: 2A cannot be put there.");
    expectCured(shoot, *locked);
    shoot.setups[0].bank = 2;
    findings = judged(shoot);
    const auto* unwritten = found(findings, FindingId::BankUnwritten);
    ASSERT_TRUE(unwritten);
    expectCured(shoot, *unwritten);
    const auto& remedy = unwritten->remedies.at(0);
    EXPECT_EQ(titleOf(remedy), "Write bank 2 as 2A and note it");
    const auto noted = applied(shoot, stamped(remedy.edit, "2026-05-01 07:40")).records.at(0);
    EXPECT_EQ(findWritten(noted, "2")->when, "2026-05-01 07:40");
    EXPECT_EQ(findWritten(noted, "2")->setup, shoot.setups[0].id);
    CameraRecord record;
    record.id = shoot.kit.cameras[0].id;
    record.banks = {{"2", "2026-05-01 07:40", "s", {{"white", "3200 K"}}, {}}};
    const auto plan = sample::planned(shoot);
    record.banks[0].values = bankLines(plan.problem, 1, 0);
    for (auto& line : record.banks[0].values)
        if (line.setting == "white")
            line.value = "3200 K";
    shoot.records = {record};
    findings = judged(shoot);
    expectSaid(found(findings, FindingId::BankChanged), "Bank 2 has changed since it was written",
               "Written 2026-05-01 07:40; now white 5600 K was 3200 K. Write it again, or set them "
               "after recall.");
    EXPECT_FALSE(found(findings, FindingId::BankUnwritten));
    const auto* changed = found(findings, FindingId::BankChanged);
    expectCured(shoot, *changed);
    EXPECT_EQ(effectOf(changed->remedies.at(0)), "1 setting to set on the body");
    const auto again = applied(shoot, stamped(changed->remedies[0].edit, "2026-05-02 06:00"));
    EXPECT_EQ(again.records.at(0).earlier.at(0), record.banks[0]) << "the writing before is kept";
    // Taken on purpose it stays, and is no caution any more.
    shoot.records[0].accepted = {{"bank-changed:2", "written by its owner tonight", {}}};
    findings = judged(shoot);
    EXPECT_TRUE(found(findings, FindingId::BankChanged)->accepted);
    EXPECT_EQ(countOf(findings, Severity::Caution), 0);
}

TEST(BanksVerdict, WhatSlipsAndWhatIsUnderTheHand) {
    Shoot shoot = sample::bankShoot({bank("1", {BodySetting::White})});
    auto& body = shoot.kit.cameras[0].body;
    body.slips = {{BodySetting::White, SlipCause::PowerOn, "auto", {}},
                  {BodySetting::Compensation, SlipCause::Knock, "", {}}};
    body.controls = {
        {"Wheel",
         ControlPlace::Thumb,
         ControlKind::Dial,
         Function::Compensation,
         {Function::Iris},
         Function::Iris,
         false,
         {}},
        {"Bin", ControlPlace::Thumb, ControlKind::Button, Function::Erase, {}, {}, false, {}}};
    shoot.scenes.push_back(shoot.scenes[0]);
    shoot.scenes[1].id = "tomorrow";
    shoot.scenes[1].day = 2;
    addSetup(shoot, "2A", 5600).scene = "tomorrow";
    for (auto& setup : shoot.setups)
        setup.bank = 1;
    const auto findings = judged(shoot);
    expectSaid(found(findings, FindingId::SettingSlips), "Does not stay: white",
               "When the camera is switched on it goes to auto; before 2A it is set again.");
    EXPECT_TRUE(found(findings, FindingId::SettingKnocked));
    const auto* moved = found(findings, FindingId::PrintedMoved);
    expectSaid(moved, "Wheel does not do what is printed on it",
               "It says compensation and does iris: a hand in a hurry believes the print.");
    expectCured(shoot, *moved);
    expectSaid(found(findings, FindingId::EraseNear), "Within reach: erase",
               "Bin sits beside Wheel, used for iris.");
    // Erase is printed there and stays: what is used beside it goes where the hand is safe, or the
    // erase button does something else.
    body.controls[0].takes.push_back(Function::Peaking);
    body.controls.push_back(
        {"Far", ControlPlace::Left, ControlKind::Dial, {}, {Function::Iris}, {}, false, {}});
    auto near = judged(shoot);
    expectCured(shoot, *found(near, FindingId::EraseNear));
    EXPECT_EQ(titleOf(found(near, FindingId::EraseNear)->remedies.at(0)), "peaking on Wheel");
    body.controls[0].chosen.reset();
    near = judged(shoot);
    EXPECT_FALSE(found(near, FindingId::EraseNear)) << "what is printed is not turned here";
    body.controls[0].chosen = Function::Iris;
    body.controls[0].printed = Function::Iris;
    near = judged(shoot);
    const auto& moves = found(near, FindingId::EraseNear)->remedies.at(0);
    EXPECT_NE(effectOf(moves).find("but then: Wheel does not do what is printed on it"),
              std::string::npos)
        << effectOf(moves);
    body.controls[0].takes = {Function::Iris};
    body.controls[0].printed.reset();
    EXPECT_TRUE(found(judged(shoot), FindingId::EraseNear)->remedies.empty());
    body.controls[1].takes = {Function::Zebra};
    near = judged(shoot);
    expectCured(shoot, *found(near, FindingId::EraseNear));
    EXPECT_EQ(titleOf(found(near, FindingId::EraseNear)->remedies.at(0)), "zebra on Bin");
    body.controls[1].place = ControlPlace::Left;
    body.controls.pop_back();
    EXPECT_FALSE(found(judged(shoot), FindingId::EraseNear));
}

TEST(BanksVerdict, ACameraWithoutBanksSaysWhatThatMeans) {
    Shoot shoot = sample::bankShoot({});
    addSetup(shoot, "1B", 3200);
    const auto findings = judged(shoot);
    const auto* none = found(findings, FindingId::BanksNone);
    ASSERT_TRUE(none);
    EXPECT_EQ(titleOf(*none), "angles has no banks");
    EXPECT_EQ(reasonOf(*none).find('{'), std::string::npos) << reasonOf(*none);
    EXPECT_EQ(findings.size(), 1u);
}

} // namespace
} // namespace bslate
