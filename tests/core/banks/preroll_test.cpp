// What is checked before rolling: in which order, why, and what makes a tick stale.
#include "core/banks/bank_record.h"
#include "core/banks/card_formats.h"
#include "core/banks/preroll.h"
#include "core/banks/sample_banks.h"
#include "core/banks/starting_point.h"
#include "core/day/plan_day.h"
#include "core/facts/sound_reference.h"
#include "core/shoot/take_line.h"
#include "core/words/bank_cards.h"
#include "core/words/wording.h"

#include <gtest/gtest.h>

#include <algorithm>

namespace bslate {
namespace {

std::vector<Check> checksOf(const Shoot& shoot, std::size_t setup = 0,
                            const DayPlan* day = nullptr) {
    const auto plan = sample::planned(shoot);
    return prerollOf(shoot, shoot.setups[setup], plan,
                     planWith(plan.problem, threadsOf(plan.problem, shoot)), day);
}

const Check* check(const std::vector<Check>& checks, std::string_view id) {
    const auto found =
        std::find_if(checks.begin(), checks.end(), [&](const Check& one) { return one.id == id; });
    return found == checks.end() ? nullptr : &*found;
}

std::string said(const std::vector<Check>& checks, std::string_view id) {
    const auto* found = check(checks, id);
    return found ? reasonOf(found->text) : "no " + std::string(id);
}
std::string why(const std::vector<Check>& checks, std::string_view id) {
    const auto* found = check(checks, id);
    return found ? reasonOf(found->reason) : "no " + std::string(id);
}

TEST(Preroll, GoesOverTheCameraInOneOrder) {
    Shoot shoot = sample::bankShoot({sample::bank("1", {BodySetting::White})});
    auto& camera = shoot.kit.cameras[0];
    camera.body.controls = {
        {"Wheel", ControlPlace::Thumb, ControlKind::Dial, {}, {Function::Iris}, {}, false, {}}};
    camera.body.automatics = {{AutomaticKind::Iso, "Exposure 1", "", {}},
                              {AutomaticKind::EyeSensor, "Setup 2", "", {}}};
    camera.body.slips = {{BodySetting::Sound, SlipCause::PowerOn, "off", {}},
                         {BodySetting::Compensation, SlipCause::Knock, "", {}}};
    shoot.scenes[0].support = Support::Tripod;
    shoot.scenes[0].soundBy = SoundBy::Radio;
    shoot.setups[0].bank = 1;
    const auto checks = checksOf(shoot);
    std::string order;
    for (const auto& one : checks) {
        order += one.id + " ";
        EXPECT_TRUE(hasWording(one.text.id) || one.text.id == "named") << one.text.id;
        EXPECT_TRUE(hasWording(one.reason.id)) << one.reason.id;
        EXPECT_EQ(reasonOf(one.text).find('{'), std::string::npos) << reasonOf(one.text);
        EXPECT_EQ(reasonOf(one.reason).find('{'), std::string::npos) << reasonOf(one.reason);
    }
    EXPECT_EQ(order, "battery clock recall hand-white hand-nd hand-iris slip-sound "
                     "take-compensation take-automatic-iso take-automatic-eye-sensor lens "
                     "stabiliser zebra view-lut sound wireless ");
    EXPECT_EQ(said(checks, "recall"), "recall bank 1");
    EXPECT_EQ(said(checks, "hand-iris"), "iris T4");
    EXPECT_EQ(reasonOf(*check(checks, "hand-iris")->where), "Wheel");
    EXPECT_EQ(reasonOf(*check(checks, "hand-white")->where), "menu");
    EXPECT_EQ(said(checks, "take-automatic-iso"), "switch off automatic ISO");
    EXPECT_EQ(why(checks, "take-automatic-iso"), "Noise and brightness wander inside the take");
    EXPECT_EQ(reasonOf(*check(checks, "take-automatic-iso")->where), "Exposure 1");
    EXPECT_EQ(reasonOf(*check(checks, "take-automatic-eye-sensor")->where), "Setup 2");
    EXPECT_EQ(said(checks, "slip-sound"), "sound still radio microphone");
    EXPECT_EQ(said(checks, "stabiliser"), "stabiliser off");
    EXPECT_EQ(said(checks, "wireless"), "wireless off");
    // Iso is left on purpose: it is not switched off, its bounds are looked at.
    shoot.setups[0].automatics = {{AutomaticKind::Iso, 800.0, 3200.0}};
    const auto left = checksOf(shoot);
    EXPECT_FALSE(check(left, "take-automatic-iso"));
    EXPECT_EQ(said(left, "take-left-iso"), "left to the camera: iso 800-3200");
    EXPECT_EQ(why(left, "take-left-iso"), "on purpose; see that the bounds are set");
    shoot.setups[0].automatics = {{AutomaticKind::Iso, {}, {}}};
    EXPECT_EQ(why(checksOf(shoot), "take-left-iso"),
              "it has no bounds: it may go anywhere inside a take");
    // On the tripod the scene wants it off; this setup says otherwise.
    shoot.setups[0].stabiliser = Stabiliser::On;
    EXPECT_EQ(said(checksOf(shoot), "stabiliser"), "stabiliser on");
    EXPECT_EQ(why(checksOf(shoot), "stabiliser"),
              "the setup asks for it, although it is held by a tripod");
}

TEST(Preroll, TheCamerasFocusAndControlsOfAModeAreLookedAt) {
    Shoot shoot = sample::bankShoot({sample::bank("1", {BodySetting::Controls})});
    shoot.setups[0].bank = 1;
    EXPECT_FALSE(check(checksOf(shoot), "focus")) << "nobody said who focuses";
    shoot.scenes[0].focusBy = FocusBy::Hand;
    EXPECT_EQ(why(checksOf(shoot), "focus"), "the scene wants the hand");
    shoot.scenes[0].focusBy = FocusBy::Faces;
    EXPECT_EQ(said(checksOf(shoot), "focus"), "focus faces");
    EXPECT_EQ(why(checksOf(shoot), "focus"), "the mode focuses as the scene wants it");
    shoot.setups[0].filters = {"nd18"}; // 6 stops
    EXPECT_EQ(why(checksOf(shoot), "focus"),
              "strong ND leaves it little light: try it before the take");
    shoot.kit.cameras[0].modes[0].autofocus = false;
    EXPECT_EQ(said(checksOf(shoot), "focus"), "focus by hand");
    EXPECT_EQ(why(checksOf(shoot), "focus"), "the mode does not focus by itself at 24");
    auto& body = shoot.kit.cameras[0].body;
    body.controls = {
        {"Top 1", ControlPlace::Top, ControlKind::Button, {}, {Function::Zebra}, {}, true, {}}};
    EXPECT_EQ(said(checksOf(shoot), "controls"), "Top 1 as zebra");
    EXPECT_EQ(why(checksOf(shoot), "controls"), "assigned in each mode anew, so in main too");
    body.banks[0].holds.push_back(BodySetting::Controls);
    EXPECT_FALSE(check(checksOf(shoot), "controls")) << "the bank brings them";
}

// The bank forgets the shutter, which the setup before had like this one.
TEST(Preroll, WhatMerelyStandsIsLookedAt) {
    Shoot shoot = sample::bankShoot({sample::bank("1"), sample::bank("2", {BodySetting::Shutter})});
    shoot.setups[0].bank = 1;
    shoot.setups[0].shutter = ShutterAngle(180.0);
    sample::addSetup(shoot, "1B", 3200).bank = 2;
    const auto checks = checksOf(shoot, 1);
    EXPECT_EQ(said(checks, "stands-shutter"), "shutter should still stand at 180\u00b0: look");
    EXPECT_EQ(why(checks, "stands-shutter"),
              "bank 2 does not bring it; the setup before had it so");
    EXPECT_FALSE(check(checks, "stands-white")) << "the bank brings it";
    EXPECT_FALSE(check(checks, "stands"));
    shoot.setups[1].bank = 0;
    EXPECT_TRUE(said(checksOf(shoot, 1), "stands").find("shutter 180\u00b0") != std::string::npos)
        << said(checksOf(shoot, 1), "stands");
    EXPECT_FALSE(check(checksOf(shoot, 1), "stands-shutter"));
}

// Ticked for one take, open for the next, by the plan or by hand.
TEST(Preroll, WhatIsForOneTakeBeginsAgainWithTheNext) {
    Shoot shoot = sample::bankShoot({sample::bank("1")});
    auto& setup = shoot.setups[0];
    const auto tick = [&] {
        for (const auto& one : checksOf(shoot))
            if (stateOf(setup.ticks, one) != TickState::Ticked)
                setup.ticks = ticked(setup.ticks, one, "2026-05-01 07:40");
    };
    const auto stateNow = [&](std::string_view id) {
        const auto checks = checksOf(shoot);
        return stateOf(setup.ticks, *check(checks, id));
    };
    tick();
    EXPECT_EQ(reasonOf(takeAhead(shoot, setup)), "day 1");
    EXPECT_EQ(stateNow("take-compensation"), TickState::Ticked);
    setup = forNextTake(setup);
    EXPECT_EQ(stateNow("take-compensation"), TickState::Open);
    EXPECT_EQ(stateNow("take-automatic-white"), TickState::Open);
    EXPECT_EQ(stateNow("lens"), TickState::Ticked) << "that is not for one take";
    ShootDay day = dayOf(shoot, 1);
    day.takes = {takesFromScenes(shoot, 1)[0], takesFromScenes(shoot, 1)[0]};
    day.takes[0].id = "t1";
    day.takes[0].name = "the doorway";
    day.takes[1].id = "t2";
    shoot.plan = {day};
    tick();
    EXPECT_EQ(reasonOf(takeAhead(shoot, setup)), "the doorway, t1 of day 1");
    EXPECT_NE(prerollCardOf(shoot, setup, checksOf(shoot)).place.find("the doorway, t1 of day 1"),
              std::string::npos);
    EXPECT_EQ(stateNow("take-compensation"), TickState::Ticked);
    shoot.plan[0].takes[0].ran = Seconds(60);
    EXPECT_EQ(stateNow("take-compensation"), TickState::Stale);
    EXPECT_EQ(stateNow("lens"), TickState::Ticked);
}

// A bank on the card goes with the format, until it is written anew.
TEST(Preroll, ABankOnAFormattedCardIsWrittenAnew) {
    Shoot shoot = sample::bankShoot({sample::bank("1"), sample::bank("4", {}, BankPlace::Card)});
    shoot.scenes.push_back(shoot.scenes[0]);
    shoot.scenes[1].id = "tomorrow";
    shoot.scenes[1].day = 2;
    shoot.setups[0].bank = 1;
    auto& later = sample::addSetup(shoot, "2A", 3200);
    later.scene = "tomorrow";
    later.bank = 2;
    EXPECT_FALSE(check(checksOf(shoot, 0), "bank-gone"));
    EXPECT_EQ(said(checksOf(shoot, 1), "bank-gone"),
              "bank 4 is gone with the format: write it anew as 2A");
    const auto plan = sample::planned(shoot);
    const auto now = planWith(plan.problem, threadsOf(plan.problem, shoot));
    CameraRecord record;
    record.id = shoot.kit.cameras[0].id;
    shoot.records = {withWritten(record, plan.problem, now, 1, "2026-05-01 18:00")};
    EXPECT_TRUE(check(checksOf(shoot, 1), "bank-gone")) << "it was written the evening before";
    for (const auto& one : checksOf(shoot, 1))
        if (one.id == kCardPrepared)
            later.ticks = ticked(later.ticks, one, "2026-05-02 06:10");
    EXPECT_TRUE(check(checksOf(shoot, 1), "bank-gone"));
    shoot.records[0] = withWritten(shoot.records[0], plan.problem, now, 1, "2026-05-02 06:20");
    EXPECT_FALSE(check(checksOf(shoot, 1), "bank-gone"));
    EXPECT_TRUE(check(checksOf(shoot, 1), "recall"));
    ASSERT_EQ(shoot.records[0].earlier.size(), 1u) << "every writing stays on record";
    EXPECT_EQ(shoot.records[0].earlier[0].when, "2026-05-01 18:00");
}

// By the name this body gives it, and not at all where it has none.
TEST(StartingPoint, NamesARegionOfThisBody) {
    Shoot shoot = sample::bankShoot({sample::bank("1")});
    auto& camera = shoot.kit.cameras[0];
    EXPECT_FALSE(check(startingPoint(shoot, camera), "start-region"));
    camera.rateSets = {{"24.00", {FrameRate{Rational(24, 1)}}, {}},
                       {"59.94", {FrameRate{Rational(60000, 1001)}}, {}}};
    EXPECT_EQ(said(startingPoint(shoot, camera), "start-region"), "region 24.00");
    shoot.setups[0].rate = FrameRate{Rational(60000, 1001)};
    EXPECT_EQ(said(startingPoint(shoot, camera), "start-region"), "region 59.94");
    shoot.setups[0].rate = FrameRate{Rational(25, 1)};
    EXPECT_FALSE(check(startingPoint(shoot, camera), "start-region")) << "none of its own fits";
}

TEST(Preroll, SoundStandsWhereTheStandardsPutIt) {
    // EBU R 68: alignment -18 dBFS, permitted peaks -9; SMPTE RP 155: reference -20 dBFS.
    EXPECT_EQ(soundReferenceFor(Hertz(50)).tone, -18);
    EXPECT_EQ(soundReferenceFor(Hertz(50)).peaks, -9);
    EXPECT_EQ(soundReferenceFor(Hertz(60)).tone, -20);
    Shoot shoot = sample::bankShoot({});
    EXPECT_EQ(said(checksOf(shoot), "sound"),
              "sound: tone at -18 dBFS, peaks under -9, limiter on");
    EXPECT_EQ(why(checksOf(shoot), "sound"), "reference of EBU R 68");
    shoot.brief.mains = Hertz(60);
    EXPECT_EQ(why(checksOf(shoot), "sound"), "reference of SMPTE RP 155");
    shoot.kit.cameras[0].modes[0].sound = false;
    EXPECT_EQ(said(checksOf(shoot), "sound"), "sound recorded apart, clap");
    shoot.scenes[0].sound = false;
    EXPECT_FALSE(check(checksOf(shoot), "sound"));
}

TEST(Preroll, TakesCardsAndPowerFromTheDay) {
    Shoot shoot = sample::bankShoot({sample::bank("1")});
    shoot.kit.cards = {
        {"sd", "SD 128 GB", CardForm::Sd, DataSize(128e9), "V90", "UHS-II", 1.0, {}, 2, {}}};
    shoot.kit.cameras[0].cardSlots = {{"a", "slot 1", CardForm::Sd, "UHS-II", {}, {}}};
    EXPECT_EQ(said(checksOf(shoot), "card"), "card SD 128 GB: 71 min left") << "128 GB at 240 Mb/s";
    EXPECT_EQ(said(checksOf(shoot), "battery"), "battery full, the next one at hand");
    ShootDay day = dayOf(shoot, 1);
    day.takes = takesFromScenes(shoot, 1);
    shoot.plan = {day};
    const auto planned = planDay(shoot, day, {});
    const auto checks = checksOf(shoot, 0, &planned);
    EXPECT_EQ(why(checks, "card"), "the take is 10 min");
    EXPECT_NE(said(checks, "card").find("71 min left"), std::string::npos);
    EXPECT_FALSE(check(checks, "card-prepared")) << "the first day's cards are empty";
    // On the second day the card was used: formatted only after its copies.
    shoot.scenes.push_back(shoot.scenes[0]);
    shoot.scenes[1].id = "two";
    shoot.scenes[1].day = 2;
    shoot.setups.push_back(shoot.setups[0]);
    shoot.setups[1].id = "later";
    shoot.setups[1].scene = "two";
    EXPECT_EQ(why(checksOf(shoot, 1), "card-prepared"), "only after 2 copies of it were checked");
}

TEST(Preroll, ATickGoesStaleWhenItsValueChanges) {
    Shoot shoot = sample::bankShoot({sample::bank("1")});
    shoot.setups[0].bank = 1;
    const auto iris = *check(checksOf(shoot), "hand-iris");
    EXPECT_EQ(stateOf(shoot.setups[0].ticks, iris), TickState::Open);
    shoot.setups[0].ticks = ticked(shoot.setups[0].ticks, iris, "2026-05-01 07:40");
    EXPECT_EQ(stateOf(shoot.setups[0].ticks, iris), TickState::Ticked);
    shoot.setups[0].iris = TStop(5.6);
    const auto other = *check(checksOf(shoot), "hand-iris");
    EXPECT_EQ(stateOf(shoot.setups[0].ticks, other), TickState::Stale);
    const auto text = cardText(prerollCardOf(shoot, shoot.setups[0], checksOf(shoot)));
    EXPECT_EQ(text.find("[x]"), std::string::npos) << text;
    shoot.setups[0].ticks = ticked(shoot.setups[0].ticks, other, "2026-05-01 08:05");
    ASSERT_EQ(shoot.setups[0].ticks.size(), 1u) << "one tick a check";
    EXPECT_NE(cardText(prerollCardOf(shoot, shoot.setups[0], checksOf(shoot))).find("[x] 08:05"),
              std::string::npos);
    shoot.setups[0].ticks = ticked(shoot.setups[0].ticks, other, "2026-05-01 08:06");
    EXPECT_TRUE(shoot.setups[0].ticks.empty()) << "ticked again: taken back";
}

TEST(Preroll, ABorrowedBodyStartsWhereOneKnowsWhatItDoes) {
    Shoot shoot = sample::bankShoot({sample::bank("1"), sample::bank("2")});
    auto& camera = shoot.kit.cameras[0];
    camera.body.banks[1].locked = true;
    camera.body.facts.firmware = "2.10";
    camera.body.automatics = {{AutomaticKind::White, "Colour 1", "", {}}};
    const auto checks = startingPoint(shoot, camera);
    std::string order;
    for (const auto& one : checks)
        order += one.id + " ";
    EXPECT_EQ(order, "start-record start-reset start-firmware start-clock "
                     "start-white start-bank-2 ");
    EXPECT_EQ(said(checks, "start-firmware"), "firmware 2.10: still that one?");
    EXPECT_EQ(said(checks, "start-white"), "switch off automatic white");
    EXPECT_NE(cardText(startingCardOf(shoot, camera)).find("leave bank 2 alone"),
              std::string::npos);
}

TEST(BankRecord, TellsWhatChangedSinceABankWasWritten) {
    Shoot shoot = sample::bankShoot({sample::bank("1", {BodySetting::Shutter})});
    shoot.setups[0].bank = 1;
    const auto write = [&] {
        const auto plan = sample::planned(shoot);
        CameraRecord record;
        record.id = plan.problem.work.camera;
        shoot.records = {withWritten(record, plan.problem,
                                     planWith(plan.problem, threadsOf(plan.problem, shoot)), 0,
                                     "2026-05-01 07:40")};
    };
    const auto changes = [&] {
        const auto plan = sample::planned(shoot);
        return changesOf(plan.problem, planWith(plan.problem, threadsOf(plan.problem, shoot)),
                         shoot.records[0], 0);
    };
    write();
    const auto& written = shoot.records[0].banks.at(0);
    EXPECT_EQ(written.setup, "s");
    EXPECT_EQ(*lineValue(written.values, "white"), "5600 K");
    EXPECT_FALSE(lineValue(written.values, "shutter")) << "the bank does not hold it";
    EXPECT_TRUE(changes().empty());
    shoot.setups[0].white = Kelvin(4300);
    ASSERT_EQ(changes().size(), 1u);
    EXPECT_EQ(changes()[0], (BankChange{"white", "5600 K", "4300 K"}));
    EXPECT_NE(why(checksOf(shoot), "bank-changed").find("white 4300 K was 5600 K"),
              std::string::npos);
    write();
    EXPECT_TRUE(changes().empty());
    ASSERT_EQ(shoot.records[0].banks.size(), 1u) << "written anew, not beside it";
    // What the bank really holds, typed by hand: only what both tell is compared.
    auto& record = shoot.records[0];
    record = withHeld(record, "1", {{"white", "5600 K"}, {"monitor brightness", "7"}},
                      "2026-05-01 09:00");
    EXPECT_EQ(record.earlier.size(), 1u) << "the writing before it is kept";
    ASSERT_EQ(changes().size(), 1u) << "quiet of what nobody planned or noted";
    EXPECT_EQ(changes()[0], (BankChange{"white", "5600 K", "4300 K"}));
    EXPECT_TRUE(changesBetween({{"firmware", "1"}}, {}) ==
                (std::vector<BankChange>{{"firmware", "1", ""}}));
}

} // namespace
} // namespace bslate
