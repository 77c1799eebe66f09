// Banks planned, a thread tried elsewhere, the checks of a setup.
#include "core/banks/banks_verdict.h"
#include "core/banks/preroll.h"
#include "core/banks/sample_banks.h"
#include "core/day/plan_day.h"
#include "core/shoot/take_line.h"

#include <benchmark/benchmark.h>

namespace {

using namespace bslate;

// Setups that differ in white, rating, rate and iris, on two days; the last two banks on the card,
// one of the others forgets the shutter. As people's do: six whites, two ratings, three rates; or
// all at random, which nobody shoots.
Shoot manySetups(int setups, int banks, bool random = false) {
    std::vector<Bank> all;
    for (int b = 1; b <= banks; ++b)
        all.push_back(sample::bank(std::to_string(b), {},
                                   b + 2 > banks ? BankPlace::Card : BankPlace::Inside));
    if (banks > 1)
        std::erase(all[1].holds, BodySetting::Shutter);
    auto shoot = sample::bankShoot(std::move(all));
    shoot.scenes.push_back(shoot.scenes[0]);
    shoot.scenes[1].id = "second";
    shoot.scenes[1].day = 2;
    constexpr double kWhites[] = {3200, 3400, 4100, 4300, 5600, 6500};
    Random chance(17);
    for (int k = 1; k < setups; ++k) {
        const double white = random ? 2800 + 200.0 * static_cast<double>(below(chance, 18))
                                    : kWhites[below(chance, 6)];
        const int iso = random ? 400 << below(chance, 3) : below(chance, 4) ? 800 : 5000;
        const int rate = below(chance, 4) ? 24 : random || below(chance, 2) ? 60 : 120;
        auto& setup = sample::addSetup(shoot, std::to_string(k), white, iso, rate,
                                       below(chance, 2) ? 2.8 : 5.6);
        if (k > setups / 2)
            setup.scene = "second";
        setup.bank = 1 + k % std::max(1, banks);
    }
    return shoot;
}

void banksPlanned(benchmark::State& state) {
    const auto shoot = manySetups(static_cast<int>(state.range(0)),
                                  static_cast<int>(state.range(1)), state.range(2) != 0);
    CameraPlan plan;
    for (auto _ : state)
        plan = planCamera(shoot, shoot.kit.cameras[0]);
    state.counters["proven"] = plan.best.plan.proven ? 1 : 0;
    state.counters["cost_s"] = plan.best.plan.cost.value();
    state.counters["gap_s"] = (plan.best.plan.cost - plan.best.plan.atLeast).value();
}
BENCHMARK(banksPlanned)
    ->Args({40, 7, 0})
    ->Args({40, 7, 1})
    ->Args({8, 5, 0})
    ->Args({160, 7, 0})
    ->Unit(benchmark::kMillisecond);

void threadTried(benchmark::State& state) {
    const auto shoot = manySetups(static_cast<int>(state.range(0)), 7);
    const auto plan = planCamera(shoot, shoot.kit.cameras[0]);
    auto threads = threadsOf(plan.problem, shoot);
    for (auto _ : state) {
        threads[1] = (threads[1] + 1) % 7;
        benchmark::DoNotOptimize(planWith(plan.problem, threads));
    }
}
BENCHMARK(threadTried)->Arg(40)->Arg(160)->Unit(benchmark::kMicrosecond);

void checksListed(benchmark::State& state) {
    auto shoot = manySetups(40, 7);
    const auto plan = planCamera(shoot, shoot.kit.cameras[0]);
    const auto now = planWith(plan.problem, threadsOf(plan.problem, shoot));
    for (auto _ : state)
        benchmark::DoNotOptimize(prerollOf(shoot, shoot.setups[5], plan, now));
}
BENCHMARK(checksListed)->Unit(benchmark::kMicrosecond);

void banksJudged(benchmark::State& state) {
    const auto shoot = manySetups(40, 7);
    const auto plan = planCamera(shoot, shoot.kit.cameras[0]);
    for (auto _ : state)
        benchmark::DoNotOptimize(judgeBanks(shoot, shoot.kit.cameras[0], plan));
}
BENCHMARK(banksJudged)->Unit(benchmark::kMillisecond);

} // namespace
