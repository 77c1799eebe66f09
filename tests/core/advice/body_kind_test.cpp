#include "core/advice/body_kind.h"

#include "core/advice/starting.h"
#include "core/facts/evaluate.h"
#include "core/judgement/judge.h"
#include "core/kit/camera_answer.h"
#include "core/kit/check.h"
#include "core/kit/kit_parts.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

TEST(BodyKind, EachIsAWholeCameraThatEvaluates) {
    for (const auto kind : kBodyKinds) {
        auto shoot = sample::shoot();
        shoot.kit = plainKit();
        auto camera = cameraOfKind(kind, shoot.kit);
        camera.name = "generic";
        EXPECT_GE(camera.modes.size(), 2u);
        EXPECT_EQ(camera.guessed.size(), std::size(kCameraFacts)) << "nothing of it is known";
        shoot.kit.cameras = {camera};
        ASSERT_TRUE(checkKit(shoot.kit)) << message(checkKit(shoot.kit).error());
        const auto setup = startingSetup(shoot, nullptr);
        shoot.setups = {setup};
        shoot.setups[0].scene = "scene";
        const auto verdict = judge(shoot, shoot.setups[0]);
        EXPECT_TRUE(verdict.evaluation);
        EXPECT_TRUE(verdict.find("camera-guessed"));
    }
}

TEST(CameraAnswers, GiveTheirOwnTextBackAndLeaveTheRestAlone) {
    const auto before = cameraOfKind(BodyKind::SmallCinema, plainKit());
    for (const auto fact : kCameraFacts) {
        const auto text = answerOf(before, fact);
        const auto same = withAnswer(before, fact, text);
        ASSERT_TRUE(same) << keyOf(fact);
        EXPECT_EQ(*same, before) << keyOf(fact);
    }
    const struct {
        CameraFact fact;
        const char *text, *back;
    } told[] = {{CameraFact::Sensor, "35.9mm X 20.2 mm", "35.9 x 20.2"},
                {CameraFact::Bases, "4000, 640", "640, 4000"},
                {CameraFact::OverGrey, "5.8 st", "5.8"},
                {CameraFact::Shutter, "Half-stop times", "half-stop times"},
                {CameraFact::Slots, "uhs-ii, UHS-I at 150 Mb/s", "UHS-II, UHS-I at 150 Mb/s"},
                {CameraFact::Zebra, "2 %", "2"},
                {CameraFact::Readout, "19ms", "19"},
                {CameraFact::Draw, "7 W / 4 W", "7 W / 4 W"},
                {CameraFact::Heat, "5min at 45 C, 20 min at 35 C", ""},
                {CameraFact::Buffer, "0.6 GB", ""}};
    for (const auto& one : told) {
        const auto with = withAnswer(before, one.fact, one.text);
        ASSERT_TRUE(with) << one.text << ": " << message(with.error());
        if (*one.back)
            EXPECT_EQ(answerOf(*with, one.fact), one.back);
        const auto again = withAnswer(before, one.fact, answerOf(*with, one.fact));
        ASSERT_TRUE(again) << one.text;
        EXPECT_EQ(answerOf(*again, one.fact), answerOf(*with, one.fact));
    }
    const auto hot = withAnswer(before, CameraFact::Heat, "5min at 45 C, 20min at 35 C");
    ASSERT_TRUE(hot);
    EXPECT_EQ(hot->modes.back().heat.front(), (HeatLimit{Celsius(35), Seconds(1200)}));
    EXPECT_TRUE(withAnswer(*hot, CameraFact::Heat, "none")->modes.front().heat.empty());
    const auto range = withAnswer(before, CameraFact::Range, "11.5");
    ASSERT_TRUE(range);
    EXPECT_NEAR(dynamicRange(range->bases.back().sensor, 2).value(), 11.5, 0.01)
        << "holds at every base";
}

TEST(CameraAnswers, WrongOnesSayWhatWasExpected) {
    const auto camera = cameraOfKind(BodyKind::Hybrid, plainKit());
    const struct {
        CameraFact fact;
        const char *text, *expected;
    } wrong[] = {{CameraFact::Sensor, "36", "width x height in mm"},
                 {CameraFact::Sensor, "900 x 20", "0.5 to 200"},
                 {CameraFact::Bases, ",", "base ISO"},
                 {CameraFact::OverGrey, "6,1", "stops from grey"},
                 {CameraFact::Range, "40", "stops from clip"},
                 {CameraFact::Shutter, "round", "angles and times"},
                 {CameraFact::Slots, "UHS-9", "UHS-II"},
                 {CameraFact::Zebra, "0", "percent"},
                 {CameraFact::Readout, "-1", "milliseconds"},
                 {CameraFact::Sensor, "", "something such as"}};
    for (const auto& one : wrong) {
        const auto with = withAnswer(camera, one.fact, one.text);
        ASSERT_FALSE(with) << one.text;
        EXPECT_NE(with.error().expected.find(one.expected), std::string::npos)
            << one.text << ": " << with.error().expected;
    }
    const CameraAnswer bad{CameraFact::Readout, "soon"};
    EXPECT_EQ(answered(camera, std::span(&bad, 1)).error().place, "readout");
    const CameraAnswer good{CameraFact::Readout, "20"};
    const auto known = answered(camera, std::span(&good, 1));
    ASSERT_TRUE(known);
    EXPECT_EQ(known->guessed.size(), std::size(kCameraFacts) - 1);
}

} // namespace
} // namespace bslate
