#include "core/facts/evaluate.h"
#include "core/frame/frame_made.h"
#include "core/frame/sample_frame.h"
#include "core/frame/scene_picture.h"
#include "io/json/shoot_json.h"

#include <benchmark/benchmark.h>

#include <cstring>

namespace {

using namespace bslate;

constexpr PictureSize kUhd{3840, 2160}, kHd{1280, 720};

void instrumentsOf4k(benchmark::State& state) {
    const auto frame = sample::randomFrame(kUhd, BitDepth{10}, 4);
    const InstrumentWish wish{{}, 512, ZebraBand{Level(70), Level(110)}};
    for (auto _ : state)
        benchmark::DoNotOptimize(measure(frame, wish));
}
BENCHMARK(instrumentsOf4k)->Unit(benchmark::kMillisecond)->UseRealTime();

// The same memory copied: what no instrument can beat.
void copyOf4k(benchmark::State& state) {
    const auto frame = sample::randomFrame(kUhd, BitDepth{10}, 4);
    auto copy = frame;
    for (auto _ : state) {
        for (std::size_t c = 0; c < 3; ++c)
            std::memcpy(copy.codes.plane[c].data(), frame.codes.plane[c].data(),
                        frame.codes.plane[c].size() * sizeof(std::uint16_t));
        benchmark::ClobberMemory();
    }
}
BENCHMARK(copyOf4k)->Unit(benchmark::kMillisecond)->UseRealTime();

struct Stage {
    Shoot shoot = *io::loadShoot(BSLATE_ROOT "/data/demo/slack-water.bslate");
    SetupContext context = *resolve(shoot, shoot.setups[1]);
    Evaluation at = evaluate(context);
    std::vector<Surface> surfaces = surfacesOf(*context.scene, shoot.kit, shoot.meter);
};

void lightToSignalOf720(benchmark::State& state) {
    const Stage stage;
    const auto light = paintScene(stage.surfaces, kHd);
    for (auto _ : state)
        benchmark::DoNotOptimize(recordScene(stage.context, stage.at, light, {1, true}));
}
BENCHMARK(lightToSignalOf720)->Unit(benchmark::kMillisecond)->UseRealTime();

void paintedSceneOf720(benchmark::State& state) {
    const Stage stage;
    for (auto _ : state)
        benchmark::DoNotOptimize(paintScene(stage.surfaces, kHd));
}
BENCHMARK(paintedSceneOf720)->Unit(benchmark::kMillisecond)->UseRealTime();

void gradedOf720(benchmark::State& state) {
    const Stage stage;
    FrameWish wish;
    wish.size = kHd;
    const auto frame = makeFrame(stage.context, stage.at, wish);
    for (auto _ : state)
        benchmark::DoNotOptimize(shownStage(stage.context, stage.at, frame, FrameStage::Grade));
}
BENCHMARK(gradedOf720)->Unit(benchmark::kMillisecond)->UseRealTime();

} // namespace
