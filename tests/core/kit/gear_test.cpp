#include "core/kit/gear.h"

#include "core/advice/additions.h"
#include "core/kit/check.h"
#include "core/kit/profile_edit.h"
#include "core/shoot/uses.h"
#include "support/sample_day.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

class EveryKind : public ::testing::TestWithParam<KitPart> {
protected:
    KitPart kind = GetParam();
    Kit kit = sample::DayBench().shoot.kit;

    std::size_t count(const Kit& of) const {
        return withPart(of, kind, [](const auto& items) { return items.size(); });
    }
    std::string firstId() {
        return withPart(kit, kind, [](const auto& items) { return items.front().id; });
    }
};

TEST_P(EveryKind, IsAddedCopiedAndRemovedAndTheKitStaysSound) {
    const Kit before = kit;
    const auto id = addGear(kit, kind, "New one");
    EXPECT_EQ(count(kit), count(before) + 1);
    const auto sound = checkKit(kit);
    EXPECT_TRUE(sound.ok()) << message(sound.error());
    const auto copy = copyGear(kit, kind, id, " copy");
    ASSERT_TRUE(copy);
    EXPECT_NE(*copy, id);
    withPart(kit, kind, [&](const auto& items) {
        const auto* made = findById(items, id);
        const auto* copied = findById(items, *copy);
        ASSERT_TRUE(made && copied);
        EXPECT_EQ(made + 1, copied) << "a copy stands behind what it is of";
        EXPECT_EQ(made->name, "New one");
        EXPECT_EQ(copied->name, "New one copy");
    });
    EXPECT_TRUE(checkKit(kit).ok());
    removeGear(kit, kind, id);
    removeGear(kit, kind, *copy);
    EXPECT_EQ(kit, before);
}

TEST_P(EveryKind, OfNoSuchItemNothingIsMade) {
    const Kit before = kit;
    EXPECT_FALSE(copyGear(kit, kind, "gone", " copy"));
    EXPECT_FALSE(extracted(kit, kind, "gone"));
    removeGear(kit, kind, "gone");
    EXPECT_EQ(kit, before);
}

TEST_P(EveryKind, TravelsWithWhatItNames) {
    kit.chargers[0].batteries = {"small"};
    const auto alone = extracted(kit, kind, firstId());
    ASSERT_TRUE(alone);
    EXPECT_EQ(count(*alone), 1u);
    const auto sound = checkKit(*alone);
    EXPECT_TRUE(sound.ok()) << message(sound.error());
    if (kind == KitPart::Charger || kind == KitPart::Camera) {
        EXPECT_EQ(alone->batteries.size(), 1u);
    }
    // Taken into another kit and back, nothing of that kit changes and nothing is lost.
    EXPECT_EQ(withPart(*alone, kind, [](const auto& items) { return items.front().id; }),
              firstId());
}

INSTANTIATE_TEST_SUITE_P(Gear, EveryKind, ::testing::ValuesIn(kGear));

TEST(Uses, TellsWhoWouldBeLeftWithoutIt) {
    Shoot shoot = sample::DayBench().shoot;
    auto& kit = shoot.kit;
    using Who = User::Kind;
    EXPECT_EQ(userOf(shoot, KitPart::Camera, "first"), (User{Who::Setup, "W"}));
    EXPECT_EQ(userOf(shoot, KitPart::Lens, "lens"), (User{Who::Setup, "W"}));
    EXPECT_EQ(userOf(shoot, KitPart::Battery, "large"), (User{Who::Gear, kit.cameras[0].name}));
    EXPECT_EQ(userOf(shoot, KitPart::Filter, "nd3"), std::nullopt);
    shoot.setups[2].filters = {"nd6", "nd3"};
    EXPECT_EQ(userOf(shoot, KitPart::Filter, "nd3"), (User{Who::Setup, "S"}));
    kit.batteries.push_back({"spare", "Spare", WattHours(20), 0.9, 1, 1, {}});
    EXPECT_EQ(userOf(shoot, KitPart::Battery, "spare"), std::nullopt);
    kit.chargers[0].batteries = {"spare"};
    EXPECT_EQ(userOf(shoot, KitPart::Battery, "spare"), (User{Who::Gear, kit.chargers[0].name}));
    for (auto& setup : shoot.setups)
        setup.lens.clear();
    EXPECT_EQ(userOf(shoot, KitPart::Lens, "lens"), std::nullopt);
    kit.cameras[1].fixedLens = "lens";
    EXPECT_EQ(userOf(shoot, KitPart::Lens, "lens"), (User{Who::Gear, kit.cameras[1].name}));
    // Nobody names what is only counted.
    for (const auto kind : {KitPart::Card, KitPart::Reader, KitPart::Drive, KitPart::Charger})
        EXPECT_EQ(userOf(shoot, kind, "charger"), std::nullopt);
}

TEST(Uses, FindsTheSetupOfASceneAndOfAProfile) {
    const Shoot shoot = sample::DayBench().shoot;
    EXPECT_EQ(setupInScene(shoot, "scene"), &shoot.setups[0]);
    EXPECT_EQ(setupInScene(shoot, "gone"), nullptr);
    EXPECT_EQ(setupInProfile(shoot, shoot.setups[0].profile), &shoot.setups[0]);
    EXPECT_EQ(setupInProfile(shoot, "note"), nullptr);
}

// A test of a body is nothing without the body, nor without the profile it was made in.
TEST(Uses, WhatWasMeasuredGoesWithItsBodyAndItsProfileUnlessItIsRecordedIn) {
    Shoot shoot = sample::DayBench().shoot;
    shoot.kit.profiles.push_back(
        sample::measuredProfile(shoot.kit.profiles[2], "measured", "first"));
    shoot.kit.cameras[0].profiles = {"note", "measured"};
    for (auto& setup : shoot.setups)
        setup.camera = "second";
    shoot.setups[1].profile = "measured";
    EXPECT_EQ(userOf(shoot, KitPart::Camera, "first"), (User{User::Kind::Setup, "T"}));
    EXPECT_EQ(setupInProfile(shoot, "note"), &shoot.setups[1]);
    shoot.setups[1].profile = "index";
    EXPECT_EQ(userOf(shoot, KitPart::Camera, "first"), std::nullopt);
    Kit kit = shoot.kit;
    removeGear(kit, KitPart::Camera, "first");
    EXPECT_EQ(findProfile(kit, "measured"), nullptr);
    EXPECT_TRUE(findProfile(kit, "note")) << "others may record in the nominal one";
    kit = withoutProfile(shoot.kit, "note");
    EXPECT_EQ(findProfile(kit, "measured"), nullptr);
    EXPECT_TRUE(kit.cameras[0].profiles.empty());
    EXPECT_TRUE(checkKit(kit).ok());
}

// What nobody uses may go, and then the kit must still hold together: its file is written.
TEST(Uses, WhatNobodyUsesLeavesASoundKit) {
    for (const auto kind : kGear) {
        Shoot shoot = sample::DayBench().shoot;
        shoot.kit.profiles.push_back(
            sample::measuredProfile(shoot.kit.profiles[0], "measured", "first"));
        for (auto& setup : shoot.setups)
            setup.camera = "second";
        std::vector<std::string> ids;
        withPart(shoot.kit, kind, [&](const auto& items) {
            for (const auto& item : items)
                ids.push_back(item.id);
        });
        for (const auto& id : ids) {
            if (userOf(shoot, kind, id))
                continue;
            Kit kit = shoot.kit;
            removeGear(kit, kind, id);
            const auto sound = checkKit(kit);
            EXPECT_TRUE(sound.ok()) << id << ": " << message(sound.error());
        }
    }
}

} // namespace
} // namespace bslate
