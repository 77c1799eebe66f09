// Controls: against every assignment on small bodies, and what never moves.
#include "core/banks/controls.h"
#include "core/banks/sample_banks.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <set>

namespace bslate {
namespace {

Control control(std::string label, ControlKind kind, ControlPlace place,
                std::vector<Function> takes, std::optional<Function> printed = {}) {
    return {std::move(label), place, kind, printed, std::move(takes), {}, false, {}};
}

// The measure of docs/file-format.md, written down once more: seconds saved against a menu page,
// a tenth of a second a place further from the thumb.
double worthOf(const Control& control, const FunctionNeed& need) {
    const bool quick = control.kind != ControlKind::Button && control.kind != ControlKind::Touch;
    return need.weight() * (10.0 - (quick ? 1 : 3) - 0.1 * static_cast<int>(control.place));
}

double mostWorth(const Body& body, const std::vector<FunctionNeed>& needs, std::size_t at,
                 std::set<Function>& used) {
    if (at == body.controls.size())
        return 0;
    double most = mostWorth(body, needs, at + 1, used);
    for (const auto function : body.controls[at].takes)
        for (const auto& need : needs)
            if (need.function == function && need.weight() > 0 && used.insert(function).second) {
                most = std::max(most, worthOf(body.controls[at], need) +
                                          mostWorth(body, needs, at + 1, used));
                used.erase(function);
            }
    return most;
}

TEST(Controls, SaveAsMuchAsTheBestOfAllAssignments) {
    Random random(5);
    constexpr Function kSome[] = {Function::Iris, Function::White, Function::Rating,
                                  Function::Zebra, Function::Magnify};
    for (int round = 0; round < 120; ++round) {
        Body body;
        for (std::size_t c = 0; c < 1 + below(random, 4); ++c) {
            std::vector<Function> takes;
            for (const auto function : kSome)
                if (below(random, 3))
                    takes.push_back(function);
            if (takes.empty())
                takes = {Function::Iris};
            body.controls.push_back(control(
                std::to_string(c), below(random, 2) ? ControlKind::Dial : ControlKind::Button,
                static_cast<ControlPlace>(below(random, 8)), takes));
        }
        std::vector<FunctionNeed> needs;
        for (const auto function : kSome)
            needs.push_back(
                {function, static_cast<int>(below(random, 6)), static_cast<int>(below(random, 3))});
        const auto plan = controlsOf(body, needs);
        double worth = 0;
        for (const auto& use : plan.uses)
            if (use.why == ControlWhy::Needed)
                worth += worthOf(body.controls[use.control], use.need);
        std::set<Function> used;
        EXPECT_NEAR(worth, mostWorth(body, needs, 0, used), 1e-9) << "round " << round;
    }
}

TEST(Controls, WhatIsPrintedStaysAndNothingIsTwice) {
    Body body;
    body.controls = {
        control("Wheel", ControlKind::Dial, ControlPlace::Thumb, {Function::Iris, Function::White},
                Function::Compensation),
        control("Trigger", ControlKind::Button, ControlPlace::Finger, {Function::White},
                Function::Record),
        control("Front", ControlKind::Dial, ControlPlace::Finger,
                {Function::Iris, Function::Erase, Function::Format}),
        control("Top", ControlKind::Button, ControlPlace::Top, {Function::Iris, Function::Erase})};
    body.quickMenu = 2;
    body.ownMenu = 2;
    const std::vector<FunctionNeed> needs = {{Function::Iris, 9, 0},   {Function::White, 5, 0},
                                             {Function::Erase, 99, 9}, {Function::Zebra, 4, 0},
                                             {Function::Rating, 3, 0}, {Function::Format, 50, 0},
                                             {Function::Record, 8, 0}};
    const auto plan = controlsOf(body, needs);
    EXPECT_EQ(plan.uses[0].function, Function::Compensation);
    EXPECT_EQ(plan.uses[0].why, ControlWhy::Printed);
    EXPECT_EQ(plan.uses[1].function, Function::Record);
    EXPECT_EQ(plan.uses[2].function, Function::Iris) << "the dial before the button";
    EXPECT_FALSE(plan.uses[3].function) << "erase is given to no control";
    ASSERT_EQ(plan.quickMenu.size(), 2u);
    EXPECT_EQ(plan.quickMenu[0].function, Function::White);
    EXPECT_EQ(plan.quickMenu[1].function, Function::Zebra);
    ASSERT_EQ(plan.ownMenu.size(), 2u);
    EXPECT_EQ(plan.ownMenu[0][0].function, Function::Rating);
    ASSERT_EQ(plan.ownMenu[1].size(), 1u);
    EXPECT_EQ(plan.ownMenu[1][0].function, Function::Format) << "alone on the last page";
    std::set<Function> seen;
    for (const auto& use : plan.uses)
        EXPECT_TRUE(!use.function || seen.insert(*use.function).second);
    for (const auto& page : plan.ownMenu)
        for (const auto& need : page)
            EXPECT_TRUE(seen.insert(need.function).second);
    // Seconds: a dial 1, a button or the quick menu 3, a page 10, a region 20: common practice.
    const auto access = accessOf(body, plan);
    const auto at = [&](BodySetting s) { return access[static_cast<std::size_t>(s)]; };
    EXPECT_EQ(at(BodySetting::Iris), Seconds(1));
    EXPECT_EQ(at(BodySetting::White), Seconds(3));
    EXPECT_EQ(at(BodySetting::Rating), Seconds(10));
    EXPECT_EQ(at(BodySetting::Profile), Seconds(10));
    EXPECT_EQ(at(BodySetting::Region), Seconds(20));
    // What the user chose comes first, even against the print.
    body.controls[0].chosen = Function::Iris;
    const auto chosen = controlsOf(body, needs);
    EXPECT_EQ(chosen.uses[0].function, Function::Iris);
    EXPECT_EQ(chosen.uses[0].why, ControlWhy::Chosen);
    EXPECT_NE(chosen.uses[2].function, Function::Iris);
}

// Two controls want one function: they exchange, and neither is told that it has what it has not.
TEST(Controls, AFunctionChosenTwiceIsExchanged) {
    Body body;
    const std::vector<Function> both = {Function::Iris, Function::White};
    body.controls = {control("Front", ControlKind::Dial, ControlPlace::Finger, both),
                     control("Rear", ControlKind::Dial, ControlPlace::Thumb, both),
                     control("Top", ControlKind::Button, ControlPlace::Top, {Function::White})};
    const std::vector<FunctionNeed> needs = {{Function::Iris, 9, 0}, {Function::White, 5, 0}};
    body.controls[0].chosen = Function::Iris;
    body.controls[1].chosen = Function::White;
    EXPECT_EQ(chosenElsewhere(body, 1, Function::Iris), 0u);
    EXPECT_FALSE(chosenElsewhere(body, 0, Function::Iris)) << "itself is no other";
    const auto changed = withChosen(body, controlsOf(body, needs), 1, Function::Iris);
    EXPECT_EQ(changed.controls[0].chosen, Function::White);
    EXPECT_EQ(changed.controls[1].chosen, Function::Iris);
    const auto plan = controlsOf(changed, needs);
    EXPECT_EQ(plan.uses[0].function, Function::White);
    EXPECT_EQ(plan.uses[1].function, Function::Iris);
    // The button cannot take the iris back: the plan says what it does.
    const auto top = withChosen(changed, plan, 2, Function::White);
    EXPECT_EQ(top.controls[2].chosen, Function::White);
    EXPECT_EQ(top.controls[0].chosen, std::nullopt) << "the button did nothing before";
    EXPECT_EQ(withChosen(top, plan, 2, std::nullopt).controls[2].chosen, std::nullopt);
}

TEST(Controls, AreNeededForWhatTheTakesAskOf) {
    Shoot shoot = sample::bankShoot({sample::bank("1")});
    auto& scene = shoot.scenes[0];
    scene.change = LightChange{{900, LightUnit::CandelaPerM2}, Seconds(600)};
    shoot.setups[0].payer = Payer::Nd;
    shoot.kit.cameras[0].builtInNd = {shoot.kit.filters[0]};
    scene.support = Support::Hand;
    const auto needOf = [&](Function function) {
        const auto plan = sample::planned(shoot);
        return *std::find_if(plan.needs.begin(), plan.needs.end(),
                             [&](const auto& need) { return need.function == function; });
    };
    EXPECT_EQ(needOf(Function::Nd).inside, 1) << "the light changes inside the take";
    shoot.kit.cameras[0].builtInNd.clear();
    EXPECT_EQ(needOf(Function::Nd).weight(), 0) << "a filter is put in by hand";
    EXPECT_EQ(needOf(Function::AudioLevel).inside, 1);
    EXPECT_EQ(needOf(Function::ViewLut).between, 1) << "a log picture";
    EXPECT_EQ(needOf(Function::Level).between, 1) << "held";
    EXPECT_EQ(needOf(Function::Focus).between, 0);
    scene.focusBy = FocusBy::Faces;
    scene.sound = false;
    EXPECT_EQ(needOf(Function::AudioLevel).inside, 0);
    EXPECT_EQ(needOf(Function::Magnify).between, 0);
    EXPECT_GE(needOf(Function::Focus).between, 1);
}

} // namespace
} // namespace bslate
