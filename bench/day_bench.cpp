// Days planned, judged and replanned; simulated writing.
#include "core/day/day_edit.h"
#include "core/day/day_verdict.h"
#include "core/day/plan_day.h"
#include "core/media/write_simulation.h"
#include "core/shoot/edit.h"
#include "core/shoot/take_line.h"
#include "io/json/shoot_json.h"

#include <benchmark/benchmark.h>

#include <filesystem>

namespace {

using namespace bslate;

// Takes of the demo's three cameras, ten minutes apart, most of them not to be interrupted; cards
// and batteries scaled with them.
Shoot busy(int takes, int cards, int batteries) {
    auto shoot = io::loadShoot(std::filesystem::path(BSLATE_ROOT) / "data/demo/slack-water.bslate")
                     .valueOr({});
    for (auto& setup : shoot.setups) {
        if (setup.number != "4A")
            setup.secondSlot = SecondSlot::Unused;
        if (setup.number == "4B")
            setup.mode = "uhd-420";
        else if (setup.number == "3A" || setup.number == "1A") // more than a terabyte an hour
            setup.mode = "6k-raw";
    }
    const std::vector<std::vector<std::string>> mix = {
        {"s3a"}, {"s4a", "s4b"}, {"s2b"}, {"s4a", "s4b", "s6a"}, {"s1a"}, {"s6a"}};
    ShootDay day;
    day.number = 2;
    day.start = Seconds(5 * 3600.0);
    const double slot = 18 * 3600.0 / takes;
    for (int i = 0; i < takes; ++i) {
        Take take;
        take.id = "t" + std::to_string(i);
        take.setups = mix[static_cast<std::size_t>(i) % mix.size()];
        take.length = Seconds(slot * (0.35 + 0.1 * (i % 4)));
        take.gap = Seconds(slot * 0.25);
        take.whole = i % 5 != 0;
        day.takes.push_back(take);
    }
    shoot = applied(shoot, {.day = day});
    for (auto& card : shoot.kit.cards)
        card.count = card.id == "sd-v60" ? cards / 2 : cards / 4;
    for (auto& battery : shoot.kit.batteries)
        battery.count = battery.id == "small" ? batteries * 6 / 10 : batteries * 4 / 10;
    return shoot;
}

void planned(benchmark::State& state) {
    const auto shoot = busy(static_cast<int>(state.range(0)), static_cast<int>(state.range(1)),
                            static_cast<int>(state.range(2)));
    const auto day = dayOf(shoot, 2);
    DayPlan plan;
    for (auto _ : state)
        plan = planDay(shoot, day);
    state.counters["optimal"] = plan.optimal();
    state.counters["lanes"] = static_cast<double>(plan.cards.lanes.size());
    const auto& cost = plan.cards.plan.cost;
    const auto& bound = plan.cards.plan.bound;
    state.counters["card_changes"] = cost.changes;
    state.counters["at_least"] = bound.changes;
    state.counters["broken_s"] = cost.broken.value() + plan.power.plan.cost.broken.value();
    state.counters["battery_changes"] = plan.power.plan.cost.changes;
    state.counters["batteries_at_least"] = plan.power.plan.bound.changes;
}
BENCHMARK(planned)
    ->Args({40, 12, 10})
    ->Args({200, 40, 20})
    ->Args({200, 8, 5})
    ->Args({40, 4, 3})
    ->Args({200, 4, 3})
    ->Unit(benchmark::kMillisecond);

// One step of a drag: the last plan repaired, findings without remedies.
void repaired(benchmark::State& state) {
    const auto shoot = busy(static_cast<int>(state.range(0)), static_cast<int>(state.range(1)), 10);
    const auto day = dayOf(shoot, 2);
    const auto before = planDay(shoot, day);
    double minute = 0;
    for (auto _ : state) {
        minute = minute > 30 ? 1 : minute + 1;
        const auto moved = withTakeAt(day, "t20", before.takes[20].start + Seconds(minute * 60));
        const auto plan = planDay(shoot, moved, {1, {}}, &before);
        benchmark::DoNotOptimize(judgeDay(shoot, moved, plan, {DayRemedies::None}));
    }
}
BENCHMARK(repaired)->Args({40, 12})->Args({200, 40})->Unit(benchmark::kMillisecond);

void judgedWithRemedies(benchmark::State& state) {
    const auto shoot = busy(40, 12, 10);
    const auto day = dayOf(shoot, 2);
    const auto plan = planDay(shoot, day);
    std::size_t findings = 0;
    for (auto _ : state)
        findings = judgeDay(shoot, day, plan, {DayRemedies::Verified}).size();
    state.counters["findings"] = static_cast<double>(findings);
}
BENCHMARK(judgedWithRemedies)->Unit(benchmark::kMillisecond);

void aMillionSecondsOfWriting(benchmark::State& state) {
    const WriteLoad load{DataRate(400e6), Fraction(0.2), Seconds(0.5), DataSize(500e6)};
    const auto card = *parseCardBehaviour("V60:tired");
    for (auto _ : state)
        benchmark::DoNotOptimize(simulateWriting(load, card, Seconds(1e6), 1));
}
BENCHMARK(aMillionSecondsOfWriting)->Unit(benchmark::kMillisecond);

} // namespace
