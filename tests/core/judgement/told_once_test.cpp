// What one cause brings about is told once, on every kind of scene, and nothing is left out.
#include "core/judgement/judge.h"
#include "core/judgement/told_once.h"
#include "core/words/card_text.h"
#include "core/words/wording.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

#include <cmath>
#include <random>
#include <set>

namespace bslate {
namespace {

// The sample's scene with its two ends so many stops from where they are.
Shoot stretched(double up, double down) {
    Shoot shoot = sample::shoot();
    for (auto& patch : shoot.scenes[0].patches) {
        if (patch.id == "sky")
            patch.reading.value *= std::exp2(up);
        if (patch.id == "hopper")
            patch.reading.value *= std::exp2(-down);
    }
    return shoot;
}

std::multiset<std::string> keysIn(const std::vector<Finding>& findings) {
    std::multiset<std::string> keys;
    for (const auto& finding : findings) {
        keys.insert(finding.key());
        for (const auto& other : finding.follows) {
            keys.insert(other.key());
            EXPECT_TRUE(other.remedies.empty()) << "its cause offers them";
            EXPECT_TRUE(other.follows.empty());
        }
    }
    return keys;
}

TEST(ToldOnce, ASceneWiderThanTheCameraTellsOfBothItsEnds) {
    Shoot shoot = stretched(0, 3);
    shoot.setups[0].iris = TStop(5);
    const auto verdict = judge(shoot, shoot.setups[0]);
    const auto* wider = verdict.find("scene-wider");
    ASSERT_TRUE(wider);
    ASSERT_TRUE(verdict.find("patch-in-noise:hopper"));
    std::set<std::string> told;
    for (const auto& other : wider->follows)
        told.insert(other.key());
    EXPECT_TRUE(told.contains("patch-in-noise:hopper"));
    for (const auto& finding : verdict.findings)
        EXPECT_NE(finding.key(), "patch-in-noise:hopper") << "not a second time";
    const auto reason = reasonOf(*wider);
    EXPECT_NE(reason.find("hopper is "), std::string::npos) << reason;
    EXPECT_EQ(reason.back(), '.');
    const auto keys = keysAccepted(*wider);
    EXPECT_EQ(keys.front(), "scene-wider");
    EXPECT_EQ(keys.size(), 1 + told.size() - told.count("place-or-highlight"));
}

TEST(ToldOnce, APatchThatIsNoEndOfTheSceneSpeaksForItself) {
    Shoot shoot = stretched(2, 1);
    for (auto& patch : shoot.scenes[0].patches)
        if (patch.id == "limewash")
            patch.reading.value = 2000; // lost as well, though the sky is the brightest
    const auto verdict = judge(shoot, shoot.setups[0]);
    ASSERT_TRUE(verdict.find("scene-wider"));
    bool alone = false;
    for (const auto& finding : verdict.findings)
        alone = alone || finding.key() == "patch-clipped:limewash";
    EXPECT_TRUE(alone);
}

// A stop too much is one thing to do, not three: the light is told with the face it moves.
TEST(ToldOnce, LightOffThePlaceTellsOfTheFaceWithIt) {
    const struct {
        double iris;
        const char *cause, *face;
    } cases[] = {{2.0, "nd-needed", "skin-above:skin"}, {8.0, "light-short", "skin-below:skin"}};
    for (const auto& one : cases) {
        Shoot shoot = stretched(-4, -4); // both ends well inside
        shoot.setups[0].iris = TStop(one.iris);
        const auto verdict = judge(shoot, shoot.setups[0]);
        const auto* cause = verdict.find(one.cause);
        ASSERT_TRUE(cause) << one.cause;
        ASSERT_FALSE(cause->follows.empty()) << one.cause;
        EXPECT_EQ(cause->follows[0].key(), one.face);
        EXPECT_NE(reasonOf(*cause).find(titleOf(cause->follows[0])), std::string::npos)
            << reasonOf(*cause);
        int rows = 0;
        for (const auto& finding : verdict.findings)
            rows += finding.severity <= Severity::Caution;
        EXPECT_EQ(rows, 1) << one.cause;
        for (const auto& remedy : cause->remedies) {
            const auto after = applied(shoot, remedy.edit);
            EXPECT_FALSE(judge(after, after.setups[0]).find(one.cause)) << titleOf(remedy);
        }
    }
}

// A loss is worse than the light that brings it: it stays a fault of its own.
TEST(ToldOnce, WhatIsWorseThanItsCauseSpeaksForItself) {
    Shoot shoot = stretched(-1, -4);
    shoot.setups[0].iris = TStop(2.0);
    const auto verdict = judge(shoot, shoot.setups[0]);
    ASSERT_TRUE(verdict.find("patch-clipped:sky"));
    EXPECT_EQ(verdict.findings.front().severity, Severity::Fault);
    EXPECT_EQ(verdict.worst(), Severity::Fault);
}

// Letting a cause go lets go of what is told with it; taken back, everything is told as before.
TEST(ToldOnce, WhatIsAcceptedStaysTogetherAndApartFromTheRest) {
    Shoot shoot = stretched(0, 3);
    auto& setup = shoot.setups[0];
    const auto before = judge(shoot, setup);
    for (const auto& key : keysAccepted(*before.find("scene-wider")))
        setup.accepted.push_back({key, "it is night", {}});
    const auto after = judge(shoot, setup);
    const auto* wider = after.find("scene-wider");
    ASSERT_TRUE(wider && wider->accepted);
    EXPECT_EQ(wider->follows.size(), before.find("scene-wider")->follows.size());
    EXPECT_EQ(after.find("patch-in-noise:hopper")->accepted, "it is night");
    EXPECT_LT(after.count(Severity::Fault), before.count(Severity::Fault));
    // Of the cause alone: what it brings about is still open, and says so by itself.
    setup.accepted.resize(1);
    const auto half = judge(shoot, setup);
    EXPECT_TRUE(half.find("scene-wider")->follows.empty());
    EXPECT_FALSE(half.find("patch-in-noise:hopper")->accepted);
}

// Every rule's finding is there once, its remedies too, whatever the scene: the telling only moves.
TEST(ToldOnce, NothingIsLostOrTwice) {
    std::mt19937 random(29);
    std::uniform_real_distribution<double> unit(0, 1);
    int gathered = 0;
    for (int round = 0; round < 200; ++round) {
        Shoot shoot = stretched(unit(random) * 6 - 3, unit(random) * 6 - 3);
        auto& setup = shoot.setups[0];
        setup.iris = TStop(std::exp2(1 + unit(random) * 3.5));
        setup.school = static_cast<School>(round % 5);
        const auto verdict = judge(shoot, setup);
        const auto keys = keysIn(verdict.findings);
        EXPECT_EQ(std::set<std::string>(keys.begin(), keys.end()).size(), keys.size()) << round;
        for (const auto& key : keys)
            EXPECT_TRUE(verdict.find(key)) << key;
        for (const auto& finding : verdict.findings) {
            gathered += static_cast<int>(finding.follows.size());
            EXPECT_LE(finding.remedies.size(), kMostRemedies) << finding.key();
            for (const auto& other : finding.follows)
                EXPECT_LE(finding.severity, other.severity) << "the cause is the worse one";
        }
        // The card tells of everything that is open, each on a line of its own.
        const auto card = cardOf(shoot, setup);
        std::size_t open = 0;
        for (const auto& key : keys)
            open += verdict.find(key)->severity <= Severity::Caution ? 1 : 0;
        EXPECT_EQ(card.open.size(), open) << round;
    }
    EXPECT_GT(gathered, 50);
    EXPECT_EQ(judge(stretched(0, 0), sample::shoot().setups[0]).find("no-such-key"), nullptr);
}

} // namespace
} // namespace bslate
