// The demo shoot shows every judgement it is there for.
#include "core/judgement/judge.h"
#include "core/words/card_text.h"
#include "core/words/wording.h"
#include "io/json/shoot_json.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>

namespace bslate::io {
namespace {

const Shoot& demo() {
    static const Shoot shoot =
        loadShoot(sample::root() / "data/demo/slack-water.bslate").valueOr({});
    return shoot;
}

struct Shown {
    const char* number;
    const char* key;
    Severity severity;
};

class DemoShows : public ::testing::TestWithParam<Shown> {};

TEST_P(DemoShows, ThisJudgement) {
    const auto& shown = GetParam();
    for (const auto& setup : demo().setups) {
        if (setup.number != shown.number)
            continue;
        const auto verdict = judge(demo(), setup);
        const auto* finding = verdict.find(shown.key);
        ASSERT_NE(finding, nullptr) << shown.number << " " << shown.key;
        EXPECT_EQ(finding->severity, shown.severity);
        return;
    }
    ADD_FAILURE() << "no setup " << shown.number;
}

const Shown kShown[] = {
    {"1A", "light-climbs-out:sky", Severity::Fault},
    {"2A", "place-or-highlight", Severity::Caution},
    {"1A", "rated-over", Severity::Note},
    {"1A", "safety-sun", Severity::Note},
    {"2A", "patch-clipped:sky", Severity::Fault},
    {"2A", "skin-in-place:skin", Severity::Good},
    {"2B", "shutter-half-frame", Severity::Good},
    {"2B", "safety-heights", Severity::Note},
    {"3A", "patch-in-noise:bench", Severity::Caution},
    {"3A", "meter-calibration", Severity::Note},
    {"3A", "safety-mains", Severity::Note},
    {"4A", "scene-fits", Severity::Good},
    {"4B", "curve-ends-low", Severity::Note},
    {"4B", "iso-above-base", Severity::Caution},
    {"4B", "zebra-out-of-reach:skin", Severity::Note},
    {"5A", "patch-in-noise:wall", Severity::Caution},
    {"5A", "light-short", Severity::Caution},
    {"6A", "scene-wider", Severity::Fault},
    {"6A", "skin-codes-8:skin", Severity::Note},
};

INSTANTIATE_TEST_SUITE_P(All, DemoShows, ::testing::ValuesIn(kShown));

TEST(Demo, AcceptedFindingIsRememberedOnItsCard) {
    for (const auto& setup : demo().setups)
        if (setup.number == "5A") {
            const auto card = cardOf(demo(), setup);
            ASSERT_EQ(card.accepted.size(), 1u);
            EXPECT_NE(card.accepted[0].find("it frames the lanterns"), std::string::npos);
        }
}

TEST(Demo, EverySetupsCardNamesWhatTheCameraIsSetTo) {
    for (const auto& setup : demo().setups) {
        const auto card = cardOf(demo(), setup);
        EXPECT_GE(card.dials.rows.size(), 11u) << setup.number;
        const auto text = cardText(card);
        EXPECT_NE(text.find(setup.name), std::string::npos);
        EXPECT_EQ(text.find("{"), std::string::npos) << text;
    }
}

// The note about the curve that ends at 84 %: the sentence the trade needs to hear.
TEST(Demo, TheAsymmetricCurveSaysWhereItEnds) {
    for (const auto& setup : demo().setups)
        if (setup.number == "4B") {
            const auto verdict = judge(demo(), setup);
            EXPECT_EQ(titleOf(*verdict.find("curve-ends-low")),
                      "Nothing above 84 % is ever recorded");
        }
}

} // namespace
} // namespace bslate::io
