#include "core/advice/additions.h"

#include "core/facts/evaluate.h"
#include "core/shoot/acceptances.h"
#include "core/shoot/differences.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

SceneLine line(const char* text) {
    auto read = parseSceneLine(text);
    EXPECT_TRUE(read.ok()) << text;
    return read ? *std::move(read) : SceneLine{};
}

TEST(WithScene, MakesASetupOfItsNumberThatEvaluates) {
    const Shoot before = sample::shoot();
    const auto added = withScene(before, line("3A pier ext 120cd/m2 day2"), &before.setups[0]);
    ASSERT_EQ(added.shoot.scenes.size(), 2u);
    EXPECT_EQ(added.shoot.scenes[1].id, added.scene);
    EXPECT_EQ(added.shoot.scenes[1].name, "pier");
    EXPECT_EQ(added.shoot.days, 2) << "a scene of the second day makes a second day";
    const auto* setup = findSetup(added.shoot, added.setup);
    ASSERT_TRUE(setup);
    EXPECT_EQ(setup->number, "3A");
    EXPECT_EQ(setup->scene, added.scene);
    EXPECT_EQ(setup->camera, before.setups[0].camera);
    EXPECT_TRUE(evaluate(added.shoot, *setup).ok());
    EXPECT_EQ(added.shoot.setups[0], before.setups[0]);
}

TEST(WithScene, MakesNoSetupWhereItsNumberIsTakenOrMissingOrThereIsNoCamera) {
    Shoot shoot = sample::shoot();
    EXPECT_TRUE(withScene(shoot, line("2A pier ext"), nullptr).setup.empty());
    EXPECT_TRUE(withScene(shoot, line("pier ext"), nullptr).setup.empty());
    EXPECT_FALSE(withScene(shoot, line("2B pier ext"), nullptr).setup.empty());
    shoot.kit.cameras.clear();
    const auto added = withScene(shoot, line("2B pier ext"), nullptr);
    EXPECT_TRUE(added.setup.empty());
    EXPECT_EQ(added.shoot.scenes.size(), 2u) << "the scene is kept all the same";
}

TEST(WithScene, StartsWithWhiteForItsKeyAndGoesOnInIt) {
    const Shoot before = sample::shoot();
    const auto day = withScene(before, line("3A pier ext 6500K 120cd/m2"), &before.setups[0]);
    EXPECT_EQ(findSetup(day.shoot, day.setup)->white, Kelvin(6500));
    const auto home = withScene(before, line("3A kitchen int bulbs 20cd/m2"), &before.setups[0]);
    EXPECT_EQ(findSetup(home.shoot, home.setup)->white, Kelvin(2900)) << "2850 K as usual, by 100";
    auto cool = home.shoot;
    findSetup(cool, home.setup)->white = Kelvin(3300);
    const auto next = withSetup(cool, findSetup(cool, home.setup), "Close", startingScene("x"));
    EXPECT_EQ(findSetup(next.shoot, next.setup)->white, Kelvin(3300)) << "they cut together";
}

TEST(WithSetup, FollowsTheOneAtHand) {
    const Shoot before = sample::shoot();
    const auto added = withSetup(before, &before.setups[0], "Close", startingScene("unused"));
    const auto* setup = findSetup(added.shoot, added.setup);
    ASSERT_TRUE(setup);
    EXPECT_EQ(setup->number, "2B");
    EXPECT_EQ(setup->name, "Close");
    EXPECT_EQ(setup->scene, "scene");
    EXPECT_TRUE(added.scene.empty()) << "there is a scene already";
    EXPECT_EQ(setup->rate, before.brief.rate) << "at the rate the shoot plays at";
    EXPECT_TRUE(setup->accepted.empty());
}

TEST(WithSetup, BringsASceneWhenThereIsNone) {
    Shoot shoot = sample::shoot();
    shoot.kit.cameras[0].profiles = {"index"};
    shoot.scenes.clear();
    shoot.setups.clear();
    const auto added = withSetup(shoot, nullptr, "First", startingScene("here"));
    EXPECT_EQ(added.scene, "here");
    ASSERT_EQ(added.shoot.setups.size(), 1u);
    EXPECT_EQ(added.shoot.setups[0].scene, "here");
    const auto evaluation = evaluate(added.shoot, added.shoot.setups[0]);
    EXPECT_TRUE(evaluation.ok()) << message(evaluation.error());
}

TEST(WithSetupCopied, StandsBehindAndForgetsWhatWasAccepted) {
    Shoot shoot = sample::shoot();
    shoot.setups.push_back(shoot.setups[0]);
    shoot.setups[1].id = "t";
    shoot.setups[1].number = "2B";
    shoot.setups[0].accepted = {{"patch-clipped:sky", "a window", {}}};
    const auto added = withSetupCopied(shoot, "s");
    ASSERT_EQ(added.shoot.setups.size(), 3u);
    const auto& copy = added.shoot.setups[1];
    EXPECT_EQ(copy.id, added.setup);
    EXPECT_EQ(copy.number, "2C") << "2B is taken";
    EXPECT_TRUE(copy.accepted.empty());
    auto same = copy;
    same.id = shoot.setups[0].id;
    same.number = shoot.setups[0].number;
    same.accepted = shoot.setups[0].accepted;
    EXPECT_EQ(same, shoot.setups[0]);
    EXPECT_EQ(withSetupCopied(shoot, "gone").shoot, shoot);
}

TEST(FreshNumber, GoesOnAndSkipsWhatIsTaken) {
    Shoot shoot = sample::shoot();
    EXPECT_EQ(freshNumber(shoot, "2A"), "2B");
    shoot.setups[0].number = "2B";
    EXPECT_EQ(freshNumber(shoot, "2A"), "2C");
    EXPECT_EQ(freshNumber(shoot, "7"), "2A") << "no letter to go on: the count";
}

TEST(Patches, BeginAtTheGreyCardAndAreCopiedBehind) {
    Scene scene = sample::shoot().scenes[0];
    const auto id = addPatch(scene, "Awning");
    const auto* made = findPatch(scene, id);
    ASSERT_TRUE(made);
    EXPECT_EQ(made->reading, findPatch(scene, "grey")->reading);
    EXPECT_EQ(made->role, PatchRole::Highlight);
    copyPatch(scene, "beam");
    EXPECT_EQ(scene.patches[2].name, "beam");
    EXPECT_NE(scene.patches[2].id, "beam");
    const auto before = scene.patches.size();
    copyPatch(scene, "gone");
    EXPECT_EQ(scene.patches.size(), before);
}

TEST(Acceptances, NeedAReasonAndAreThereOnce) {
    std::vector<Acceptance> accepted;
    EXPECT_FALSE(accept(accepted, "patch-clipped:sky", " \t"));
    EXPECT_TRUE(accepted.empty());
    EXPECT_TRUE(accept(accepted, "patch-clipped:sky", "a window"));
    EXPECT_TRUE(accept(accepted, "patch-clipped:sky", "it is night outside"));
    ASSERT_EQ(accepted.size(), 1u);
    EXPECT_EQ(accepted[0].reason, "it is night outside");
    EXPECT_TRUE(accept(accepted, "patch-clipped:lamp", "a lamp"));
    withdraw(accepted, "patch-clipped:sky");
    ASSERT_EQ(accepted.size(), 1u);
    EXPECT_EQ(accepted[0].finding, "patch-clipped:lamp");
    withdraw(accepted, "gone");
    EXPECT_EQ(accepted.size(), 1u);
}

using Words = std::vector<std::string>;

TEST(Differences, NameWhatWasAddedChangedAndRemovedInOrder) {
    const Shoot before = sample::shoot();
    EXPECT_EQ(differencesBetween(before, before), Words{});
    Shoot after = before;
    after.title = "other";
    after.brief.copies = 3;
    after.kit.cameras[0].name = "renamed";
    after.scenes[0].patches.pop_back();
    after.scenes.push_back(startingScene("pier"));
    after.scenes.back().name = "Pier";
    after.setups.clear();
    after.plan = {ShootDay{}};
    EXPECT_EQ(
        differencesBetween(before, after),
        (Words{"title or note changed", "brief changed", "kit changed", "scene Doorway changed",
               "scene Pier added", "setup 2A removed", "plan of day 1 added"}));
    EXPECT_EQ(
        differencesBetween(after, before),
        (Words{"title or note changed", "brief changed", "kit changed", "scene Doorway changed",
               "scene Pier removed", "setup 2A added", "plan of day 1 removed"}));
}

TEST(Differences, TellTicksAndRecordsByTheirNames) {
    const Shoot before = sample::shoot();
    Shoot after = before;
    after.setups[0].ticks = {{"card", "A1", "now"}};
    CameraRecord record;
    record.id = "angles";
    after.records = {record};
    EXPECT_EQ(differencesBetween(before, after),
              (Words{"checks of setup 2A changed", "record of angles added"}));
}

TEST(Differences, AreToldOfMetersAndOfKeysOfOthers) {
    const Shoot before = sample::shoot();
    Shoot after = before;
    after.meter.k = 14;
    EXPECT_EQ(differencesBetween(before, after), Words{"brief changed"});
    after = before;
    after.extra.json = R"({"x":1})";
    EXPECT_EQ(differencesBetween(before, after), Words{"keys of other programs changed"});
}

} // namespace
} // namespace bslate
