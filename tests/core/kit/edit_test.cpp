#include "core/kit/check.h"
#include "core/kit/edit.h"
#include "core/kit/mode_line.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

TEST(MergedKits, KeepWhatIsEqualAndRenameWhatClashes) {
    const Kit kit = sample::shoot().kit;
    EXPECT_EQ(merged(kit, kit), kit);
    Kit other = kit;
    other.profiles[0].minimum = ExposureIndex(320); // "index", now another profile
    other.cameras[0].profiles = {"index"};
    other.cameras[0].modes[0].profiles = {"index"};
    const auto both = merged(kit, other);
    ASSERT_EQ(both.profiles.size(), kit.profiles.size() + 1);
    EXPECT_EQ(both.profiles.back().id, "index-2");
    ASSERT_EQ(both.cameras.size(), kit.cameras.size() + 1);
    EXPECT_EQ(both.cameras.back().id, "angles-2");
    EXPECT_EQ(both.cameras.back().profiles, std::vector<std::string>{"index-2"});
    EXPECT_EQ(both.cameras.back().modes[0].profiles, std::vector<std::string>{"index-2"});
    EXPECT_EQ(both.cameras[0], kit.cameras[0]) << "what was there is not touched";
    EXPECT_TRUE(checkKit(both).ok());
}

// Everything by which one thing of a kit can name another follows when an id is taken.
TEST(MergedKits, WhateverNamesARenamedThingFollows) {
    Kit kit = sample::shoot().kit;
    kit.batteries = {{"small", "Small", WattHours(16), 0.9, 1, 2, {}}};
    kit.chargers = {{"charger", "Charger", 2, Watts(45), {"small"}, 1, {}}};
    kit.profiles.push_back(sample::measuredProfile(kit.profiles[0], "test", "angles"));
    auto& camera = kit.cameras[0];
    camera.profiles = {"index", "test"};
    camera.fixedLens = "lens";
    camera.batteries = {"small"};
    camera.isoRules = {{"index", "", IsoBehaviour::Note, {}, {}, {}}};
    camera.constraints = {
        sample::ruleOn("index", ConstraintKind::Excludes, SettingKey::Proxy, "on")};
    ASSERT_TRUE(checkKit(kit).ok());
    Kit other = kit; // the same ids, and everything is another thing
    other.profiles[0].minimum = ExposureIndex(320);
    other.lenses[0].widest = TStop(1.3);
    other.batteries[0].energy = WattHours(20);
    other.chargers[0].bays = 4;
    other.profiles.back().measured->shift = Stops(0.1);
    other.cameras[0].name = "another";
    const Kit both = merged(kit, other);
    const auto sound = checkKit(both);
    EXPECT_TRUE(sound.ok()) << message(sound.error());
    const auto* came = findCamera(both, "angles-2");
    ASSERT_TRUE(came);
    EXPECT_EQ(came->profiles, (std::vector<std::string>{"index-2", "test-2"}));
    EXPECT_EQ(came->fixedLens, "lens-2");
    EXPECT_EQ(came->batteries, std::vector<std::string>{"small-2"});
    EXPECT_EQ(came->isoRules[0].profile, "index-2");
    EXPECT_EQ(came->constraints[0].when[0].oneOf,
              std::vector<SettingValue>{std::string("index-2")});
    const auto* measured = findProfile(both, "test-2");
    ASSERT_TRUE(measured && measured->measured);
    EXPECT_EQ(measured->measured->camera, "angles-2");
    EXPECT_EQ(measured->measured->nominal, "index-2");
    ASSERT_EQ(both.chargers.size(), 2u);
    EXPECT_EQ(both.chargers[1].batteries, std::vector<std::string>{"small-2"});
    // Once more brings nothing new.
    EXPECT_EQ(merged(both, kit), both);
}

TEST(ExtractedKit, BringsWhatRulesAndModesName) {
    Kit kit = sample::shoot().kit;
    auto& camera = kit.cameras[0];
    camera.profiles = {"index"};
    camera.modes[0].profiles = {"recorded"};
    camera.isoRules = {{"note", "", IsoBehaviour::Note, {}, {}, {}}};
    EXPECT_EQ(extracted(kit, "angles")->profiles.size(), 3u);
    camera.modes[0].profiles.clear();
    camera.isoRules.clear();
    EXPECT_EQ(extracted(kit, "angles")->profiles.size(), 1u);
    camera.constraints = {
        sample::ruleOn("note", ConstraintKind::Requires, SettingKey::Power, "external")};
    EXPECT_EQ(extracted(kit, "angles")->profiles.size(), 2u);
    // A test of another body stays with that body.
    kit.profiles.push_back(sample::measuredProfile(kit.profiles[0], "test", "times"));
    camera.profiles.push_back("test");
    EXPECT_EQ(findProfile(*extracted(kit, "angles"), "test"), nullptr);
}

TEST(ExtractedKit, IsOneCameraWithWhatItNames) {
    Kit kit = sample::shoot().kit;
    kit.cameras[0].profiles = {"index"};
    kit.cameras[0].fixedLens = "lens";
    const auto one = extracted(kit, "angles");
    ASSERT_TRUE(one.ok());
    EXPECT_EQ(one->cameras.size(), 1u);
    EXPECT_EQ(one->profiles.size(), 1u);
    EXPECT_EQ(one->lenses.size(), 1u);
    EXPECT_TRUE(checkKit(*one).ok());
    EXPECT_FALSE(extracted(kit, "gone").ok());
}

TEST(WithModeLines, KeepsUntouchedModesAndIdsOfChangedOnes) {
    Camera camera = sample::shoot().kit.cameras[0];
    camera.modes[0].profiles = {"index"};
    const auto line = lineOf(camera, camera.modes[0]);
    const auto same = withModeLines(camera, {line, "", "UHD long 8-bit 4:2:0 24@100"});
    ASSERT_TRUE(same.ok());
    EXPECT_EQ(same->modes[0], camera.modes[0]);
    ASSERT_EQ(same->modes.size(), 2u);
    const auto changed = withModeLines(camera, {line + " mute"});
    ASSERT_TRUE(changed.ok());
    EXPECT_EQ(changed->modes[0].id, camera.modes[0].id);
    EXPECT_EQ(changed->modes[0].profiles, camera.modes[0].profiles);
    EXPECT_FALSE(changed->modes[0].sound);
    const auto twice = withModeLines(camera, {line, line});
    ASSERT_TRUE(twice.ok());
    EXPECT_NE(twice->modes[0].id, twice->modes[1].id);
    const auto bad = withModeLines(camera, {line, "UHD 24@fast"});
    ASSERT_FALSE(bad.ok());
    EXPECT_EQ(bad.error().place, "line 2");
    EXPECT_FALSE(withModeLines(camera, {" "}).ok());
}

// Inverse of the floor: a sensor made for 12 stops measures 12 stops at signal-to-noise 2.
TEST(ReadNoise, GivesTheRangeAskedFor) {
    for (const double range : {9.0, 11.5, 12.67}) {
        SensorModel sensor;
        sensor.fullWell = Electrons(58000);
        sensor.readNoise = readNoiseFor(sensor.fullWell, Stops(range));
        EXPECT_NEAR(dynamicRange(sensor, 2.0).value(), range, 1e-6);
    }
    EXPECT_EQ(readNoiseFor(Electrons(1000), Stops(20)).value(), 0);
}

} // namespace
} // namespace bslate
