// White and the colours of light: said with numbers, and with ways out that do what they say.
#include "core/judgement/judge.h"
#include "core/words/wording.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

Lamp lampOf(std::string name, double kelvin, double duv, double share) {
    Lamp lamp;
    lamp.name = std::move(name);
    lamp.kind = LampKind::Steady;
    lamp.colour = LightColour{Kelvin(kelvin), Duv(duv)};
    lamp.share = Fraction(share);
    return lamp;
}

// Tubes and a window, with gels and a camera that has tint.
Shoot workshop() {
    Shoot shoot = sample::shoot();
    shoot.scenes[0].lamps = {lampOf("tubes", 4100, 0.012, 0.7),
                             lampOf("window", 6500, 0.0032, 0.3)};
    for (auto& camera : shoot.kit.cameras)
        camera.white = {50, Kelvin(2500), Kelvin(10000), TintDial{}};
    shoot.kit.gels = {{"warm", "Warm half", Mired(81), Duv(0), Fraction(0.73), {}},
                      {"moss", "Moss half", Mired(5), Duv(0.008), Fraction(0.82), {}},
                      {"rose", "Rose half", Mired(-3), Duv(-0.008), Fraction(0.76), {}}};
    shoot.setups[0].white = Kelvin(4100);
    return shoot;
}

std::optional<Finding> saidOf(const Shoot& shoot, std::string_view key) {
    const auto verdict = judge(shoot, shoot.setups[0]);
    const auto* found = verdict.find(key);
    return found ? std::optional(*found) : std::nullopt;
}

const Remedy* remedyOf(const Finding& finding, RemedyId id) {
    const auto at = std::find_if(finding.remedies.begin(), finding.remedies.end(),
                                 [&](const Remedy& one) { return one.id == id; });
    return at == finding.remedies.end() ? nullptr : &*at;
}

TEST(WhiteRules, AColourNobodyMeasuredStandsNowhere) {
    Shoot shoot = workshop();
    shoot.scenes[0].lamps[0].colour.reset();
    shoot.scenes[0].lamps[0].kind = LampKind::Ballast;
    const auto green = saidOf(shoot, "light-green:tubes");
    ASSERT_TRUE(green);
    EXPECT_EQ(reasonOf(*green).find("It stands at"), std::string::npos) << reasonOf(*green);
    EXPECT_NE(reasonOf(*green).find("usual is 3500 K to 4500 K"), std::string::npos)
        << reasonOf(*green);
}

TEST(WhiteRules, TubesAreGreenUntilTintAnswersThem) {
    Shoot shoot = workshop();
    const auto green = saidOf(shoot, "light-green:tubes");
    ASSERT_TRUE(green);
    EXPECT_EQ(titleOf(*green), "tubes is green: Duv +0.012");
    EXPECT_FALSE(saidOf(shoot, "white-off")) << "told once";
    const auto* tint = remedyOf(*green, RemedyId::SetWhite);
    ASSERT_TRUE(tint);
    EXPECT_EQ(titleOf(*tint), "White 4100 K M8");
    const auto after = applied(shoot, tint->edit);
    EXPECT_FALSE(saidOf(after, "light-green:tubes"));
    EXPECT_TRUE(saidOf(after, "white-fits"));
    const auto* gel = remedyOf(*green, RemedyId::GelLamp);
    ASSERT_TRUE(gel);
    EXPECT_EQ(titleOf(*gel), "Rose half on tubes");
    EXPECT_FALSE(saidOf(applied(shoot, gel->edit), "light-green:tubes"));
}

TEST(WhiteRules, LightsApartComeTogetherByGelOrShareTheDifference) {
    Shoot shoot = workshop();
    const auto apart = saidOf(shoot, "lights-apart:window");
    ASSERT_TRUE(apart);
    // 1e6/4100 - 1e6/6500 = 90.06 mired.
    EXPECT_EQ(titleOf(*apart), "tubes and window are 90 mired apart");
    EXPECT_NE(reasonOf(*apart).find("what window lights turns cool"), std::string::npos)
        << reasonOf(*apart);
    const auto* gel = remedyOf(*apart, RemedyId::GelLamp);
    ASSERT_TRUE(gel);
    EXPECT_EQ(titleOf(*gel), "Warm half + Moss half on window");
    EXPECT_NE(effectOf(*gel).find("costs 0.7 stop"), std::string::npos) << effectOf(*gel);
    EXPECT_FALSE(saidOf(applied(shoot, gel->edit), "lights-apart:window"));
    EXPECT_FALSE(saidOf(applied(shoot, gel->edit), "light-green:window")) << "as green as the key";
    const auto* between = remedyOf(*apart, RemedyId::WhiteBetween);
    ASSERT_TRUE(between);
    const auto shared = applied(shoot, between->edit);
    EXPECT_EQ(shared.setups[0].white, Kelvin(5050));
    EXPECT_FALSE(saidOf(shared, "white-off")) << "on purpose";
    EXPECT_FALSE(saidOf(shared, "lights-apart:window")) << "it is shared";
    ASSERT_TRUE(saidOf(shared, "lights-shared:window")) << "which they stay";
    EXPECT_EQ(saidOf(shared, "lights-shared:window")->severity, Severity::Note);
    shoot.kit.gels.clear();
    EXPECT_FALSE(remedyOf(*saidOf(shoot, "lights-apart:window"), RemedyId::GelLamp));
}

TEST(WhiteRules, WhiteFarFromTheKeySaysWhatSkinLooksLike) {
    Shoot shoot = workshop();
    shoot.scenes[0].lamps = {lampOf("bulb", 3200, 0, 1)};
    shoot.setups[0].white = Kelvin(5600);
    const auto off = saidOf(shoot, "white-off");
    ASSERT_TRUE(off);
    EXPECT_EQ(off->severity, Severity::Caution);
    EXPECT_EQ(titleOf(*off), "White is 134 mired off bulb");
    EXPECT_NE(reasonOf(*off).find("skin turns warm"), std::string::npos) << reasonOf(*off);
    EXPECT_NE(reasonOf(*off).find("The recording keeps it"), std::string::npos);
    const auto* white = remedyOf(*off, RemedyId::SetWhite);
    ASSERT_TRUE(white);
    EXPECT_TRUE(saidOf(applied(shoot, white->edit), "white-fits"));
    shoot.setups[0].wantedWhite = Kelvin(5600);
    EXPECT_FALSE(saidOf(shoot, "white-off")) << "the grade wants it warm";
    shoot.setups[0].wantedWhite.reset();
    shoot.kit.cameras[0].codecs[0].gop = Gop::Raw;
    EXPECT_EQ(saidOf(shoot, "white-off")->severity, Severity::Note) << "in raw it is a note";
    shoot.scenes[0].lamps.clear();
    EXPECT_FALSE(saidOf(shoot, "white-off")) << "nothing is told of the light";
}

TEST(WhiteRules, NeighboursCutInOneWhite) {
    Shoot shoot = workshop();
    auto other = shoot.setups[0];
    other.id = "o";
    other.number = "2B";
    other.white = Kelvin(4450); // 19 mired
    shoot.setups.push_back(other);
    const auto cuts = saidOf(shoot, "white-cuts-differ:2B");
    ASSERT_TRUE(cuts);
    EXPECT_EQ(titleOf(*cuts), "2B cuts with this, 19 mired away");
    ASSERT_EQ(cuts->remedies.size(), 1u);
    EXPECT_FALSE(saidOf(applied(shoot, cuts->remedies[0].edit), "white-cuts-differ:2B"));
    shoot.setups[1].camera = "times";
    EXPECT_TRUE(saidOf(shoot, "white-cameras-differ:2B"));
    EXPECT_FALSE(saidOf(shoot, "white-cuts-differ:2B"));
    shoot.setups[1].white = Kelvin(4200); // 6 mired pass unseen
    EXPECT_FALSE(saidOf(shoot, "white-cameras-differ:2B"));
}

TEST(WhiteRules, TheFirstChannelTakesTheColourOfWhatMatters) {
    Shoot shoot = workshop();
    shoot.scenes[0].lamps = {lampOf("bulb", 2856, 0, 1)};
    shoot.setups[0].white = Kelvin(2850);
    // 26 cd/m2 lies at +1.06 (worked: log2 of 26 * 800 * 0.02 / (12.5 * 16)); sky to 5.8, which is
    // under 6.1 by luminance and over red's 6.1 - 0.69.
    auto& sky = shoot.scenes[0].patches[5];
    sky.reading.value = 26 * std::exp2(5.8 - 1.0566);
    const auto clips = saidOf(shoot, "channel-clips:sky");
    ASSERT_TRUE(clips);
    EXPECT_EQ(titleOf(*clips), "Red clips on sky by 0.4 stop");
    ASSERT_FALSE(clips->remedies.empty());
    for (const auto& remedy : clips->remedies)
        EXPECT_FALSE(saidOf(applied(shoot, remedy.edit), "channel-clips:sky")) << titleOf(remedy);
    sky.role = PatchRole::Spare;
    EXPECT_FALSE(saidOf(shoot, "channel-clips:sky"));
    // Skin at -5.5, a stop over the floor and half a stop under blue's.
    auto& skin = shoot.scenes[0].patches[3];
    skin.reading.value = 26 * std::exp2(-5.5 - 1.0566);
    const auto drowns = saidOf(shoot, "channel-drowns:skin");
    ASSERT_TRUE(drowns);
    EXPECT_EQ(titleOf(*drowns).substr(0, 16), "Blue drowns on s") << titleOf(*drowns);
}

TEST(WhiteRules, ABakedWhiteWantedElsewhereCosts) {
    Shoot shoot = workshop();
    shoot.setups[0].wantedWhite = Kelvin(5600);
    const auto elsewhere = saidOf(shoot, "white-wanted-elsewhere");
    ASSERT_TRUE(elsewhere);
    EXPECT_EQ(titleOf(*elsewhere), "Baked at 4100 K, wanted at 5600 K");
    ASSERT_EQ(elsewhere->remedies.size(), 1u);
    EXPECT_FALSE(saidOf(applied(shoot, elsewhere->remedies[0].edit), "white-wanted-elsewhere"));
    shoot.kit.cameras[0].codecs[0].gop = Gop::Raw;
    EXPECT_FALSE(saidOf(shoot, "white-wanted-elsewhere"));
}

TEST(WhiteRules, TheCardIsMeasuredThroughTheNdOfTheTake) {
    Shoot shoot = workshop();
    shoot.setups[0].whiteBy = WhiteBy::Card;
    shoot.setups[0].whiteNd = Stops(0);
    shoot.setups[0].filters = {"nd6"};
    EXPECT_FALSE(saidOf(shoot, "white-before-nd")) << "two stops tint nothing";
    shoot.setups[0].filters = {"nd18"};
    const auto before = saidOf(shoot, "white-before-nd");
    ASSERT_TRUE(before);
    ASSERT_EQ(before->remedies.size(), 1u);
    EXPECT_FALSE(saidOf(applied(shoot, before->remedies[0].edit), "white-before-nd"));
    shoot.setups[0].whiteBy = WhiteBy::Preset;
    EXPECT_FALSE(saidOf(shoot, "white-before-nd"));
}

TEST(WhiteRules, LightThatChangesColourIsMetHalfway) {
    Shoot shoot = workshop();
    shoot.scenes[0].lamps = {lampOf("sun", 5600, 0.0033, 1)};
    shoot.scenes[0].lamps[0].colourEnd = LightColour{Kelvin(3200), {}};
    shoot.setups[0].white = Kelvin(5600);
    const auto wanders = saidOf(shoot, "white-wanders:sun");
    ASSERT_TRUE(wanders);
    EXPECT_EQ(titleOf(*wanders), "sun changes by 134 mired in the take");
    ASSERT_EQ(wanders->remedies.size(), 1u);
    // 1e6 / ((178.6 + 312.5) / 2) = 4073 K.
    EXPECT_EQ(applied(shoot, wanders->remedies[0].edit).setups[0].white, Kelvin(4050));
}

TEST(WhiteRules, WhatTheDialDoesNotHaveIsSaid) {
    Shoot shoot = workshop();
    shoot.setups[0].white = Kelvin(4130);
    const auto off = saidOf(shoot, "white-off-dial");
    ASSERT_TRUE(off);
    EXPECT_EQ(titleOf(*off), "The camera sets 4150 K, not 4130 K");
    ASSERT_EQ(off->remedies.size(), 1u);
    EXPECT_FALSE(saidOf(applied(shoot, off->remedies[0].edit), "white-off-dial"));
    shoot.kit.cameras[0].white.tint.reset();
    shoot.setups[0].white = Kelvin(4150);
    shoot.setups[0].tint = Tint(3);
    EXPECT_EQ(titleOf(*saidOf(shoot, "white-off-dial")), "The camera sets 4150 K, not 4150 K M3");
}

TEST(WhiteRules, ARatioIsMetByMovingOneLight) {
    Shoot shoot = workshop();
    auto& scene = shoot.scenes[0];
    scene.patches[1].side = LightSide::Fill; // 5.7 against skin at 52: 3.19 stops
    scene.keyOverFill = Stops(2);
    const auto off = saidOf(shoot, "ratio-off:ratio-key-fill");
    ASSERT_TRUE(off);
    EXPECT_EQ(titleOf(*off), "Key to fill 9.1:1, wanted 4:1");
    ASSERT_EQ(off->remedies.size(), 1u);
    EXPECT_EQ(titleOf(off->remedies[0]), "that side by +1.2 stops");
    const auto after = applied(shoot, off->remedies[0].edit);
    EXPECT_TRUE(saidOf(after, "ratio-met:ratio-key-fill"));
    EXPECT_EQ(after.scenes[0].patches[0], scene.patches[0]) << "the others stay";
    // The kicker has its wish too.
    scene.patches[1].side = LightSide::Kicker;
    scene.keyOverKicker = Stops(1);
    const auto kicker = saidOf(shoot, "ratio-off:ratio-key-kicker");
    ASSERT_TRUE(kicker);
    EXPECT_EQ(titleOf(*kicker), "Key to kicker 9.1:1, wanted 2:1");
    ASSERT_EQ(kicker->remedies.size(), 1u);
    EXPECT_TRUE(saidOf(applied(shoot, kicker->remedies[0].edit), "ratio-met:ratio-key-kicker"));
}

// Three lights: each that stands apart is told, and either of two may be gelled.
TEST(WhiteRules, EachOfThreeLightsIsBroughtToTheKeyOrTheKeyToIt) {
    Shoot shoot = workshop();
    shoot.scenes[0].lamps = {lampOf("window", 5600, 0.0033, 0.6), lampOf("bulb", 3300, 0, 0.25),
                             lampOf("panel", 8500, 0.0032, 0.15)};
    shoot.kit.gels = {{"blue", "Blue quarter", Mired(-41), Duv(0), Fraction(0.8), {}},
                      {"warm", "Warm half", Mired(62), Duv(0), Fraction(0.7), {}}};
    shoot.setups[0].white = Kelvin(5600);
    const auto bulb = saidOf(shoot, "lights-apart:bulb"),
               panel = saidOf(shoot, "lights-apart:panel");
    ASSERT_TRUE(bulb && panel);
    // 303 mired to 179: three quarters of 41 leave 1.
    const auto* gel = remedyOf(*bulb, RemedyId::GelLamp);
    ASSERT_TRUE(gel);
    EXPECT_EQ(titleOf(*gel).find("Blue quarter + Blue quarter + Blue quarter"), 0u)
        << titleOf(*gel);
    EXPECT_FALSE(saidOf(applied(shoot, gel->edit), "lights-apart:bulb"));
    EXPECT_TRUE(saidOf(applied(shoot, gel->edit), "lights-apart:panel")) << "that one stays";
    // The other way: two warm halves on the window bring it to the bulb, but the panel would stand
    // farther from it than any light did; without the panel that is offered.
    EXPECT_EQ(bulb->remedies.size(), 2u) << "a gel on the bulb, and a white between";
    shoot.scenes[0].lamps.pop_back();
    const auto two = *saidOf(shoot, "lights-apart:bulb");
    const auto onKey =
        std::find_if(two.remedies.begin(), two.remedies.end(), [](const Remedy& one) {
            return titleOf(one).find("on window") != std::string::npos;
        });
    ASSERT_NE(onKey, two.remedies.end());
    const auto gelled = applied(shoot, onKey->edit);
    EXPECT_EQ(gelled.scenes[0].lamps[0].gels, (std::vector<std::string>{"warm", "warm"}));
    EXPECT_FALSE(saidOf(gelled, "lights-apart:bulb"));
}

// 6500 K are 153.8 mired, and 40 more are 5159 K.
TEST(WhiteRules, WhiteIsJudgedByWhatComesThroughTheFilters) {
    Shoot shoot = workshop();
    shoot.scenes[0].lamps = {lampOf("sky", 6500, 0.0032, 1)};
    shoot.setups[0].white = Kelvin(6500);
    shoot.setups[0].tint = whiteFor(shoot.kit.cameras[0].white, {Kelvin(6500), Duv(0.0032)}).tint;
    ASSERT_TRUE(saidOf(shoot, "white-fits"));
    for (auto& filter : shoot.kit.filters)
        if (filter.id == "nd18")
            filter.shift = {Mired(40), Duv(0.006)};
    shoot.setups[0].filters = {"nd18"};
    const auto off = saidOf(shoot, "white-off");
    ASSERT_TRUE(off);
    EXPECT_EQ(titleOf(*off), "White is 40 mired off sky");
    ASSERT_FALSE(off->remedies.empty());
    const auto right = applied(shoot, off->remedies[0].edit);
    EXPECT_NEAR(right.setups[0].white.value(), 5159, 26);
    EXPECT_TRUE(saidOf(right, "white-fits"));
    EXPECT_FALSE(saidOf(right, "light-green:sky")) << "that is the filter's";
    const auto shift = saidOf(right, "filters-shift");
    ASSERT_TRUE(shift);
    EXPECT_EQ(titleOf(*shift), "The filters turn every light warm, green");
    EXPECT_EQ(shift->severity, Severity::Note);
    // The card was measured before they went on: told although the ND is not strong.
    auto measured = right;
    measured.setups[0].whiteBy = WhiteBy::Card;
    measured.setups[0].whiteNd = Stops(0);
    EXPECT_TRUE(saidOf(measured, "white-before-nd"));
    // Another camera without filters, at the white of the sky, is not apart from this one.
    auto other = right.setups[0];
    other.id = "other";
    other.number = "2B";
    other.filters.clear();
    other.white = Kelvin(6500);
    other.tint = shoot.setups[0].tint;
    auto both = right;
    both.setups.push_back(other);
    EXPECT_FALSE(saidOf(both, "white-cuts-differ:2B"));
    both.setups[1].filters = {"nd18"};
    EXPECT_TRUE(saidOf(both, "white-cuts-differ:2B"));
    for (auto& camera : shoot.kit.cameras)
        camera.white.tint.reset();
    EXPECT_EQ(saidOf(shoot, "filters-shift")->severity, Severity::Caution);
}

TEST(WhiteRules, EverySentenceIsWhole) {
    Shoot shoot = workshop();
    shoot.setups[0].wantedWhite = Kelvin(9000);
    shoot.scenes[0].lamps[0].colourEnd = LightColour{Kelvin(9000), {}};
    const auto verdict = judge(shoot, shoot.setups[0]);
    for (const auto& finding : verdict.findings) {
        EXPECT_EQ((titleOf(finding) + reasonOf(finding)).find('{'), std::string::npos)
            << titleOf(finding) << " / " << reasonOf(finding);
        for (const auto& remedy : finding.remedies)
            EXPECT_EQ((titleOf(remedy) + effectOf(remedy)).find('{'), std::string::npos)
                << titleOf(remedy) << " / " << effectOf(remedy);
    }
}

} // namespace
} // namespace bslate
