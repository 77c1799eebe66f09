// The search for safe shutters, beside the same sums with a sine for every harmonic and angle.
#include "core/cadence/safe_shutter.h"
#include "core/judgement/judge.h"
#include "io/json/shoot_json.h"

#include <benchmark/benchmark.h>

namespace {

using namespace bslate;

std::vector<PulsedLight> eightMeasured() {
    std::vector<PulsedLight> lights(8);
    for (std::size_t i = 0; i < lights.size(); ++i) {
        lights[i].waveform = Waveform::Harmonics;
        lights[i].frequency = Hertz(100.0 * static_cast<double>(1 + i % 4));
        lights[i].share = Fraction(1.0 / 8);
        for (int order = 1; order <= 32; ++order)
            lights[i].harmonics.push_back({order, Fraction(0.8 / (order * order))});
    }
    return lights;
}

const FrameRate kFilm{Rational(24, 1)};

void pulsingAt3600Angles(benchmark::State& state) {
    const auto lights = eightMeasured();
    for (auto _ : state)
        benchmark::DoNotOptimize(pulsingByAngle(lights, kFilm));
}
BENCHMARK(pulsingAt3600Angles)->Unit(benchmark::kMillisecond);

void safeShuttersOfEightLamps(benchmark::State& state) {
    const auto lights = eightMeasured();
    std::size_t found = 0;
    for (auto _ : state) {
        const auto safe = safeShutters(lights, kFilm);
        found = safe.size();
        benchmark::DoNotOptimize(safe);
    }
    state.counters["found"] = static_cast<double>(found);
}
BENCHMARK(safeShuttersOfEightLamps)->Unit(benchmark::kMillisecond);

// The reference: every angle on its own.
void everyAngleOnItsOwn(benchmark::State& state) {
    const auto lights = eightMeasured();
    for (auto _ : state)
        for (int i = 1; i <= 3600; ++i)
            benchmark::DoNotOptimize(
                peakToPeak(swing(lights, exposureTime(ShutterAngle(0.1 * i), kFilm))));
}
BENCHMARK(everyAngleOnItsOwn)->Unit(benchmark::kMillisecond);

void safeShuttersOfOneTube(benchmark::State& state) {
    const std::vector<PulsedLight> tube(1);
    for (auto _ : state)
        benchmark::DoNotOptimize(safeShutters(tube, kFilm));
}
BENCHMARK(safeShuttersOfOneTube)->Unit(benchmark::kMicrosecond);

void judgedUnderPulsingTubes(benchmark::State& state) {
    const auto shoot =
        io::loadShoot(std::string(BSLATE_ROOT) + "/data/demo/slack-water.bslate").valueOr({});
    const Setup* tubes = nullptr;
    for (const auto& setup : shoot.setups)
        if (setup.number == "3A")
            tubes = &setup;
    for (auto _ : state)
        benchmark::DoNotOptimize(judge(shoot, *tubes));
}
BENCHMARK(judgedUnderPulsingTubes)->Unit(benchmark::kMicrosecond);

} // namespace
