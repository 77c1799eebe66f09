// What is checked before rolling: in which order, why, and what makes a tick stale.
#include "core/banks/bank_record.h"
#include "core/banks/preroll.h"
#include "core/banks/sample_banks.h"
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
    EXPECT_EQ(order, "battery clock recall hand-white hand-nd hand-iris slip-sound compensation "
                     "automatics lens stabiliser zebra view-lut sound wireless ");
    EXPECT_EQ(said(checks, "recall"), "recall bank 1");
    EXPECT_EQ(said(checks, "hand-iris"), "iris T4");
    EXPECT_EQ(reasonOf(*check(checks, "hand-iris")->where), "Wheel");
    EXPECT_EQ(reasonOf(*check(checks, "hand-white")->where), "menu");
    EXPECT_EQ(said(checks, "automatics"), "switched off: automatic ISO, eye sensor");
    EXPECT_EQ(reasonOf(*check(checks, "automatics")->where), "Exposure 1, Setup 2");
    EXPECT_EQ(said(checks, "slip-sound"), "sound still radio microphone");
    EXPECT_EQ(said(checks, "stabiliser"), "stabiliser off");
    EXPECT_EQ(said(checks, "wireless"), "wireless off");
    // Iso is left on purpose: it is not switched off, its bounds are looked at.
    shoot.setups[0].automatics = {{AutomaticKind::Iso, 800.0, 3200.0}};
    const auto left = checksOf(shoot);
    EXPECT_EQ(said(left, "automatics"), "switched off: eye sensor");
    EXPECT_EQ(said(left, "left-iso"), "left to the camera: iso 800-3200");
    EXPECT_TRUE(checksOf(shoot, 0).size() > 5);
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
    EXPECT_EQ(stateOf(shoot.setups[0], iris), TickState::Open);
    shoot.setups[0] = ticked(shoot.setups[0], iris, "2026-05-01 07:40");
    EXPECT_EQ(stateOf(shoot.setups[0], iris), TickState::Ticked);
    shoot.setups[0].iris = TStop(5.6);
    const auto other = *check(checksOf(shoot), "hand-iris");
    EXPECT_EQ(stateOf(shoot.setups[0], other), TickState::Stale);
    const auto text = cardText(prerollCardOf(shoot, shoot.setups[0], checksOf(shoot)));
    EXPECT_EQ(text.find("[x]"), std::string::npos) << text;
    shoot.setups[0] = ticked(shoot.setups[0], other, "2026-05-01 08:05");
    ASSERT_EQ(shoot.setups[0].ticks.size(), 1u) << "one tick a check";
    EXPECT_NE(cardText(prerollCardOf(shoot, shoot.setups[0], checksOf(shoot))).find("[x] 08:05"),
              std::string::npos);
    shoot.setups[0] = ticked(shoot.setups[0], other, "2026-05-01 08:06");
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
    EXPECT_EQ(order, "start-record start-reset start-firmware start-region start-clock "
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
    EXPECT_TRUE(changesBetween({{"firmware", "1"}}, {}) ==
                (std::vector<BankChange>{{"firmware", "1", ""}}));
}

} // namespace
} // namespace bslate
