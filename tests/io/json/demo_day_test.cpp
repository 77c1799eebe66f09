// The days of the demo shoot, planned and judged.
#include "core/day/day_verdict.h"
#include "core/day/pack_list.h"
#include "core/day/plan_day.h"
#include "core/shoot/take_line.h"
#include "core/words/wording.h"
#include "io/json/shoot_json.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <functional>

namespace bslate::io {
namespace {

Shoot demo() {
    static const Shoot shoot =
        loadShoot(sample::root() / "data/demo/slack-water.bslate").valueOr({});
    return shoot;
}

struct Judged {
    ShootDay day;
    DayPlan plan;
    std::vector<Finding> findings;
};

Judged judged(const Shoot& shoot, int number, DayRemedies remedies = DayRemedies::Verified) {
    Judged result;
    result.day = dayOf(shoot, number);
    result.plan = planDay(shoot, result.day);
    result.findings = judgeDay(shoot, result.day, result.plan, {remedies});
    return result;
}

const Finding* find(const std::vector<Finding>& findings, std::string_view id) {
    for (const auto& finding : findings)
        if (kindOf(finding.id).key == id)
            return &finding;
    return nullptr;
}

std::string told(const std::vector<Finding>& findings) {
    std::string text;
    for (const auto& finding : findings)
        text += titleOf(finding) + "\n";
    return text;
}

// 4A's seventy minutes: 140 Mb/s on one 512 GB card are 73.5 GB behind the workshop's 81; the
// other camera ends its clips at 29:59, and the day says what would hold it.
TEST(DemoDays, TheInterviewRunsWholeOrTheProgramSaysWhatIsMissing) {
    auto shoot = demo();
    auto day = judged(shoot, 2);
    EXPECT_TRUE(day.plan.optimal());
    const auto* clip = find(day.findings, "day-clip-limit");
    ASSERT_TRUE(clip) << told(day.findings);
    EXPECT_EQ(countOf(day.findings, Severity::Fault), 1) << told(day.findings);
    ASSERT_FALSE(clip->remedies.empty());
    EXPECT_EQ(titleOf(clip->remedies[0]), "Sedge 2: UHD long 8-bit, 100 Mb/s");
    shoot = applied(shoot, clip->remedies[0].edit);
    day = judged(shoot, 2);
    EXPECT_EQ(countOf(day.findings, Severity::Fault), 0) << told(day.findings);
    EXPECT_TRUE(find(day.findings, "day-whole"));
    // Nothing is changed inside, on either camera, in either slot.
    for (const auto& use : day.plan.cards.plan.uses)
        EXPECT_FALSE(use.inside);
    EXPECT_TRUE(day.plan.cards.plan.shortfalls.empty());
    EXPECT_TRUE(day.plan.power.plan.shortfalls.empty());
    // 12 takes: 45 min of 240, 70 of 140 and 100, 20 of 100, 30 of 240 Mb/s.
    EXPECT_NEAR(day.plan.recorded.value() / 1e9,
                (45 * 240 + 70 * 140 + 70 * 100 + 20 * 100 + 30 * 240) * 60 / 8e3, 0.01);
    const auto first = judged(shoot, 1);
    EXPECT_EQ(countOf(first.findings, Severity::Fault), 0) << told(first.findings);
}

TEST(PackList, IsWhatTheBusiestDayUses) {
    const auto list = packListOf(demo());
    const auto needed = [&](const char* name) {
        for (const auto& row : list.rows)
            if (row.name == name)
                return row.needed;
        return 0;
    };
    EXPECT_EQ(list.days, 2);
    EXPECT_EQ(needed("SD V60 128 GB"), 4)
        << "the interview gets a fresh one, with room to run over";
    EXPECT_EQ(needed("CFexpress B 512 GB"), 1);
    EXPECT_EQ(needed("Large battery"), 1);
    EXPECT_EQ(needed("Weir 75 mm"), 1);
    EXPECT_EQ(needed("Card reader"), 1);
    ASSERT_EQ(list.labels.size(), 6u);
    EXPECT_EQ(list.labels[0].where.front(), "day 1 Tarn 6: 2A");
    EXPECT_TRUE(packListOf(Shoot{}).rows.empty());
}

} // namespace
} // namespace bslate::io
