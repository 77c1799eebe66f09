// Every judgement of a day: what brings it, and what cures it.
#include "core/day/day_judged.h"

#include "core/base/find_by_id.h"
#include "core/shoot/edit.h"

#include <gtest/gtest.h>

#include <functional>

namespace bslate {
namespace {

using sample::DayBench;

struct Makes {
    FindingId id;
    std::function<void(Shoot&)> change;
    const char* cure = nullptr; ///< a remedy that must be offered, by what its title contains
};

class DayRule : public ::testing::TestWithParam<Makes> {};

TEST_P(DayRule, IsFoundToldAndCured) {
    const auto& makes = GetParam();
    auto shoot = DayBench().shoot;
    EXPECT_FALSE(sample::judged(shoot).find(makes.id)) << "without the change";
    makes.change(shoot);
    const auto day = sample::judged(shoot, makes.cure ? DayRemedies::Verified : DayRemedies::None);
    const auto* finding = day.find(makes.id);
    ASSERT_TRUE(finding) << day.told();
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
    const auto after = sample::judged(applied(shoot, chosen->edit));
    EXPECT_LE(after.faults(), day.faults() - (finding->severity == Severity::Fault ? 1 : 0))
        << after.told();
}

Setup& setup(Shoot& shoot, const char* id) {
    return *findSetup(shoot, id);
}
MemoryCard& card(Shoot& shoot, const char* id) {
    return *findById(shoot.kit.cards, id);
}
Take& talk(Shoot& shoot) {
    return *findTake(shoot.plan[0], "talk");
}
void tire(Shoot& shoot, double health) {
    for (auto& battery : shoot.kit.batteries)
        battery.health = health;
}

// 190 min of 100 Mb/s are 142.5 GB, on SD cards of 128.
void longTalk(Shoot& shoot) {
    talk(shoot).length = Seconds(190 * 60.0);
}

const Makes kMakes[] = {
    {FindingId::DayCardFullWhole, longTalk, "Relay to the second slot, second"},
    {FindingId::DayChangeInside,
     [](Shoot& s) {
         longTalk(s), talk(s).whole = false;
         setup(s, "T").secondSlot = SecondSlot::Unused;
     },
     "Relay to the second slot, second"},
    {FindingId::DayNoCard, [](Shoot& s) { setup(s, "W").mode = "raw", card(s, "cf").count = 0; }},
    // One card of 16 GB, and nobody to copy it: what four takes of 14.4 and 9 leave is too little.
    {FindingId::DayCardTooSmall,
     [](Shoot& s) {
         s.kit.readers.clear();
         card(s, "cf").count = 0;
         card(s, "v30").count = 0;
         card(s, "v60").count = 1;
         card(s, "v60").capacity = DataSize(16e9);
         setup(s, "W").secondSlot = SecondSlot::Unused;
     },
     "One more CF"},
    // 100 Mb/s at a peak of 2.2 are 27.5 of the 30 MB/s that V30 guarantees.
    {FindingId::DayCardMarginalBuffer,
     [](Shoot& s) {
         card(s, "v60").speedClass = "V30";
         s.kit.cameras[1].codecs[0].peak = 2.2;
     }},
    {FindingId::DayCardMarginal,
     [](Shoot& s) {
         card(s, "v60").speedClass = "V30";
         s.kit.cameras[1].codecs[0].peak = 2.2;
         s.kit.cameras[1].buffer = DataSize(0);
     }},
    {FindingId::DayMirrorSlow, [](Shoot& s) { card(s, "v60").speedClass = "V30"; },
     "No mirror on first"},
    // The talk wants 73.5 GB on the mirror.
    {FindingId::DayMirrorFull,
     [](Shoot& s) { card(s, "v60").capacity = DataSize(64e9), card(s, "v30").count = 0; },
     "No mirror on first"},
    {FindingId::DayRateLowered,
     [](Shoot& s) { setup(s, "S").mode = "rich", setup(s, "S").secondSlot = SecondSlot::Mirror; }},
    {FindingId::DayClipLimit, [](Shoot& s) { setup(s, "S").mode = "rich"; }, "second: lean"},
    {FindingId::DayClipSplit, [](Shoot& s) { setup(s, "S").mode = "rich", talk(s).whole = false; },
     "second: lean"},
    // 55 min at 25 degrees and 25 min at 35 are 52 min at 26.
    {FindingId::DayHeat, [](Shoot& s) { setup(s, "S").mode = "hot"; }, "second: lean"},
    // The first draws 24.5 Wh in the talk; a fifth of 88.2 is left in the large ones.
    {FindingId::DayBatteryEmptyWhole, [](Shoot& s) { tire(s, 0.2); }, "External power for first"},
    {FindingId::DayBatteryEmpty,
     [](Shoot& s) { s.kit.chargers.clear(), tire(s, 0.04), talk(s).whole = false; },
     "External power for first"},
    {FindingId::DayBatteryInside, [](Shoot& s) { tire(s, 0.2), talk(s).whole = false; }},
    {FindingId::DayPowerNeeded, [](Shoot& s) { s.kit.cameras[0].modes[1].externalPower = true; },
     "External power for first"},
    {FindingId::DayNoSecondCopy, [](Shoot& s) { s.kit.drives.pop_back(); }, "One more"},
    {FindingId::DayNoReader, [](Shoot& s) { s.kit.readers.clear(); }, "card reader"},
    {FindingId::DayNeverSafe, [](Shoot& s) { s.kit.readers[0].forms = {CardForm::Sd}; }},
    {FindingId::DaySafeLate, [](Shoot& s) { s.plan[0].safeBy = Seconds(15.2 * 3600); }},
    {FindingId::DayStorageShort,
     [](Shoot& s) {
         for (auto& drive : s.kit.drives)
             drive.capacity = DataSize(100e9);
     },
     "Drives of 1 TB"},
    {FindingId::DayTakeLate, [](Shoot& s) { s.plan[0].takes[3].ran = Seconds(5 * 3600.0); }},
    {FindingId::DayCardFailed,
     [](Shoot& s) {
         s.plan[0].failures = {{"cf:1", Seconds(13.2 * 3600), {}}};
     }},
    {FindingId::DayCardFailedEmpty,
     [](Shoot& s) {
         s.plan[0].failures = {{"cf:2", Seconds(13.2 * 3600), {}}};
     }},
    // 1 GB at 100 Mb/s is 80 s: the twelve minutes of t6 are nine files.
    {FindingId::DayFiles,
     [](Shoot& s) {
         s.kit.cameras[1].codecs[0].segment = DataSize(1e9);
         s.plan[0].takes.erase(s.plan[0].takes.begin() + 4);
         s.plan[0].takes.pop_back();
     }},
    {FindingId::DayFilesMore, [](Shoot& s) { s.kit.cameras[1].codecs[0].segment = DataSize(1e9); }},
    {FindingId::DayBusSlower, [](Shoot& s) { s.kit.cameras[1].cardSlots[0].bus = "UHS-I"; }},
    {FindingId::DaySetupIncomplete, [](Shoot& s) { setup(s, "W").camera = "gone"; }},
};

INSTANTIATE_TEST_SUITE_P(All, DayRule, ::testing::ValuesIn(kMakes), [](const auto& one) {
    std::string name(kindOf(one.param.id).key);
    std::erase(name, '-');
    return name;
});

} // namespace
} // namespace bslate
