#include "core/advice/levers.h"
#include "core/facts/evaluate.h"
#include "core/judgement/judge.h"
#include "io/json/shoot_json.h"
#include "support/sample_shoot.h"

#include <benchmark/benchmark.h>

namespace {

using namespace bslate;

Shoot twelvePatches() {
    Shoot shoot = sample::shoot();
    auto& patches = shoot.scenes[0].patches;
    for (int i = 0; i < 6; ++i)
        patches.push_back(
            sample::patch("extra" + std::to_string(i), PatchRole::Highlight, 3.0 * (i + 1)));
    return shoot;
}

void evaluateOneSetup(benchmark::State& state) {
    const auto shoot = twelvePatches();
    for (auto _ : state)
        benchmark::DoNotOptimize(evaluate(shoot, shoot.setups[0]));
}
BENCHMARK(evaluateOneSetup)->Unit(benchmark::kMicrosecond);

// The same under six lamps of their own colours, two of them with gels.
Shoot sixLights() {
    Shoot shoot = twelvePatches();
    shoot.kit.gels = {{"half", "Half", Mired(81), Duv(0), Fraction(0.73), {}}};
    auto& scene = shoot.scenes[0];
    for (int i = 0; i < 6; ++i) {
        Lamp lamp;
        lamp.name = "lamp " + std::to_string(i);
        lamp.kind = LampKind::Steady;
        lamp.colour = LightColour{Kelvin(2800.0 + 700 * i), Duv(0.002 * i)};
        if (i > 3)
            lamp.gels = {"half"};
        scene.lamps.push_back(lamp);
    }
    for (std::size_t i = 0; i < scene.patches.size(); ++i)
        scene.patches[i].lamp = "lamp " + std::to_string(i % 6);
    return shoot;
}

void evaluateSixLights(benchmark::State& state) {
    const auto shoot = sixLights();
    for (auto _ : state)
        benchmark::DoNotOptimize(evaluate(shoot, shoot.setups[0]));
}
BENCHMARK(evaluateSixLights)->Unit(benchmark::kMicrosecond);

void colourTemperature(benchmark::State& state) {
    Chromaticity light{0.3721, 0.3751};
    for (auto _ : state) {
        benchmark::DoNotOptimize(light);
        benchmark::DoNotOptimize(colourOf(light));
    }
}
BENCHMARK(colourTemperature)->Unit(benchmark::kMicrosecond);

void judgeOneSetup(benchmark::State& state) {
    const auto shoot = twelvePatches();
    for (auto _ : state)
        benchmark::DoNotOptimize(judge(shoot, shoot.setups[0]));
}
BENCHMARK(judgeOneSetup)->Unit(benchmark::kMicrosecond);

void judgeTheDemo(benchmark::State& state) {
    const auto shoot = *io::loadShoot(BSLATE_ROOT "/data/demo/slack-water.bslate");
    for (auto _ : state)
        for (const auto& setup : shoot.setups)
            benchmark::DoNotOptimize(judge(shoot, setup));
}
BENCHMARK(judgeTheDemo)->Unit(benchmark::kMicrosecond);

void turnTheIris(benchmark::State& state) {
    const auto shoot = twelvePatches();
    for (auto _ : state)
        benchmark::DoNotOptimize(turn(shoot, shoot.setups[0], TurnIris{TStop(2.8)}));
}
BENCHMARK(turnTheIris)->Unit(benchmark::kMicrosecond);

} // namespace
