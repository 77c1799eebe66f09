// What an edit changes, as whole parts: for undo, for listeners, and refused before it is in a
// document.
#include "core/base/random.h"
#include "core/shoot/revision.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

#include <algorithm>

namespace bslate {
namespace {

// One of the things hands do, chosen by chance.
void disturb(Shoot& shoot, Random& chance) {
    const auto pick = [&](std::size_t size) { return chance.next() % size; };
    const auto fresh = std::to_string(chance.next());
    switch (pick(11)) {
    case 0:
        shoot.title += "!";
        break;
    case 1:
        shoot.brief.copies = 1 + static_cast<int>(pick(4));
        break;
    case 2:
        shoot.kit.name = fresh;
        break;
    case 3:
        shoot.setups.push_back(shoot.setups[pick(shoot.setups.size())]);
        shoot.setups.back().id = "setup-" + fresh;
        break;
    case 4:
        if (shoot.setups.size() > 1)
            shoot.setups.erase(shoot.setups.begin() +
                               static_cast<std::ptrdiff_t>(pick(shoot.setups.size())));
        break;
    case 5:
        std::rotate(shoot.setups.begin(), shoot.setups.begin() + 1, shoot.setups.end());
        break;
    case 6:
        shoot.setups[pick(shoot.setups.size())].iris = TStop(2 + static_cast<double>(pick(9)));
        break;
    case 7: {
        ShootDay day;
        day.number = 1 + static_cast<int>(pick(5));
        std::erase_if(shoot.plan, [&](const ShootDay& own) { return own.number == day.number; });
        shoot.plan.push_back(day);
        break;
    }
    case 8:
        shoot.setups[pick(shoot.setups.size())].ticks.push_back(
            {"hand-iris", fresh, "2026-05-01 07:40"});
        break;
    case 9: {
        const std::string camera = pick(2) ? "angles" : "times";
        std::erase_if(shoot.records, [&](const auto& own) { return own.id == camera; });
        CameraRecord record;
        record.id = camera;
        record.banks = {{"1", "2026-05-01 07:40", "s", {{"white", fresh}}, {}}};
        shoot.records.push_back(record);
        break;
    }
    default:
        shoot.scenes.push_back(shoot.scenes.front());
        shoot.scenes.back().id = "scene-" + fresh;
        shoot.extra.json = "{\"x\":" + fresh + "}";
    }
}

TEST(Revision, LeadsFromAnyValueToAnyOtherAndBack) {
    Random chance(3);
    Shoot now = sample::shoot();
    for (int i = 0; i < 400; ++i) {
        Shoot after = now;
        for (auto n = chance.next() % 4; n > 0; --n)
            disturb(after, chance);
        const auto there = revisionBetween(now, after);
        const auto back = revisionBetween(after, now);
        ASSERT_EQ(revised(now, there), after) << i;
        ASSERT_EQ(revised(after, back), now) << i;
        EXPECT_EQ(there.empty(), now == after);
        now = std::move(after);
    }
}

TEST(Revision, HoldsOnlyWhatChanged) {
    const Shoot before = sample::shoot();
    Shoot after = before;
    after.setups[0].iris = TStop(8);
    const auto revision = revisionBetween(before, after);
    EXPECT_EQ(revision.setups.put.size(), 1u);
    EXPECT_FALSE(revision.setups.order || revision.kit || revision.brief || revision.head);
    EXPECT_TRUE(revision.scenes.empty() && revision.plan.empty());
}

// Everything a file refuses is refused here, with its place in words.
TEST(Revision, WhatNoFileCouldHoldIsRefusedWithItsPlace) {
    const Shoot good = sample::shoot();
    const auto placeOf = [&](auto change) {
        Shoot bad = good;
        change(bad);
        const auto outcome = checkRevision(bad, revisionBetween(good, bad));
        return outcome ? std::string("fine") : outcome.error().place;
    };
    EXPECT_EQ(placeOf([](Shoot& s) { s.setups[0].bank = 5; }), "fine");
    EXPECT_EQ(placeOf([](Shoot& s) { s.note.assign(5000, 'x'); }), "shoot, Note");
    EXPECT_EQ(placeOf([](Shoot& s) { s.setups[0].bank = 101; }),
              "setup " + good.setups[0].number + ", Bank");
    EXPECT_EQ(placeOf([](Shoot& s) {
                  while (s.scenes[0].patches.size() <= kMostPatches) {
                      s.scenes[0].patches.push_back(s.scenes[0].patches[0]);
                      s.scenes[0].patches.back().id = std::to_string(s.scenes[0].patches.size());
                  }
              }),
              "scene " + good.scenes[0].name + ", Patches");
    EXPECT_EQ(placeOf([](Shoot& s) { s.scenes[0].patches[1].name.assign(4001, 'x'); }),
              "scene " + good.scenes[0].name + ", Patches 2, Name");
    EXPECT_EQ(placeOf([](Shoot& s) { s.kit.cameras[0].modes.clear(); }),
              "kit, Cameras 1, Recording modes");
    EXPECT_EQ(placeOf([](Shoot& s) { s.kit.lenses[0].narrowest = TStop(0.7); }),
              "kit, Lenses 1, Narrowest T-stop");
    EXPECT_EQ(placeOf([](Shoot& s) { s.setups[0].iris = TStop(1000); }),
              "setup " + good.setups[0].number + ", Iris");
    EXPECT_EQ(placeOf([](Shoot& s) { s.brief.copies = 9; }), "brief, Copies");
}

} // namespace
} // namespace bslate
