// A scene through the camera: planned levels, noise by its statistics, channels, and what of the
// signal reaches the file.
#include "core/facts/evaluate.h"
#include "core/frame/camera_path.h"
#include "core/frame/frame_made.h"
#include "core/frame/scene_picture.h"
#include "core/frame/ycbcr.h"
#include "core/quantity/print.h"
#include "support/library_log.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

// A camera whose own primaries are the picture's, in light it is balanced for.
Shoot plainShoot() {
    Shoot shoot = sample::shoot();
    shoot.setups[0].white = Kelvin(6504);
    for (auto& camera : shoot.kit.cameras) {
        camera.white.step = 1;
        camera.primaries = gamutBt2020();
        camera.codecs[0].chroma = Chroma::C444;
    }
    for (auto& profile : shoot.kit.profiles)
        profile.gamut = gamutBt2020();
    return shoot;
}

Image evenLight(PictureSize size, double candela) {
    Image light(size);
    for (auto& plane : light.plane)
        std::fill(plane.begin(), plane.end(), static_cast<float>(candela));
    return light;
}

struct Taken {
    SetupContext context;
    Evaluation at;
    Recorded recorded;
};

Taken taken(const Shoot& shoot, double candela, bool noise, PictureSize size = {64, 64}) {
    const auto context = *resolve(shoot, shoot.setups[0]);
    const auto at = evaluate(context);
    return {context, at, recordScene(context, at, evenLight(size, candela), {1, noise})};
}

double meanOf(const std::vector<float>& values) {
    double sum = 0;
    for (const float value : values)
        sum += static_cast<double>(value);
    return sum / static_cast<double>(values.size());
}

// 26 cd/m2 at base 800, T4, 172.8 degrees at 24 is +1.0566 stops (worked: log2(26 * 800 * 0.02 /
// (12.5 * 16))).
TEST(CameraPath, GreyLandsWhereTheEvaluationSays) {
    const Shoot shoot = plainShoot();
    const auto t = taken(shoot, 26, false);
    EXPECT_NEAR(stopsOf(SceneLinear(meanOf(t.recorded.linear.plane[1]))).value(), 1.0566, 0.002);
    for (std::size_t c = 0; c < 3; ++c)
        EXPECT_NEAR(t.recorded.frame.codes.plane[c][0],
                    codeAt(t.context.profile->curve, Stops(1.0566), t.at.depth), 1)
            << c;
    EXPECT_EQ(t.recorded.fates.clipped[0], 0);
}

// The mean-variance line of photon statistics: variance is the mean plus the read noise squared.
TEST(CameraPath, NoiseIsThatOfPhotonsAndReading) {
    const Shoot shoot = plainShoot();
    const auto& sensor = shoot.kit.cameras[0].bases[0].sensor;
    for (const double candela : {0.05, 0.4, 4.0, 60.0}) {
        const auto t = taken(shoot, candela, true, {256, 256});
        const auto& green = t.recorded.linear.plane[1];
        const double toElectrons =
            sensor.fullWell.value() / (0.18 * ratio(sensor.clip)); // of recorded light
        const double mean = meanOf(green) * toElectrons;
        double variance = 0;
        for (const float value : green) {
            const double off = static_cast<double>(value) * toElectrons - mean;
            variance += off * off;
        }
        variance /= static_cast<double>(green.size());
        const double wanted = mean + sensor.readNoise.value() * sensor.readNoise.value();
        EXPECT_NEAR(variance / wanted, 1, 0.03) << candela;
    }
}

TEST(CameraPath, IsTheSameForTheSameSeed) {
    const Shoot shoot = plainShoot();
    const auto context = *resolve(shoot, shoot.setups[0]);
    const auto at = evaluate(context);
    const auto light = evenLight({100, 70}, 5);
    const auto a = recordScene(context, at, light, {5, true});
    EXPECT_EQ(a.frame, recordScene(context, at, light, {5, true}).frame);
    EXPECT_NE(a.frame, recordScene(context, at, light, {6, true}).frame);
}

TEST(CameraPath, EachChannelClipsOnItsOwn) {
    Shoot shoot = plainShoot();
    Lamp bulb;
    bulb.kind = LampKind::Steady;
    bulb.colour = LightColour{Kelvin(2856), Duv(0)};
    shoot.scenes[0].lamps = {bulb};
    shoot.setups[0].white = Kelvin(2856);
    const auto context = *resolve(shoot, shoot.setups[0]);
    const auto at = evaluate(context);
    Surface wall;
    wall.box = {0, 0, 1, 1};
    wall.light = {Kelvin(2856), Duv(0)};
    wall.probe = {0.4, 0.4, 0.2, 0.2};
    // Half a stop over red's end, which is 6.1 - 0.69 (white_gains_test.cpp), under the others'.
    wall.luminance = CandelaPerM2(26 * std::exp2(5.9 - 1.0566));
    const auto light = paintScene(std::span(&wall, 1), {8, 8});
    EXPECT_NEAR(light.plane[0][0] * 0.2627 + light.plane[1][0] * 0.6780 +
                    light.plane[2][0] * 0.0593,
                wall.luminance.value(), wall.luminance.value() * 1e-4);
    const auto recorded = recordScene(context, at, light, {1, false});
    EXPECT_EQ(recorded.fates.clipped[0], 1) << "red alone";
    const auto& linear = recorded.linear;
    EXPECT_NEAR(linear.plane[1][0] / linear.plane[2][0], 1, 0.01) << "white is neutral";
    EXPECT_LT(linear.plane[0][0], linear.plane[1][0] * 0.8) << "but for what clipped";
}

TEST(CameraPath, WhatDrownsIsMarked) {
    const Shoot shoot = plainShoot();
    const auto at = *evaluate(shoot, shoot.setups[0]);
    const double floor = 26 * std::exp2(at.noiseFloor.value() - 1.0566);
    EXPECT_EQ(taken(shoot, floor * 1.05, false).recorded.fates.drowned[0], 0);
    EXPECT_EQ(taken(shoot, floor * 0.95, false).recorded.fates.drowned[0], 7);
}

TEST(Subsampled, KeepsLumaAndAveragesColour) {
    CodeFrame frame{BitDepth{10}, CodeRange::Full, Planes<std::uint16_t>({4, 2})};
    const int reds[] = {900, 100, 500, 500, 900, 100, 500, 500};
    for (std::size_t i = 0; i < 8; ++i) {
        frame.codes.plane[0][i] = static_cast<std::uint16_t>(reds[i]);
        frame.codes.plane[1][i] = 400;
        frame.codes.plane[2][i] = 300;
    }
    const LumaWeights w;
    const auto half = subsampled(frame, Chroma::C422, w);
    EXPECT_EQ(subsampled(frame, Chroma::C444, w), frame);
    for (std::size_t i = 0; i < 8; ++i) {
        const auto luma = [&](const CodeFrame& of) {
            return LumaCoder(w)(of.codes.plane[0][i], of.codes.plane[1][i], of.codes.plane[2][i]);
        };
        EXPECT_NEAR(luma(half), luma(frame), 1) << i;
    }
    // Pixels of a pair share R - Y: the mean of 900 and 100's own, worked by hand.
    const double own[] = {900 - (0.2126 * 900 + 0.7152 * 400 + 0.0722 * 300),
                          100 - (0.2126 * 100 + 0.7152 * 400 + 0.0722 * 300)};
    const double mean = (own[0] + own[1]) / 2;
    const double luma0 = 0.2126 * 900 + 0.7152 * 400 + 0.0722 * 300;
    EXPECT_NEAR(half.codes.plane[0][0], luma0 + mean, 2);
    EXPECT_EQ(half.codes.plane[0][2], half.codes.plane[0][3]) << "an even pair stays";
}

// The same light through OpenColorIO's matrix and camera log: no noise, no chroma, every code.
// The plan takes luminance for green's exposure, and so does the frame: a grey card and skin are
// found where they were planned under any light that white answers.
TEST(CameraPath, FindsPatchesWhereTheyWerePlannedUnderAnyLight) {
    for (const double kelvin : {2000.0, 2856.0, 3200.0, 4300.0, 5600.0, 8000.0}) {
        Shoot shoot = plainShoot();
        shoot.scenes[0].patches = {sample::patch("grey", PatchRole::Grey, 26),
                                   sample::patch("skin", PatchRole::SkinLight, 52)};
        shoot.scenes[0].light = LightColour{Kelvin(kelvin), {}};
        shoot.setups[0].white = Kelvin(kelvin);
        const auto context = *resolve(shoot, shoot.setups[0]);
        const auto at = evaluate(context);
        FrameWish wish;
        wish.size = {192, 108};
        wish.camera.noise = false;
        for (const auto& patch : makeFrame(context, at, wish).patches)
            EXPECT_NEAR(patch.foundStops.value(), patch.plannedStops.value(), 0.04)
                << patch.id << " at " << kelvin;
    }
}

TEST(CameraPath, WithoutNoiseIsTheReferenceLibrarys) {
    Shoot shoot = plainShoot();
    auto& profile = shoot.kit.profiles[0];
    profile.gamut = {{0.734, 0.2655}, {0.158, 0.842}, {0.12, 0.012}, {0.3127, 0.3290}};
    const auto context = *resolve(shoot, shoot.setups[0]);
    const auto at = evaluate(context);
    const auto surfaces = surfacesOf(context);
    const auto recorded = recordScene(context, at, paintScene(surfaces, {96, 54}), {1, false});
    namespace OCIO = OCIO_NAMESPACE;
    const auto group = OCIO::GroupTransform::Create();
    const auto matrix = OCIO::MatrixTransform::Create();
    const auto m = convert(gamutBt2020(), profile.gamut);
    double values[16] = {};
    for (std::size_t i = 0; i < 9; ++i)
        values[(i / 3) * 4 + i % 3] = m[i / 3][i % 3];
    values[15] = 1;
    matrix->setMatrix(values);
    group->appendTransform(matrix);
    group->appendTransform(sample::libraryLog(std::get<CameraLog>(profile.curve.family)));
    const auto processor = OCIO::Config::CreateRaw()->getProcessor(group)->getDefaultCPUProcessor();
    // Behind the well, before the matrix: the light itself, its middle and its end by hand.
    const auto back = convert(profile.gamut, gamutBt2020());
    int seen = 0;
    for (std::size_t i = 0; i < recorded.linear.size.pixels(); i += 7) {
        float rgb[3] = {};
        for (std::size_t c = 0; c < 3; ++c)
            for (std::size_t k = 0; k < 3; ++k)
                rgb[c] += static_cast<float>(back[c][k]) * recorded.linear.plane[k][i];
        processor->applyRGB(rgb);
        for (std::size_t c = 0; c < 3; ++c) {
            const int code =
                recordedCode(Signal(static_cast<double>(rgb[c])), profile.curve.range, at.depth);
            const int end =
                recordedCode(endSignal(profile.curve, at.depth), profile.curve.range, at.depth);
            EXPECT_NEAR(recorded.frame.codes.plane[c][i], std::min(code, end), 1) << i << " " << c;
            ++seen;
        }
    }
    EXPECT_GT(seen, 1000);
}

TEST(FrameMade, FindsThePatchesWhereTheyWerePlanned) {
    Shoot shoot = plainShoot();
    shoot.scenes[0].place = Place::Interior;
    const auto context = *resolve(shoot, shoot.setups[0]);
    const auto at = evaluate(context);
    FrameWish wish;
    wish.size = {480, 270};
    const auto frame = makeFrame(context, at, wish);
    ASSERT_EQ(frame.patches.size(), 6u) << "each has its place";
    for (const auto& patch : frame.patches)
        EXPECT_NEAR(patch.found.value(), patch.planned.value(), 1.5) << patch.name;
    EXPECT_GT(frame.clipped[1].value(), 0.02) << "the opening is lost";
    for (const auto stage :
         {FrameStage::Light, FrameStage::Sensor, FrameStage::Curve, FrameStage::Grade}) {
        EXPECT_EQ(frameStageNamed(keyOf(stage)), stage);
        const auto shown = shownStage(context, at, frame, stage);
        for (const auto& plane : shown.plane)
            for (const float value : plane)
                ASSERT_TRUE(value >= 0 && value <= 1) << keyOf(stage);
    }
    EXPECT_FALSE(frameStageNamed("coda"));
}

// Scenes of every kind: each patch has one place in the picture.
TEST(SurfacesOf, GiveEveryPatchOfASceneAPlace) {
    for (const auto place : {Place::Interior, Place::Exterior, Place::Unknown})
        for (const bool people : {true, false})
            for (const double light : {0.1, 30.0, 5000.0}) {
                Scene scene;
                scene.place = place;
                scene.patches = {sample::patch("grey", PatchRole::Grey, light),
                                 sample::patch("top", PatchRole::Highlight, light * 30),
                                 sample::patch("hole", PatchRole::Shadow, light / 100)};
                if (people)
                    scene.patches.push_back(sample::patch("face", PatchRole::SkinDark, light));
                const auto surfaces = surfacesOf(scene, {}, {});
                for (const auto& patch : scene.patches)
                    EXPECT_EQ(
                        std::count_if(surfaces.begin(), surfaces.end(),
                                      [&](const Surface& one) { return one.patch == patch.id; }),
                        1)
                        << patch.id << " " << static_cast<int>(place) << people << light;
                for (const auto& surface : surfaces)
                    EXPECT_GT(surface.luminance, CandelaPerM2(0));
            }
}

} // namespace
} // namespace bslate
