// Light that climbs or falls while the scene lasts. Worked by hand: from EV 10 to EV 14 in forty
// minutes is a stop every ten, straight in stops; room of 1.2 stops lasts twelve minutes.
#include "core/day/day_verdict.h"
#include "core/day/plan_day.h"
#include "core/facts/evaluate.h"
#include "core/facts/light_change.h"
#include "core/judgement/judge.h"
#include "core/words/wording.h"
#include "support/sample_recording.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

// Four stops more in forty minutes, with `room` over the brightest patch.
Shoot dawn(double room) {
    Shoot shoot = sample::Bench().shoot;
    auto& scene = shoot.scenes[0];
    const auto at = *evaluate(shoot, shoot.setups[0]);
    for (auto& patch : scene.patches)
        patch.reading = shifted(patch.reading, Stops(brightest(at)->headroom.value() - room));
    const auto grey = greyCard(scene)->reading;
    scene.change = LightChange{shifted(grey, Stops(4)), Seconds(2400)};
    scene.start = Seconds(5 * 3600.0 + 40 * 60);
    return shoot;
}

TEST(ChangingLight, IsJudgedAtBothEndsAndOnTheWay) {
    auto shoot = dawn(1.2);
    auto verdict = judge(shoot, shoot.setups[0]);
    EXPECT_FALSE(verdict.find("scene-fits")) << "it does not, for long";
    const auto* finding = verdict.find("light-climbs-out:sky");
    ASSERT_TRUE(finding);
    EXPECT_EQ(finding->severity, Severity::Fault);
    EXPECT_NE(reasonOf(*finding).find("gone after 12 min"), std::string::npos)
        << reasonOf(*finding);
    EXPECT_NE(reasonOf(*finding).find("2.8 stops more"), std::string::npos) << reasonOf(*finding);
    for (const auto& remedy : finding->remedies) {
        const auto after = applied(shoot, remedy.edit);
        EXPECT_FALSE(judge(after, after.setups[0]).find("light-climbs-out:sky"));
    }
    shoot = dawn(4.5);
    verdict = judge(shoot, shoot.setups[0]);
    EXPECT_FALSE(verdict.find("light-climbs-out:sky"));
    shoot.scenes[0].change->to = shifted(greyCard(shoot.scenes[0])->reading, Stops(-9));
    verdict = judge(shoot, shoot.setups[0]);
    EXPECT_TRUE(std::any_of(verdict.findings.begin(), verdict.findings.end(),
                            [](const auto& one) { return one.id == FindingId::LightFallsAway; }));
}

TEST(ChangingLight, ADayKnowsWhichTakeItSpoils) {
    const auto shoot = dawn(1.2);
    ShootDay day;
    day.start = Seconds(5 * 3600.0);
    const auto take = [&](const char* id, double minutesFromDawn, double length) {
        Take one;
        one.id = id;
        one.setups = {"s"};
        one.at = Seconds(5 * 3600.0 + (40 + minutesFromDawn) * 60);
        one.length = Seconds(length * 60);
        one.gap = Seconds(0);
        day.takes.push_back(one);
    };
    take("t1", 0, 6);  // over before the sky is
    take("t2", 8, 8);  // it goes at 12 minutes, inside
    take("t3", 20, 5); // begins when it has gone: dial anew before
    const auto plan = planDay(shoot, day);
    const auto findings = judgeDay(shoot, day, plan, {DayRemedies::None});
    const auto has = [&](const std::string& key) -> const Finding* {
        for (const auto& finding : findings)
            if (finding.key() == key)
                return &finding;
        return nullptr;
    };
    EXPECT_FALSE(has("day-light-climbs:t1") || has("day-light-moved:t1"));
    ASSERT_TRUE(has("day-light-climbs:t2"));
    EXPECT_NE(titleOf(*has("day-light-climbs:t2")).find("from 05:52"), std::string::npos)
        << titleOf(*has("day-light-climbs:t2"));
    ASSERT_TRUE(has("day-light-moved:t3"));
    EXPECT_EQ(has("day-light-moved:t3")->severity, Severity::Caution);
}

} // namespace
} // namespace bslate
