#include "core/advice/next_thing.h"

#include "support/sample_day.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

using enum NextThing;
using Next = std::optional<NextThing>;

TEST(NextThing, LeadsFromNothingToAPlannedDay) {
    const Shoot whole = sample::DayBench().shoot;
    const auto all = [](const Shoot& shoot) {
        return std::vector<Next>{nextThing(shoot, Work::Scenes), nextThing(shoot, Work::Kit),
                                 nextThing(shoot, Work::Setups), nextThing(shoot, Work::Days)};
    };
    EXPECT_EQ(all(Shoot{}), (std::vector<Next>{TypeScene, BringCamera, BringCamera, BringCamera}));
    Shoot shoot;
    shoot.kit = whole.kit;
    EXPECT_EQ(all(shoot), (std::vector<Next>{TypeScene, {}, TypeScene, TypeScene}));
    shoot.scenes = whole.scenes;
    EXPECT_EQ(all(shoot), (std::vector<Next>{{}, {}, AddSetup, AddSetup}));
    shoot.setups = whole.setups;
    EXPECT_EQ(all(shoot), (std::vector<Next>{{}, {}, {}, PlanTakes}));
    shoot.plan = {ShootDay{}};
    EXPECT_EQ(nextThing(shoot, Work::Days), PlanTakes) << "a day without takes is none";
    shoot.plan = whole.plan;
    EXPECT_EQ(all(shoot), (std::vector<Next>{{}, {}, {}, {}}));
}

} // namespace
} // namespace bslate
