#include "bench/media_filters.h"
#include "core/facts/evaluate.h"
#include "core/frame/frame_made.h"
#include "core/frame/scene_picture.h"
#include "core/frame/ycbcr.h"
#include "core/signal/frame_encode.h"
#include "io/json/shoot_json.h"
#include "support/library_log.h"

#include <benchmark/benchmark.h>

#include <cstring>

namespace {

using namespace bslate;

constexpr PictureSize kUhd{3840, 2160}, kHd{1280, 720};

struct Stage {
    Shoot shoot = *io::loadShoot(BSLATE_ROOT "/data/demo/slack-water.bslate");
    SetupContext context = *resolve(shoot, shoot.setups[1]);
    Evaluation at = evaluate(context);
    std::vector<Surface> surfaces = surfacesOf(*context.scene, shoot.kit, shoot.meter);
};

// A scene as it is recorded, which is what instruments are looked at on.
CodeFrame recordedUhd() {
    const Stage stage;
    return recordScene(stage.context, stage.at, paintScene(stage.surfaces, kUhd), {1, true}).frame;
}

void instrumentsOf4k(benchmark::State& state) {
    const auto frame = recordedUhd();
    const InstrumentWish wish{{}, 256, ZebraBand{Level(70), Level(110)}};
    for (auto _ : state)
        benchmark::DoNotOptimize(measure(frame, wish));
}
BENCHMARK(instrumentsOf4k)->Unit(benchmark::kMillisecond)->UseRealTime();

// The same of the media library: waveforms and histograms of three planes, and a colour picture.
void mediaFiltersOf4k(benchmark::State& state) {
    bench::MediaFilters filters(
        ycbcrOf(recordedUhd(), Chroma::C444, {}),
        "split=3[a][b][c];[a]waveform=components=7,buffersink;[b]histogram,buffersink;"
        "[c]vectorscope,buffersink",
        3);
    if (!filters.isFine())
        return state.SkipWithError("the filters could not be put together");
    for (auto _ : state)
        if (!filters.run())
            return state.SkipWithError("a filter gave nothing");
}
BENCHMARK(mediaFiltersOf4k)->Unit(benchmark::kMillisecond)->UseRealTime();

// The same memory copied: what no instrument can beat.
void copyOf4k(benchmark::State& state) {
    const auto frame = recordedUhd();
    auto copy = frame;
    for (auto _ : state) {
        for (std::size_t c = 0; c < 3; ++c)
            std::memcpy(copy.codes.plane[c].data(), frame.codes.plane[c].data(),
                        frame.codes.plane[c].size() * sizeof(std::uint16_t));
        benchmark::ClobberMemory();
    }
}
BENCHMARK(copyOf4k)->Unit(benchmark::kMillisecond)->UseRealTime();

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

// Interleaved light of a 4K frame through a matrix and a camera log: ours on every core, the
// reference library's CPU path, and the same memory copied.
struct LogOf4k {
    Curve curve{CameraLog{2.0, 0.0735, 0.400, 6.0, 0.05, 0.01, std::nullopt}, CodeRange::Full,
                std::nullopt};
    Matrix3 matrix = convert(gamutBt2020(), gamutBt709());
    std::vector<float> light = std::vector<float>(3 * kUhd.pixels()), signal = light;
    LogOf4k() {
        for (std::size_t i = 0; i < light.size(); ++i)
            light[i] = 0.002f * static_cast<float>(i % 4001);
    }
};

void matrixAndCurveOf4k(benchmark::State& state) {
    LogOf4k of;
    for (auto _ : state) {
        overRows(kUhd.height, [&](int first, int behind) {
            const auto row = 3 * static_cast<std::size_t>(kUhd.width);
            const auto at = row * static_cast<std::size_t>(first);
            const auto size = row * static_cast<std::size_t>(behind - first);
            encodeFrame(of.curve, of.matrix, std::span(of.light).subspan(at, size),
                        std::span(of.signal).subspan(at, size));
        });
        benchmark::ClobberMemory();
    }
}
BENCHMARK(matrixAndCurveOf4k)->Unit(benchmark::kMillisecond)->UseRealTime();

void referenceLibraryOf4k(benchmark::State& state) {
    namespace OCIO = OCIO_NAMESPACE;
    LogOf4k of;
    const auto group = OCIO::GroupTransform::Create();
    const auto matrix = OCIO::MatrixTransform::Create();
    double values[16] = {};
    for (std::size_t i = 0; i < 9; ++i)
        values[(i / 3) * 4 + i % 3] = of.matrix[i / 3][i % 3];
    values[15] = 1;
    matrix->setMatrix(values);
    group->appendTransform(matrix);
    group->appendTransform(sample::libraryLog(std::get<CameraLog>(of.curve.family)));
    const auto processor = OCIO::Config::CreateRaw()->getProcessor(group)->getDefaultCPUProcessor();
    OCIO::PackedImageDesc from(of.light.data(), kUhd.width, kUhd.height, 3);
    OCIO::PackedImageDesc to(of.signal.data(), kUhd.width, kUhd.height, 3);
    for (auto _ : state)
        processor->apply(from, to);
}
BENCHMARK(referenceLibraryOf4k)->Unit(benchmark::kMillisecond)->UseRealTime();

void copyOfLight4k(benchmark::State& state) {
    LogOf4k of;
    for (auto _ : state) {
        std::memcpy(of.signal.data(), of.light.data(), of.light.size() * sizeof(float));
        benchmark::ClobberMemory();
    }
}
BENCHMARK(copyOfLight4k)->Unit(benchmark::kMillisecond)->UseRealTime();

} // namespace
