#include "core/words/rule_words.h"

#include "core/kit/rule_line.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

Camera ruled(const std::vector<std::string>& lines) {
    auto camera = sample::shoot().kit.cameras.front();
    auto with = withRuleLines(camera, lines);
    EXPECT_TRUE(with) << with.error().expected;
    return with ? *with : camera;
}

TEST(RuleWords, EveryRuleReadsAsASentenceInTheOrderOfItsLines) {
    const auto kit = sample::shoot().kit;
    const auto camera = ruled({"region \"50 Hz\" 25/50/100", "switch restarts the body",
                               "iso profile=note note 100-51200",
                               "gop=raw rate>=100 requires power=external : the plate gives less",
                               "excludes sound=on rate>=60 : it is mute there",
                               "mode=main limits ambient<=35 : it gets hot"});
    EXPECT_EQ(
        ruleSentences(camera, kit),
        (std::vector<std::string>{
            "Set to 50 Hz it offers 25, 50 and 100.", "Changing the region restarts the body.",
            "The ISO dial in note: ISO is a note (raw), from 100, up to 51200.",
            "When the kind of recording is raw and the frame rate is 100 or more, the power "
            "must be external: the plate gives less.",
            "The sound cannot be on while the frame rate is 60 or more: it is mute "
            "there.",
            "When the recording mode is " + camera.modes.front().name +
                ", the air must be 35 \u00b0C or less: it gets "
                "hot."}));
    EXPECT_EQ(ruleSentences(camera, kit).size(), ruleLines(camera).size());
}

TEST(RuleWords, ChoicesAreWhatTheBodyHas) {
    const auto kit = sample::shoot().kit;
    const auto camera = ruled({"region \"50 Hz\" 25/50"});
    const auto sizeOf = [&](SettingKey key) { return choicesOf(key, camera, kit).size(); };
    EXPECT_EQ(sizeOf(SettingKey::Mode), camera.modes.size());
    EXPECT_EQ(sizeOf(SettingKey::Base), camera.bases.size());
    EXPECT_EQ(sizeOf(SettingKey::Region), 1u);
    EXPECT_EQ(sizeOf(SettingKey::Gop), 3u);
    EXPECT_EQ(sizeOf(SettingKey::Power), 2u);
    EXPECT_EQ(sizeOf(SettingKey::Sound), 2u);
    EXPECT_EQ(sizeOf(SettingKey::Angle), 0u) << "typed";
}

} // namespace
} // namespace bslate
