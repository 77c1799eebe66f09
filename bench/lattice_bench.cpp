// The mode lattice, kits of many cameras, and a brief field that changes under fifty setups.
#include "core/facts/lattice.h"
#include "core/judgement/judge.h"
#include "io/json/kit_json.h"
#include "io/json/shoot_json.h"
#include "support/sample_recording.h"

#include <benchmark/benchmark.h>
#include <nlohmann/json.hpp>

namespace {

using namespace bslate;

// 400 modes over two codecs and two areas, eight rates; a third of the cells are closed.
sample::Bench manyModes() {
    sample::Bench bench;
    const auto pattern = bench.camera.modes;
    bench.camera.modes.clear();
    for (int i = 0; i < 400; ++i) {
        auto mode = pattern[static_cast<std::size_t>(i) % pattern.size()];
        mode.id += std::to_string(i);
        mode.frame.width = 1920 + 16 * (i / 4);
        for (const int rate : {25, 30, 48, 50, 96, 100})
            if ((i + rate) % 3)
                mode.rates.push_back({sample::fps(rate), DataRate(4e6 * rate)});
        bench.camera.modes.push_back(std::move(mode));
    }
    bench.camera.constraints = {{"mute",
                                 {{SettingKey::Rate, {}, SettingValue(sample::fps(96)), {}}},
                                 ConstraintKind::Requires,
                                 {{SettingKey::Sound, {"off"}, {}, {}}},
                                 "no sound above 60",
                                 {}}};
    return bench;
}

void latticeOf400Modes(benchmark::State& state) {
    const auto bench = manyModes();
    std::size_t cells = 0;
    for (auto _ : state) {
        const auto lattice = latticeOf(bench.question());
        cells = lattice.rates.size() * bench.camera.modes.size();
        benchmark::DoNotOptimize(lattice);
    }
    state.counters["cells"] = static_cast<double>(cells);
}
BENCHMARK(latticeOf400Modes)->Unit(benchmark::kMillisecond);

std::string hugeKit() {
    auto kit =
        io::loadKit(std::string(BSLATE_ROOT) + "/data/demo/slack-water.bskit.json").valueOr({});
    const auto cameras = kit.cameras;
    while (kit.cameras.size() < 200) {
        kit.cameras.push_back(cameras[kit.cameras.size() % cameras.size()]);
        kit.cameras.back().id += std::to_string(kit.cameras.size());
    }
    return io::writeKit(kit);
}

void readKitOf200Cameras(benchmark::State& state) {
    const auto text = hugeKit();
    for (auto _ : state)
        benchmark::DoNotOptimize(io::readKit(text, "huge"));
    state.counters["bytes"] = static_cast<double>(text.size());
}
BENCHMARK(readKitOf200Cameras)->Unit(benchmark::kMillisecond);

// The reference: the JSON library alone on the same text, with nothing checked or built.
void parseJsonOf200Cameras(benchmark::State& state) {
    const auto text = hugeKit();
    for (auto _ : state)
        benchmark::DoNotOptimize(nlohmann::ordered_json::parse(text));
}
BENCHMARK(parseJsonOf200Cameras)->Unit(benchmark::kMillisecond);

void briefChangeUnder50Setups(benchmark::State& state) {
    auto shoot =
        io::loadShoot(std::string(BSLATE_ROOT) + "/data/demo/slack-water.bslate").valueOr({});
    const auto setups = shoot.setups;
    while (shoot.setups.size() < 50) {
        shoot.setups.push_back(setups[shoot.setups.size() % setups.size()]);
        shoot.setups.back().id += std::to_string(shoot.setups.size());
    }
    for (auto _ : state) {
        shoot.brief.grade =
            shoot.brief.grade == GradeWeight::Full ? GradeWeight::Light : GradeWeight::Full;
        for (const auto& setup : shoot.setups)
            benchmark::DoNotOptimize(judge(shoot, setup));
    }
}
BENCHMARK(briefChangeUnder50Setups)->Unit(benchmark::kMillisecond);

} // namespace
