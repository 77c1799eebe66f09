// Held, focused, heard, left to itself: in a scene's line, of a setup, and as a camera's record.
#include "core/shoot/camera_record.h"
#include "core/shoot/handling_of.h"
#include "core/shoot/scene_line_text.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

TEST(Handling, StandsInTheScenesLineAndComesBack) {
    const auto line = parseSceneLine("5 lantern ext shoulder facefocus radio 26lx");
    ASSERT_TRUE(line.ok());
    EXPECT_EQ(line->scene.support, Support::Shoulder);
    EXPECT_EQ(line->scene.focusBy, FocusBy::Faces);
    EXPECT_EQ(line->scene.soundBy, SoundBy::Radio);
    EXPECT_TRUE(line->scene.sound);
    EXPECT_EQ(line->scene.name, "lantern");
    for (const char* words :
         {"tripod handfocus onboard", "gimbal autofocus wired", "handheld mute", "shoulder talk"}) {
        const auto typed = parseSceneLine(std::string("7 yard ") + words);
        ASSERT_TRUE(typed.ok()) << words;
        const auto again = parseSceneLine(lineOf(typed->scene));
        ASSERT_TRUE(again.ok()) << lineOf(typed->scene);
        EXPECT_TRUE(again->scene == typed->scene) << lineOf(typed->scene);
    }
    // A name that says one of the words is quoted, and stays a name.
    Scene scene = line->scene;
    scene.name = "The radio on a tripod";
    scene.support = Support::Unsaid;
    EXPECT_EQ(parseSceneLine(lineOf(scene))->scene.name, scene.name);
}

TEST(Handling, ASetupsOwnWordComesFirst) {
    Scene scene;
    bslate::Setup setup;
    EXPECT_EQ(handlingOf(scene, setup), Handling{});
    scene.support = Support::Tripod;
    scene.soundBy = SoundBy::Wired;
    scene.focusBy = FocusBy::Hand;
    EXPECT_EQ(handlingOf(scene, setup).stabiliser, false);
    setup.support = Support::Hand;
    EXPECT_EQ(handlingOf(scene, setup).stabiliser, true);
    setup.stabiliser = Stabiliser::Off;
    EXPECT_EQ(handlingOf(scene, setup).stabiliser, false);
    EXPECT_EQ(handlingOf(scene, setup).sound, SoundBy::Wired);
    setup.soundBy = SoundBy::None;
    EXPECT_FALSE(handlingOf(scene, setup).wantsSound());
    setup.soundBy = SoundBy::Unsaid;
    scene.sound = false;
    EXPECT_FALSE(handlingOf(scene, setup).wantsSound());
}

TEST(Handling, AutomaticsAreTypedWithTheirBounds) {
    const auto left = parseAutomatics("iso 800-3200, white 3200K-5600K, eye-sensor");
    ASSERT_TRUE(left.ok());
    ASSERT_EQ(left->size(), 3u);
    EXPECT_EQ((*left)[0], (LeftAutomatic{AutomaticKind::Iso, 800.0, 3200.0}));
    EXPECT_EQ(spell(*left), "iso 800-3200, white 3200-5600, eye-sensor");
    EXPECT_TRUE(*parseAutomatics(spell(*left)) == *left);
    EXPECT_TRUE(parseAutomatics("")->empty());
    EXPECT_EQ(parseAutomatics("iso, iso 100-200")->size(), 1u) << "the last word counts";
    for (const char* wrong : {"autopilot", "iso 3200-800", "iso 800", "exposure 1-2", "iso a-b"}) {
        const auto refused = parseAutomatics(wrong);
        ASSERT_FALSE(refused.ok()) << wrong;
        EXPECT_EQ(refused.error().got, wrong);
    }
}

TEST(CameraRecord, IsTypedOneSettingALine) {
    const auto lines = parseRecordLines("white 4100 K\n\n auto power-off = 10 min\r\nIris T2.8");
    ASSERT_TRUE(lines.ok()) << message(lines.error());
    EXPECT_EQ(*lines, (std::vector<RecordLine>{
                          {"white", "4100 K"}, {"auto power-off", "10 min"}, {"iris", "T2.8"}}));
    EXPECT_EQ(*parseRecordLines(spell(*lines)), *lines);
    for (const char* wrong : {"a\nwhite", "a = b\nsomething 5", "x = 1\ny ="}) {
        const auto refused = parseRecordLines(wrong);
        ASSERT_FALSE(refused.ok()) << wrong;
        EXPECT_TRUE(refused.error().place.starts_with("line ")) << refused.error().place;
    }
    std::string many;
    for (std::size_t i = 0; i <= kMostRecordLines; ++i)
        many += "x" + std::to_string(i) + " = 1\n";
    EXPECT_EQ(parseRecordLines(many).error().code, ErrorCode::OutOfRange);
    EXPECT_TRUE(isMoment("2026-05-01 07:40"));
    for (const char* wrong : {"", "2026-05-01", "2026-05-01T07:40", "2026-05-01 7:40 "})
        EXPECT_FALSE(isMoment(wrong)) << wrong;
}

} // namespace
} // namespace bslate
