// What one camera has to do on its days, in which order.
#include "core/banks/camera_work.h"
#include "core/banks/sample_banks.h"
#include "core/shoot/edit.h"
#include "core/shoot/take_line.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

using sample::addSetup;

CameraWork workOn(const Shoot& shoot) {
    return workOf(shoot, shoot.kit.cameras[0]);
}

// "1A 1B|2A": the setups of each day in their order.
std::string orderOf(const Shoot& shoot) {
    const auto work = workOn(shoot);
    std::string order;
    int day = 1;
    for (const auto& visit : work.visits) {
        order += visit.day != day ? "|" : order.empty() ? "" : " ";
        day = visit.day;
        order += work.setups[visit.setup].number;
    }
    return order;
}

Shoot threeSetups() {
    Shoot shoot = sample::bankShoot({sample::bank("1")});
    shoot.setups[0].number = "1A";
    addSetup(shoot, "1B", 3200);
    addSetup(shoot, "1C", 4300);
    return shoot;
}

TEST(CameraWork, SetupsComeInTheOrderOfTheTakes) {
    Shoot shoot = threeSetups();
    EXPECT_EQ(orderOf(shoot), "1A 1B 1C") << "as the shoot has them";
    ShootDay day = dayOf(shoot, 1);
    for (const char* line : {"1C 5min", "1A 5min", "1A 5min", "1C 5min"}) {
        const auto take = parseTakeLine(shoot, line);
        ASSERT_TRUE(take.ok()) << line;
        EXPECT_FALSE(addTake(day, *take, {}).empty());
    }
    shoot.plan = {day};
    // 1A twice in a row is one visit; 1C comes up again; 1B has no take and comes after them.
    EXPECT_EQ(orderOf(shoot), "1C 1A 1C 1B");
    const auto work = workOn(shoot);
    EXPECT_EQ(work.visits[0].after, std::nullopt);
    EXPECT_EQ(work.visits[2].after, work.visits[1].setup);
}

TEST(CameraWork, ScenesWithAnHourComeFirstAndDaysRise) {
    Shoot shoot = threeSetups();
    shoot.scenes.push_back(shoot.scenes[0]);
    shoot.scenes[1].id = "early";
    shoot.scenes[1].start = Seconds(6 * 3600.0);
    shoot.scenes.push_back(shoot.scenes[0]);
    shoot.scenes[2].id = "tomorrow";
    shoot.scenes[2].day = 2;
    shoot.setups[1].scene = "early";
    EXPECT_EQ(orderOf(shoot), "1B 1A 1C");
    shoot.setups[0].scene = "tomorrow";
    EXPECT_EQ(orderOf(shoot), "1B 1C|1A");
    // Another camera's setups are none of this one's.
    shoot.setups[2].camera = "times";
    EXPECT_EQ(orderOf(shoot), "1B|1A");
}

TEST(CameraWork, NamesWhatCannotBeWorkedOutAndNumbersWhatIsEqual) {
    Shoot shoot = threeSetups();
    shoot.setups[1].profile = "gone";
    shoot.setups[2].rating = shoot.setups[0].rating;
    shoot.setups[2].shutter = shoot.setups[0].shutter;
    const auto work = workOn(shoot);
    EXPECT_EQ(work.incomplete, std::vector<std::string>{"1B"});
    ASSERT_EQ(work.setups.size(), 2u);
    const auto differs = [&](BodySetting setting) {
        const auto at = static_cast<std::size_t>(setting);
        return work.setups[0].values[at] != work.setups[1].values[at];
    };
    for (std::size_t s = 0; s < kBodySettings; ++s)
        EXPECT_EQ(differs(static_cast<BodySetting>(s)),
                  static_cast<BodySetting>(s) == BodySetting::White);
    EXPECT_EQ(work.setups[0].values[static_cast<std::size_t>(BodySetting::Compensation)], -1)
        << "nothing of it is set";
    EXPECT_TRUE(workOf(shoot, shoot.kit.cameras[1]).visits.empty());
}

TEST(CameraWork, TheRegionTheBodyWasFoundInNeedNotBeSet) {
    Shoot shoot = threeSetups();
    auto& camera = shoot.kit.cameras[0];
    camera.rateSets = {{"50 Hz", {FrameRate{Rational(24, 1)}, FrameRate{Rational(25, 1)}}, {}},
                       {"60 Hz", {FrameRate{Rational(60, 1)}}, {}}};
    const auto region = [&] {
        const auto plan = sample::planned(shoot);
        const auto now = planWith(plan.problem, {-1, -1, -1});
        const auto& hands = now.uses[0].byHand;
        return !hands.empty() && hands[0].setting == BodySetting::Region ? hands[0].cost
                                                                         : Seconds(0);
    };
    EXPECT_EQ(region(), Seconds(20)) << "nobody knows: a restart";
    camera.body.facts.region = "60 Hz";
    EXPECT_EQ(region(), Seconds(20));
    camera.body.facts.region = "50 Hz";
    EXPECT_EQ(region(), Seconds(0));
}

TEST(BankSchools, GroupByRateByProfileAndByScene) {
    Shoot shoot = sample::bankShoot({sample::bank("1"), sample::bank("2")});
    shoot.kit.cameras[0].body.banks[0].locked = true;
    shoot.setups[0].number = "1A";
    addSetup(shoot, "1B", 3200, 800, 60);
    addSetup(shoot, "1C", 4300, 800, 60);
    const auto plan = sample::planned(shoot);
    // One bank is open: the rate that comes up most often has it, the other goes by hand.
    EXPECT_EQ(threadsOf(plan.problem, BankSchool::Speed), (Threads{-1, 1, 1}));
    EXPECT_EQ(threadsOf(plan.problem, BankSchool::Look), (Threads{1, 1, 1}));
    EXPECT_EQ(threadsOf(plan.problem, BankSchool::Scene), (Threads{1, 1, 1}));
    shoot.kit.cameras[0].body.banks[0].locked = false;
    const auto two = sample::planned(shoot);
    EXPECT_EQ(threadsOf(two.problem, BankSchool::Speed), (Threads{0, 1, 1}))
        << "in the order they come up";
    EXPECT_EQ(keyOf(BankSchool::Look), "look");
    // What the shoot says: from 1, none beyond the banks there are.
    shoot.setups[0].bank = 2;
    shoot.setups[1].bank = 9;
    EXPECT_EQ(threadsOf(two.problem, shoot), (Threads{1, -1, -1}));
    const auto changed = rethreaded(two.problem, shoot, {1, -1, 0});
    ASSERT_EQ(changed.size(), 2u) << "the first stays as it is";
    EXPECT_EQ(changed[0].bank, 0);
    EXPECT_EQ(changed[1].bank, 1);
    Edit edit;
    edit.setups = changed;
    const auto after = applied(shoot, edit);
    EXPECT_EQ(after.setups[1].bank, 0);
    EXPECT_EQ(after.setups[2].bank, 1);
}

} // namespace
} // namespace bslate
