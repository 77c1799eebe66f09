// What hands leave behind in a setup: said, with the way out that takes it away.
#include "core/judgement/judge.h"
#include "core/words/wording.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

std::optional<Finding> told(const Shoot& shoot, std::string_view key) {
    const auto verdict = judge(shoot, shoot.setups[0]);
    const auto* found = verdict.find(key);
    return found ? std::optional(*found) : std::nullopt;
}

// The one remedy of a finding takes it away.
void expectGone(const Shoot& shoot, std::string_view key) {
    const auto finding = told(shoot, key);
    ASSERT_TRUE(finding) << key;
    ASSERT_EQ(finding->remedies.size(), 1u) << key;
    EXPECT_FALSE(told(applied(shoot, finding->remedies[0].edit), key)) << key;
    EXPECT_EQ((titleOf(*finding) + reasonOf(*finding)).find('{'), std::string::npos)
        << reasonOf(*finding);
}

TEST(Hands, TheStabiliserFollowsTheSupport) {
    Shoot shoot = sample::shoot();
    shoot.setups[0].stabiliser = Stabiliser::On;
    EXPECT_FALSE(told(shoot, "stabiliser-on-support")) << "nobody said what it stands on";
    shoot.scenes[0].support = Support::Tripod;
    expectGone(shoot, "stabiliser-on-support");
    EXPECT_EQ(reasonOf(*told(shoot, "stabiliser-on-support")),
              "On a tripod it moves the picture by itself: off, unless the maker's own test says "
              "otherwise.");
    shoot.setups[0].support = Support::Hand;
    EXPECT_FALSE(told(shoot, "stabiliser-on-support"));
    shoot.setups[0].stabiliser = Stabiliser::Off;
    expectGone(shoot, "stabiliser-off-in-hand");
}

TEST(Hands, WirelessIsHeardByRadioMicrophones) {
    Shoot shoot = sample::shoot();
    shoot.setups[0].wireless = true;
    shoot.scenes[0].soundBy = SoundBy::Wired;
    EXPECT_FALSE(told(shoot, "wireless-near-radio"));
    shoot.scenes[0].soundBy = SoundBy::Radio;
    expectGone(shoot, "wireless-near-radio");
    shoot.scenes[0].focusBy = FocusBy::Continuous;
    expectGone(shoot, "focus-wireless");
}

TEST(Hands, TheCamerasFocusIsWeakenedByRateBrightnessAndNd) {
    Shoot shoot = sample::shoot();
    shoot.scenes[0].focusBy = FocusBy::Faces;
    shoot.setups[0].filters = {"nd18"}; // 6 stops
    expectGone(shoot, "focus-through-nd");
    shoot.setups[0].filters = {"nd12"};
    EXPECT_FALSE(told(shoot, "focus-through-nd")) << "4 stops do not";
    shoot.setups[0].filters.clear();
    shoot.setups[0].iris = TStop(2); // the grey card far over its place
    const auto grey = judge(shoot, shoot.setups[0]).evaluation->grey;
    ASSERT_GT(*grey, Stops(1.5));
    expectGone(shoot, "focus-bright");
    shoot.kit.cameras[0].modes[0].autofocus = false;
    EXPECT_FALSE(told(shoot, "focus-bright")) << "there is none to weaken";
    EXPECT_FALSE(told(shoot, "focus-lost")) << "said once";
    const auto wanted = told(shoot, "focus-wanted");
    ASSERT_TRUE(wanted);
    EXPECT_EQ(wanted->severity, Severity::Fault);
    expectGone(shoot, "focus-wanted");
}

TEST(Hands, WhatIsLeftToTheCameraHasBoundsOrIsACaution) {
    Shoot shoot = sample::shoot();
    shoot.setups[0].automatics = {{AutomaticKind::Iso, 800.0, 3200.0},
                                  {AutomaticKind::White, 3200.0, 5600.0},
                                  {AutomaticKind::DigitalZoom, {}, {}}};
    const auto iso = told(shoot, "automatic-bounded:iso");
    ASSERT_TRUE(iso);
    EXPECT_EQ(iso->severity, Severity::Note) << "a school, not a mistake";
    EXPECT_EQ(titleOf(*iso), "Left to the camera: automatic ISO, from 800 to 3200");
    // 3200 over 800 is two stops; 1e6/3200 - 1e6/5600 = 134 mired.
    EXPECT_NE(reasonOf(*iso).find("noise wanders by 2.0 stops"), std::string::npos)
        << reasonOf(*iso);
    EXPECT_NE(reasonOf(*told(shoot, "automatic-bounded:white")).find("134 mired"),
              std::string::npos);
    const auto zoom = told(shoot, "automatic-on:digital-zoom");
    ASSERT_TRUE(zoom);
    EXPECT_EQ(zoom->severity, Severity::Caution);
    EXPECT_EQ(reasonOf(*zoom), "Pixels are made up, sharpness falls.");
    expectGone(shoot, "automatic-on:digital-zoom");
    shoot.kit.cameras[0].body.automatics = {
        {AutomaticKind::DigitalZoom, "", "On this body it crops", {}}};
    EXPECT_EQ(reasonOf(*told(shoot, "automatic-on:digital-zoom")), "On this body it crops.");
}

} // namespace
} // namespace bslate
