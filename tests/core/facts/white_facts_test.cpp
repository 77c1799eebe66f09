#include "core/facts/evaluate.h"
#include "core/facts/light_ratios.h"
#include "core/facts/neighbours.h"
#include "core/facts/white_facts.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate {
namespace {

Lamp steadyLamp(std::string name, double kelvin, double duv, std::optional<Fraction> share) {
    Lamp lamp;
    lamp.name = std::move(name);
    lamp.kind = LampKind::Steady;
    lamp.colour = LightColour{Kelvin(kelvin), Duv(duv)};
    lamp.share = share;
    return lamp;
}

// Illuminant A on the generic sensor: gains -0.69, 0, +1.51 (see white_gains_test.cpp).
Shoot underLampLight() {
    Shoot shoot = sample::shoot();
    shoot.scenes[0].lamps = {steadyLamp("bulb", 2856, 0, {})};
    shoot.setups[0].white = Kelvin(2856);
    for (auto& camera : shoot.kit.cameras)
        camera.white.step = 1;
    return shoot;
}

TEST(WhiteFacts, EachChannelEndsOnItsOwn) {
    const Shoot shoot = underLampLight();
    const auto at = *evaluate(shoot, shoot.setups[0]);
    const auto& white = at.white;
    EXPECT_TRUE(white.baked);
    EXPECT_TRUE(white.generic);
    const double gains[] = {-0.69, 0, 1.51};
    for (std::size_t c = 0; c < 3; ++c) {
        EXPECT_NEAR(white.channels[c].gain.value(), gains[c], 0.01);
        EXPECT_NEAR(white.channels[c].clip.value(), 6.1 - gains[c], 0.01) << "clip - gain";
        EXPECT_NEAR(white.channels[c].floor.value(), at.noiseFloor.value() + gains[c], 0.01);
        EXPECT_NEAR(white.channels[c].well.value(), 6.1 + gains[c], 0.01);
    }
    // Under lamp light red's photosites fill first, and blue has the least light.
    EXPECT_EQ(white.clipsFirst, 0u);
    EXPECT_NEAR(white.firstClip.value(), 6.1 - 0.69, 0.01);
    EXPECT_EQ(white.drownsFirst, 2u);
    EXPECT_NEAR(white.firstFloor.value(), at.noiseFloor.value() + 1.51, 0.01);
    const auto& skin = white.patches[3];
    EXPECT_NEAR(skin.room[0].value(), 6.1 - 0.69 - at.patches[3].recorded.value(), 0.01);
    EXPECT_NEAR(skin.above[2].value(), at.patches[3].aboveNoise.value() - 1.51, 0.01);
    EXPECT_EQ(skin.kept, ColourKept::All);
}

// A patch of another light, where the white lifts what it has plenty of.
TEST(WhiteFacts, APatchOfAnotherLightEndsEarlierWhereWhiteIsBaked) {
    Shoot shoot = underLampLight();
    shoot.scenes[0].lamps.push_back(steadyLamp("window", 6504, 0.0032, Fraction(0)));
    shoot.scenes[0].patches[5].lamp = "window";
    const auto at = *evaluate(shoot, shoot.setups[0]);
    const Stops sky = at.patches[5].recorded; // the light of D65 needs no gain on this sensor
    EXPECT_NEAR(at.white.patches[5].room[2].value(), (6.1 - sky.value()) - 1.51, 0.02) << "blue";
    EXPECT_NEAR(at.white.patches[5].room[1].value(), 6.1 - sky.value(), 0.02) << "green";
    EXPECT_EQ(at.white.patches[5].clipsFirst, 2u);
    shoot.kit.cameras[0].codecs[0].gop = Gop::Raw;
    const auto raw = *evaluate(shoot, shoot.setups[0]);
    EXPECT_FALSE(raw.white.baked);
    EXPECT_NEAR(raw.white.patches[5].room[2].value(), 6.1 - sky.value(), 0.02)
        << "in raw the gain comes later";
    shoot.kit.cameras[0].codecs[0].white = WhiteKept::Baked;
    EXPECT_TRUE(evaluate(shoot, shoot.setups[0])->white.baked) << "a raw that bakes it after all";
    // Brighter by what is left, colour goes first and then everything.
    shoot.scenes[0].patches[5].reading.value *= std::exp2(6.1 - sky.value() - 0.5);
    EXPECT_EQ(evaluate(shoot, shoot.setups[0])->white.patches[5].kept, ColourKept::Loses);
    shoot.scenes[0].patches[5].reading.value *= 8;
    EXPECT_EQ(evaluate(shoot, shoot.setups[0])->white.patches[5].kept, ColourKept::Lost);
}

TEST(SceneLights, DivideWhatIsNotTold) {
    Scene scene;
    EXPECT_TRUE(colouredLights(scene, {}).empty()) << "nothing is told";
    scene.described = DescribedLight::OpenShade;
    EXPECT_TRUE(colouredLights(scene, {})[0].usual);
    EXPECT_EQ(colouredLights(scene, {})[0].colour.cct, Kelvin(7500));
    scene.light = LightColour{Kelvin(6100), {}};
    EXPECT_FALSE(colouredLights(scene, {})[0].usual);
    scene.lamps = {steadyLamp("a", 3200, 0, Fraction(0.6)), steadyLamp("b", 5600, 0, {}),
                   steadyLamp("c", 5600, 0, {})};
    auto lights = colouredLights(scene, {});
    EXPECT_NEAR(lights[1].share.value(), 0.2, 1e-12);
    EXPECT_EQ(lights[2].behind, lights[2].share) << "nobody tells of the background";
    scene.lamps[2].side = LightSide::Background;
    lights = colouredLights(scene, {});
    EXPECT_EQ(lights[2].behind, Fraction(1));
    EXPECT_EQ(lights[0].behind, Fraction(0));
    scene.lamps[0].behind = Fraction(0.25);
    lights = colouredLights(scene, {});
    EXPECT_EQ(lights[0].behind, Fraction(0.25));
    EXPECT_NEAR(lights[1].behind.value(), 0.375, 1e-12);
    Kit kit;
    kit.gels = {{"half", "Half", Mired(50), Duv(-0.004), Fraction(0.5), {}}};
    scene.lamps[0].gels = {"half", "gone"};
    lights = colouredLights(scene, kit);
    EXPECT_EQ(lights[0].bare.cct, Kelvin(3200));
    EXPECT_NEAR(lights[0].colour.cct.value(), 1e6 / (312.5 + 50), 1e-6);
    EXPECT_NEAR(lights[0].loss.value(), 1, 1e-12);
    EXPECT_NEAR(lights[0].share.value(), 0.3, 1e-12) << "half of its light is gone";
}

TEST(WhiteChoices, AnswerKeyBackgroundAndBetween) {
    Shoot shoot = underLampLight();
    auto& scene = shoot.scenes[0];
    scene.lamps = {steadyLamp("tubes", 4100, 0.012, Fraction(0.7)),
                   steadyLamp("window", 6500, 0.003, {})};
    for (auto& camera : shoot.kit.cameras)
        camera.white = {50, Kelvin(2500), Kelvin(10000), TintDial{}};
    const auto choices = [&] {
        const auto context = resolve(shoot, shoot.setups[0]);
        return whiteChoices(*context, evaluate(*context).white);
    };
    EXPECT_EQ(choices().key->kelvin, Kelvin(4100));
    // Halfway in mired: 1e6 / ((243.9 + 153.8) / 2) = 5028 K.
    EXPECT_EQ(choices().between->kelvin, Kelvin(5050));
    scene.lamps[1].side = LightSide::Key;
    EXPECT_EQ(choices().key->kelvin, Kelvin(6500)) << "the key is what is called so";
    scene.lamps[0].side = LightSide::Background;
    EXPECT_EQ(choices().background->kelvin, Kelvin(4100));
    scene.lamps = {};
    EXPECT_FALSE(choices().key);
}

TEST(LightRatios, AreReadFromThePatchesOfTheirSides) {
    Scene scene;
    scene.patches = {sample::patch("face", PatchRole::SkinLight, 60),
                     sample::patch("shade", PatchRole::Spare, 15),
                     sample::patch("rim", PatchRole::Spare, 40),
                     sample::patch("wall", PatchRole::Spare, 120)};
    scene.patches[1].side = LightSide::Fill;
    scene.patches[2].side = LightSide::Kicker;
    scene.patches[3].side = LightSide::Background;
    scene.keyOverFill = Stops(1);
    Lamp bounce;
    bounce.name = "bounce";
    bounce.side = LightSide::Fill;
    scene.lamps = {bounce};
    const auto ratios = lightRatiosOf(scene, {});
    ASSERT_EQ(ratios.size(), 3u);
    EXPECT_NEAR(ratios[0].measured.value(), 2, 1e-12) << "60 over 15";
    EXPECT_NEAR(ratios[0].move.value(), 1, 1e-12) << "the fill comes up a stop";
    EXPECT_EQ(ratios[0].lamp, "bounce");
    EXPECT_NEAR(ratios[1].measured.value(), 0.585, 0.001) << "a kicker at two thirds of the key";
    EXPECT_NEAR(ratios[2].measured.value(), -1, 1e-12);
    const auto after = lightRatiosOf(relit(scene, LightSide::Fill, ratios[0].move), {});
    EXPECT_NEAR(after[0].move.value(), 0, 1e-12);
    // Light falling on two cards compares without what they reflect.
    scene.patches[0].reading = {400, LightUnit::Lux};
    scene.patches[1].reading = {100, LightUnit::Lux};
    scene.patches[1].reflectance = Reflectance(0.9);
    EXPECT_NEAR(lightRatiosOf(scene, {})[0].measured.value(), 2, 1e-12);
}

TEST(LightRatios, AreTypedAndPrinted) {
    EXPECT_NEAR((*parseRatio("4:1"))->value(), 2, 1e-12);
    EXPECT_NEAR((*parseRatio("1:2"))->value(), -1, 1e-12);
    EXPECT_NEAR((*parseRatio("2/3"))->value(), 0.585, 0.001);
    EXPECT_NEAR((*parseRatio("1 1/2 stops"))->value(), 1.5, 1e-12);
    EXPECT_FALSE(*parseRatio("  "));
    for (const char* text : {"4", "0:1", "4:1:2", "much", "20 stops", "2 K"})
        EXPECT_FALSE(parseRatio(text).ok()) << text;
    EXPECT_EQ(printRatio(Stops(2)), "4:1");
    EXPECT_EQ(printRatio(Stops(-1)), "1:2");
}

TEST(CutsWith, AreTheNearestOfTheScene) {
    Shoot shoot = sample::shoot();
    for (int i = 0; i < 40; ++i) {
        auto one = shoot.setups[0];
        one.id = std::to_string(i);
        one.number = one.id;
        if (i == 19)
            one.scene = "elsewhere";
        shoot.setups.push_back(one);
    }
    const auto near = cutsWith(shoot, shoot.setups[21]);
    ASSERT_EQ(near.size(), 16u);
    EXPECT_EQ(near.front()->id, "11") << "eight of the scene before, one elsewhere passed over";
    EXPECT_EQ(near.back()->id, "28");
    EXPECT_EQ(cutsWith(shoot, shoot.setups[0]).size(), 8u);
}

} // namespace
} // namespace bslate
