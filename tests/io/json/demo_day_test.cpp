// The days of the demo shoot, planned and judged: what each judgement needs, what cures it, and
// what happens when the day slips.
#include "core/day/day_edit.h"
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

Setup& setup(Shoot& shoot, const char* number) {
    return *std::find_if(shoot.setups.begin(), shoot.setups.end(),
                         [&](const Setup& own) { return own.number == number; });
}
MemoryCard& card(Shoot& shoot, const char* id) {
    return *std::find_if(shoot.kit.cards.begin(), shoot.kit.cards.end(),
                         [&](const MemoryCard& own) { return own.id == id; });
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

struct Makes {
    const char* id;
    int day;
    std::function<void(Shoot&)> change;
    const char* cure = nullptr; ///< a remedy that must be offered, by what its title contains
};

class DayFinding : public ::testing::TestWithParam<Makes> {};

TEST_P(DayFinding, IsFoundToldAndCured) {
    const auto& makes = GetParam();
    auto shoot = demo();
    setup(shoot, "4B").mode = "uhd-420"; // the demo's own fault out of the way
    for (auto& camera : shoot.kit.cameras)
        for (auto& codec : camera.codecs)
            codec.segment.reset();
    EXPECT_FALSE(find(judged(shoot, makes.day, DayRemedies::None).findings, makes.id))
        << "without the change";
    makes.change(shoot);
    const auto day =
        judged(shoot, makes.day, makes.cure ? DayRemedies::Verified : DayRemedies::None);
    const auto* finding = find(day.findings, makes.id);
    ASSERT_TRUE(finding) << told(day.findings);
    EXPECT_EQ(titleOf(*finding).find('{'), std::string::npos) << titleOf(*finding);
    EXPECT_EQ(reasonOf(*finding).find('{'), std::string::npos) << reasonOf(*finding);
    if (!makes.cure)
        return;
    std::string offered;
    const Remedy* chosen = nullptr;
    for (const auto& remedy : finding->remedies) {
        offered += titleOf(remedy) + "\n";
        EXPECT_EQ((titleOf(remedy) + effectOf(remedy)).find('{'), std::string::npos);
        if (titleOf(remedy).find(makes.cure) != std::string::npos)
            chosen = &remedy;
    }
    ASSERT_TRUE(chosen) << offered;
    const auto after = judged(applied(shoot, chosen->edit), makes.day, DayRemedies::None);
    EXPECT_LE(countOf(after.findings, Severity::Fault),
              countOf(day.findings, Severity::Fault) -
                  (finding->severity == Severity::Fault ? 1 : 0))
        << told(after.findings);
}

void longInterview(Shoot& shoot, double minutes) {
    for (auto& take : shoot.plan[1].takes)
        if (take.setups.size() == 2)
            take.length = Seconds(minutes * 60);
}

const Makes kMakes[] = {
    // 3 h 10 min of 100 Mb/s are 142.5 GB, on SD cards of 128.
    {"day-card-full-whole", 2, [](Shoot& s) { longInterview(s, 190); },
     "Relay to the second slot, Sedge 2"},
    {"day-change-inside", 2,
     [](Shoot& s) {
         longInterview(s, 190);
         for (auto& take : s.plan[1].takes)
             take.whole = false;
     },
     "Relay to the second slot, Sedge 2"},
    {"day-no-card", 2,
     [](Shoot& s) { setup(s, "3A").mode = "6k-raw", card(s, "cf-512").count = 0; }},
    // One card of 64 GB for a day of 210, and nobody to copy it: what is left on it is too little.
    {"day-card-too-small", 1,
     [](Shoot& s) {
         s.kit.readers.clear();
         card(s, "cf-512").count = 0;
         card(s, "sd-v60").count = 1;
         card(s, "sd-v60").capacity = DataSize(64e9);
         setup(s, "2A").secondSlot = SecondSlot::Unused;
     },
     "more SD V60 128 GB"},
    // 100 Mb/s at a peak of 2.2 are 27.5 of the 30 MB/s that V30 guarantees.
    {"day-card-marginal-buffer", 2,
     [](Shoot& s) {
         card(s, "sd-v60").speedClass = "V30";
         for (auto& camera : s.kit.cameras)
             for (auto& codec : camera.codecs)
                 codec.peak = camera.id == "pip" ? 2.2 : codec.peak;
     }},
    {"day-mirror-slow", 2, [](Shoot& s) { card(s, "sd-v60").speedClass = "V30"; },
     "No mirror on Tarn 6"},
    {"day-mirror-full", 2,
     [](Shoot& s) {
         card(s, "sd-v60").capacity = DataSize(64e9); // the interview wants 73.5
     },
     "No mirror on Tarn 6"},
    {"day-rate-lowered", 2,
     [](Shoot& s) {
         setup(s, "4B").mode = "uhd-422";
         setup(s, "4B").secondSlot = SecondSlot::Mirror;
     }},
    {"day-clip-split", 2,
     [](Shoot& s) {
         setup(s, "4B").mode = "uhd-422";
         for (auto& take : s.plan[1].takes)
             take.whole = false;
     },
     "UHD long 8-bit"},
    {"day-heat", 2, [](Shoot& s) { setup(s, "4B").mode = "uhd-intra"; }, "UHD long 8-bit"},
    {"day-battery-empty-whole", 2,
     [](Shoot& s) {
         for (auto& battery : s.kit.batteries)
             battery.health = 0.2;
     },
     "External power for Tarn 6"},
    {"day-battery-empty", 1,
     [](Shoot& s) {
         s.kit.chargers.clear();
         for (auto& battery : s.kit.batteries)
             battery.health = 0.04;
     },
     "External power for Tarn 6"},
    {"day-battery-inside", 1,
     [](Shoot& s) {
         for (auto& battery : s.kit.batteries)
             battery.health = 0.04;
         s.plan[0].takes[0].whole = false;
     }},
    {"day-power-needed", 2,
     [](Shoot& s) {
         for (auto& camera : s.kit.cameras)
             for (auto& mode : camera.modes)
                 mode.externalPower = mode.externalPower || mode.id == "uhd-long";
     },
     "External power for Tarn 6"},
    {"day-no-second-copy", 2, [](Shoot& s) { s.kit.drives.pop_back(); }, "One more"},
    {"day-no-reader", 2, [](Shoot& s) { s.kit.readers.clear(); }, "card reader"},
    {"day-never-safe", 2, [](Shoot& s) { s.kit.readers[0].forms = {CardForm::Sd}; }},
    {"day-safe-late", 2, [](Shoot& s) { s.plan[1].safeBy = Seconds(21.6 * 3600); }},
    {"day-storage-short", 2,
     [](Shoot& s) {
         for (auto& drive : s.kit.drives)
             drive.capacity = DataSize(300e9);
     },
     "Drives of 1 TB"},
    {"day-take-late", 2, [](Shoot& s) { s.plan[1].takes[5].ran = Seconds(4 * 3600.0); }},
    {"day-card-failed", 2,
     [](Shoot& s) {
         s.plan[1].failures = {{"cf-512:1", Seconds(13.2 * 3600), {}}};
     }},
    {"day-card-failed-empty", 2,
     [](Shoot& s) {
         s.plan[1].failures = {{"cf-512:2", Seconds(13.2 * 3600), {}}};
     }},
    // 1 GB at 100 Mb/s is 80 s: the twelve minutes of 6A are nine files.
    {"day-files", 2,
     [](Shoot& s) {
         for (auto& camera : s.kit.cameras)
             for (auto& codec : camera.codecs)
                 codec.segment = DataSize(1e9);
     }},
    {"day-bus-slower", 2, [](Shoot& s) { card(s, "sd-v30").count = 0; }},
    // Only two cards of 64 GB for the mirror, 35 minutes apart.
    {"day-card-back-tight", 1,
     [](Shoot& s) {
         card(s, "cf-512").count = 0;
         card(s, "sd-v30").count = 0;
         card(s, "sd-v60").count = 1;
         card(s, "sd-v60").capacity = DataSize(64e9);
         setup(s, "2A").secondSlot = SecondSlot::Unused;
         auto& takes = s.plan[0].takes;
         takes.resize(4);
         takes[3].at = Seconds(6.74 * 3600);
         takes[3].gap = Seconds(60);
     }},
    {"day-setup-incomplete", 2, [](Shoot& s) { setup(s, "3A").camera = "gone"; }},
};

INSTANTIATE_TEST_SUITE_P(All, DayFinding, ::testing::ValuesIn(kMakes), [](const auto& one) {
    std::string name = one.param.id;
    std::erase(name, '-');
    return name;
});

TEST(DaySlip, ATakeThatRanLongAndACardThatFailedAreReplanned) {
    auto shoot = demo();
    setup(shoot, "4B").mode = "uhd-420";
    const auto before = judged(shoot, 2);
    // The workshop ran over: its last take lasted 40 minutes instead of 5.
    const auto& sixth = before.plan.takes[5];
    const auto day =
        withHappened(shoot, before.day, before.plan, sixth.id, sixth.start, Seconds(40 * 60.0));
    for (std::size_t i = 0; i < 6; ++i) {
        EXPECT_TRUE(day.takes[i].ran) << i;
        EXPECT_EQ(day.takes[i].cards.size(), 2u) << "card and mirror stay where they were";
    }
    shoot = applied(shoot, {.day = day});
    const auto plan = planDay(shoot, day, {}, &before.plan);
    EXPECT_EQ(plan.takes[5].end - plan.takes[5].start, Seconds(40 * 60.0));
    EXPECT_EQ(plan.cards.plan.cost.broken, Seconds(0));
    const auto same = changedUses(before.plan, before.plan.cards, plan, plan.cards);
    EXPECT_LE(same.size(), 6u) << "the rest stays as it was where it can";
    // Now the card in the main slot dies in the interview: another one goes on after it.
    auto failed = day;
    failed.failures = {{"cf-512:1", Seconds(13.2 * 3600), {}}};
    const auto rescued = planDay(shoot, failed, {}, &plan);
    for (const auto& use : rescued.cards.plan.uses)
        if (use.unit == rescued.cards.unitOf("cf-512:1"))
            EXPECT_LE(use.end, Seconds(13.2 * 3600));
    EXPECT_EQ(rescued.cards.plan.cost.broken, Seconds(0));
    EXPECT_FALSE(rescued.safe) << "what was on it has no second copy";
}

TEST(DayHands, ACardIsPutWhereItFitsAndRefusedWithAReason) {
    auto shoot = demo();
    setup(shoot, "4B").mode = "uhd-420";
    const auto now = judged(shoot, 2);
    const auto at = [&](const char* number, bool second = false) {
        for (const auto& take : now.plan.takes)
            if (take.title == number)
                return *cardPlace(now.plan, take.id, take.setups.front(), second);
        return CardPlace{};
    };
    const auto refused = [&](CardPlace place, const char* unit) {
        const auto reason =
            cardRefusal(shoot, now.day, now.plan, place, now.plan.cards.unitOf(unit));
        return reason ? reasonOf(*reason) : std::string();
    };
    EXPECT_EQ(refused(at("3A"), "cf-512:2"), "");
    EXPECT_EQ(refused(at("6A"), "cf-512:2"),
              "CFexpress B 512 GB fits no slot of Pip that this mode records to");
    EXPECT_EQ(refused(at("3A", true), "sd-v30:1"),
              "SD V30 64 GB guarantees 30 MB/s there, the mode writes up to 31.5 MB/s");
    EXPECT_NE(refused(at("4A+4B"), "sd-v60:2"), "") << "it is the mirror then";
    const auto day =
        withCard(shoot, now.day, now.plan, at("5A"), now.plan.cards.unitOf("cf-512:2"));
    const auto plan = planDay(shoot, day);
    const auto place = at("5A");
    for (const auto& use : plan.cards.plan.uses)
        if (use.lane == place.lane && use.demand == place.demand)
            EXPECT_EQ(plan.cards.unitIds[static_cast<std::size_t>(use.unit)], "cf-512:2");
    EXPECT_EQ(withCard(shoot, day, plan, place, -1), now.day) << "and taken back";
}

TEST(DayHands, ATakeMovesAmongTheOthersByTime) {
    const auto day = dayOf(demo(), 2);
    const auto moved = withTakeAt(day, "t7", Seconds(8.5 * 3600));
    EXPECT_EQ(moved.takes[0].id, "t7");
    EXPECT_EQ(timesOf(moved)[0].start, Seconds(8.5 * 3600));
    EXPECT_EQ(moved.takes[1].id, "t1");
    const auto late = withTakeAt(day, "t1", Seconds(22 * 3600.0));
    EXPECT_EQ(late.takes.back().id, "t1");
}

TEST(DayCards, KeepTheirLabelsHoweverManyThereAre) {
    auto shoot = demo();
    card(shoot, "sd-v60").count = 300;
    const auto plan = planDay(shoot, dayOf(shoot, 2));
    const auto label = [&](const char* unit) {
        return plan.cards.unitLabels[static_cast<std::size_t>(plan.cards.unitOf(unit))];
    };
    EXPECT_EQ(label("sd-v60:1"), "S1");
    EXPECT_EQ(label("sd-v30:1"), "S301");
    EXPECT_LT(plan.cards.unitIds.size(), 100u) << "no more than could be used";
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

TEST(DayPlanner, AThousandTakesAndATakeLongerThanAnyCard) {
    auto shoot = demo();
    ShootDay day = dayOf(shoot, 2);
    const auto interview = day.takes[6];
    day.takes.clear();
    for (int i = 0; i < 1000; ++i) {
        day.takes.push_back(interview);
        day.takes.back().id = "t" + std::to_string(i);
        day.takes.back().at.reset();
        day.takes.back().length = Seconds(30);
        day.takes.back().gap = Seconds(90);
    }
    day.takes[500].length = Seconds(90 * 3600.0);
    const auto plan = planDay(shoot, day, {1, {}});
    const auto findings = judgeDay(shoot, day, plan, {DayRemedies::None});
    const auto* full = find(findings, "day-card-full-whole");
    ASSERT_TRUE(full);
    EXPECT_EQ(full->subject.substr(0, 4), "t500");
}

} // namespace
} // namespace bslate::io
