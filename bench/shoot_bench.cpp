// Opening and saving a shoot of 2 000 setups.
#include "io/json/shoot_json.h"
#include "support/sample_shoot.h"

#include <benchmark/benchmark.h>

namespace {

using namespace bslate;

Shoot hugeShoot() {
    Shoot shoot = sample::shoot();
    const auto first = shoot.setups[0];
    shoot.setups.clear();
    for (int i = 0; i < 2000; ++i) {
        shoot.setups.push_back(first);
        shoot.setups.back().id = "s" + std::to_string(i);
    }
    return shoot;
}

void readHugeShoot(benchmark::State& state) {
    const auto text = io::writeShoot(hugeShoot());
    for (auto _ : state)
        benchmark::DoNotOptimize(io::readShoot(text, "huge", {}));
    state.counters["bytes"] = static_cast<double>(text.size());
}
BENCHMARK(readHugeShoot)->Unit(benchmark::kMillisecond);

void writeHugeShoot(benchmark::State& state) {
    const auto shoot = hugeShoot();
    for (auto _ : state)
        benchmark::DoNotOptimize(io::writeShoot(shoot));
}
BENCHMARK(writeHugeShoot)->Unit(benchmark::kMillisecond);

} // namespace
