#include "core/kit/kit_parts.h"

#include "core/base/find_by_id.h"
#include "core/kit/check.h"
#include "support/sample_shoot.h"

#include <gtest/gtest.h>

#include <algorithm>

namespace bslate {
namespace {

Kit kitBeside() {
    auto kit = sample::shoot().kit;
    for (auto& camera : kit.cameras)
        camera.profiles = {"index", "note"};
    kit.cameras.back().fixedLens = "lens";
    return kit;
}

int countOf(const std::vector<PartBeside>& parts, PartState state) {
    return static_cast<int>(std::count_if(
        parts.begin(), parts.end(), [&](const PartBeside& one) { return one.state == state; }));
}

TEST(KitParts, EqualKitsHaveEveryPartAlike) {
    const auto kit = kitBeside();
    const auto parts = besides(kit, kit);
    EXPECT_GE(parts.size(), kit.cameras.size() + kit.profiles.size() + kit.cards.size());
    EXPECT_EQ(countOf(parts, PartState::Same), static_cast<int>(parts.size()));
}

TEST(KitParts, APlainKitIsWholeAndHasNoCamera) {
    const auto kit = plainKit();
    EXPECT_TRUE(checkKit(kit));
    EXPECT_TRUE(kit.cameras.empty());
    // SD Association: V60 and V90 need a UHS-II bus.
    EXPECT_EQ(kit.cards.back().bus, "UHS-II");
    // ISO 5800 neutral densities: 0.3 is a stop within a hundredth.
    EXPECT_EQ(kit.filters.back().name, "ND1.8");
    for (const auto& filter : kit.filters)
        EXPECT_NEAR(lossOf(filter.label).value(), std::round(lossOf(filter.label).value()), 0.03);
}

TEST(KitParts, WhatDiffersIsNamed) {
    const auto here = kitBeside();
    auto there = here;
    there.cameras.front().draw = Watts(99);
    there.cameras.front().bases.front().sensor.clip = Stops(3);
    const auto one = besideOf(here, there, KitPart::Camera, here.cameras.front().id);
    ASSERT_TRUE(one);
    EXPECT_EQ(one->state, PartState::Differs);
    EXPECT_EQ(one->fields, (std::vector<std::string>{"&Base ISOs", "Power &draw"}));
}

TEST(KitParts, ACameraBringsWhatItNamesAndLeavesWhatIsThere) {
    const auto from = kitBeside();
    const auto& camera = from.cameras.front();
    Kit into = plainKit();
    auto own = *findProfile(from, camera.profiles.front());
    own.maximum = ExposureIndex(777);
    into.profiles.push_back(own);
    const auto put = withPartOf(into, from, KitPart::Camera, camera.id);
    ASSERT_TRUE(put) << put.error().expected;
    EXPECT_EQ(put->cameras, std::vector<Camera>{camera});
    for (const auto& id : camera.profiles)
        EXPECT_TRUE(findProfile(*put, id)) << id;
    EXPECT_EQ(findProfile(*put, own.id)->maximum, ExposureIndex(777));
}

TEST(KitParts, APartKeepsItsPlaceAndIsNotDoubled) {
    const auto mine = kitBeside();
    auto shoot = mine;
    shoot.cameras.front().draw = Watts(42);
    const auto put = withPartOf(mine, shoot, KitPart::Camera, shoot.cameras.front().id);
    ASSERT_TRUE(put);
    EXPECT_EQ(put->cameras, shoot.cameras);
    EXPECT_EQ(put->profiles, mine.profiles);
}

TEST(KitParts, TwoBodiesThatChanceToShareAnIdStayTwo) {
    const auto from = kitBeside();
    Kit into = from;
    into.cameras.front().name = "Another body";
    const auto put = withPartOf(into, from, KitPart::Camera, from.cameras.front().id);
    ASSERT_TRUE(put);
    EXPECT_EQ(put->cameras.size(), into.cameras.size() + 1);
    EXPECT_EQ(put->cameras.front().name, "Another body");
    EXPECT_EQ(put->cameras.back().name, from.cameras.front().name);
    EXPECT_NE(put->cameras.back().id, from.cameras.front().id);
    EXPECT_EQ(countOf(besides(*put, into), PartState::OnlyHere), 1);
}

TEST(KitParts, EverythingOfOneKitIsInTheOtherAfterwards) {
    const auto from = kitBeside();
    const auto into = plainKit();
    const auto all = withAllOf(into, from);
    ASSERT_TRUE(all) << all.error().expected;
    const auto parts = besides(from, *all);
    EXPECT_EQ(countOf(parts, PartState::OnlyHere) + countOf(parts, PartState::Differs), 0);
    EXPECT_EQ(all->cards.front(), into.cards.front());
}

TEST(KitParts, ANamedPartIsNotTakenAway) {
    const auto kit = kitBeside();
    const auto& camera = kit.cameras.back();
    EXPECT_FALSE(withoutPart(kit, KitPart::Lens, camera.fixedLens));
    const auto without = withoutPart(kit, KitPart::Camera, camera.id);
    ASSERT_TRUE(without);
    EXPECT_EQ(without->cameras.size() + 1, kit.cameras.size());
    EXPECT_FALSE(withPartOf(kit, kit, KitPart::Lens, "nobody's"));
}

} // namespace
} // namespace bslate
