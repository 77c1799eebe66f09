#include "core/kit/rule_line.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

Camera ruled(const std::vector<std::string>& lines) {
    auto camera = withRuleLines(Camera(), lines);
    EXPECT_TRUE(camera.ok()) << message(camera.error());
    return camera ? *camera : Camera();
}

TEST(RuleLine, EveryKindIsUnderstoodAndGivenBack) {
    const std::vector<std::string> lines = {
        "region \"50 Hz\" 25/50/100",
        "region 59.94 23.976/29.97/59.94",
        "switch restarts the body",
        "iso codec=raw12 note 100-51200",
        "iso profile=\"my log\" recorded 800-",
        "gop=raw rate>=100 requires power=external : the plate gives too little: 40 W",
        "rate=48..60 profile=a,\"b c\" excludes sound=on bits=8,10 : no sound there",
        "ambient>=35C limits rate<=60 : it overheats",
        "requires base>=800 angle=45\u00b0..360\u00b0 : always"};
    const Camera camera = ruled(lines);
    EXPECT_EQ(ruleLines(camera), lines);
    ASSERT_EQ(camera.constraints.size(), 4u);
    EXPECT_EQ(camera.rateSets[1].rates[0], (FrameRate{Rational(24000, 1001)}));
    EXPECT_EQ(camera.isoRules[1].minimum, ExposureIndex(800));
    EXPECT_FALSE(camera.isoRules[1].maximum.has_value());
    const auto& power = camera.constraints[0];
    EXPECT_EQ(power.id, "rule-1");
    EXPECT_EQ(power.when[1].atLeast, SettingValue(FrameRate{Rational(100, 1)}));
    EXPECT_EQ(power.then[0].oneOf, std::vector<SettingValue>{std::string("external")});
    EXPECT_EQ(power.reason, "the plate gives too little: 40 W");
    EXPECT_EQ(camera.constraints[1].kind, ConstraintKind::Excludes);
    EXPECT_EQ(camera.constraints[1].when[1].oneOf[1], SettingValue(std::string("b c")));
    EXPECT_TRUE(camera.constraints[3].when.empty());
}

// A rule keeps its id and what a newer version wrote beside it while its line is not touched.
TEST(RuleLine, AnUntouchedLineKeepsItsRuleWhole) {
    Camera camera = ruled({"rate>=100 requires sound=off : mute", "region 50 25/50"});
    camera.constraints[0].id = "fast-sound";
    camera.constraints[0].extra = {"{\"note\": 1}"};
    camera.rateSets[0].extra = {"{\"note\": 1}"};
    const auto again = withRuleLines(camera, ruleLines(camera));
    ASSERT_TRUE(again.ok());
    EXPECT_EQ(*again, camera);
    auto lines = ruleLines(camera);
    lines.insert(lines.begin(), {"", "gop=raw excludes proxy=on : no proxies of raw"});
    const auto more = withRuleLines(camera, lines);
    ASSERT_TRUE(more.ok());
    EXPECT_EQ(more->constraints[0].id, "rule-1");
    EXPECT_EQ(more->constraints[1], camera.constraints[0]);
    const auto none = withRuleLines(camera, {});
    EXPECT_TRUE(none->constraints.empty() && none->rateSets.empty());
}

struct Wrong {
    const char* line;
    const char* got;
};
class WrongRule : public ::testing::TestWithParam<Wrong> {};

TEST_P(WrongRule, IsRefusedWithItsLine) {
    const auto camera = withRuleLines(Camera(), {"", GetParam().line});
    ASSERT_FALSE(camera.ok());
    EXPECT_EQ(camera.error().place, "line 2");
    EXPECT_NE(message(camera.error()).find(GetParam().got), std::string::npos)
        << message(camera.error());
    EXPECT_FALSE(camera.error().expected.empty());
}

INSTANTIATE_TEST_SUITE_P(
    All, WrongRule,
    ::testing::Values(Wrong{":", "why"}, Wrong{"rate>=100 requires sound=off", "why"},
                      Wrong{"rate>=100 sound=off : because", "requires"},
                      Wrong{"rate>=100 requires : because", "setting"},
                      Wrong{"colour=red requires sound=off : because", "colour=red"},
                      Wrong{"rate>100 requires sound=off : because", "rate>100"},
                      Wrong{"rate>= requires sound=off : because", "rate>="},
                      Wrong{"rate>=fast requires sound=off : because", "fast"},
                      Wrong{"mode>=uhd requires sound=off : because", "no order"},
                      Wrong{"sound=perhaps requires rate>=10 : because", "on or off"},
                      Wrong{"mode= requires rate>=10 : because", "mode="},
                      Wrong{"gop=raw requires sound=off excludes proxy=on : because", "one of"},
                      Wrong{"region 50", "rates"}, Wrong{"region 50 25/zero", "zero"},
                      Wrong{"iso codec=raw12 100-200", "note"}, Wrong{"iso note 800-100", "lower"},
                      Wrong{"iso note loud", "loud"}));

} // namespace
} // namespace bslate
