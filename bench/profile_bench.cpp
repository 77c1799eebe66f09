// Frames, fits, LUTs and imports of profiles; frames side by side with OpenColorIO.
#include "core/signal/exposure_series.h"
#include "core/signal/frame_encode.h"
#include "core/signal/rating_lut.h"
#include "io/colour/transform_file.h"
#include "io/system/files.h"
#include "io/text/cube_file.h"
#include "support/library_log.h"

#include <OpenColorIO/OpenColorIO.h>
#include <benchmark/benchmark.h>

#include <cmath>
#include <filesystem>
#include <random>

namespace ocio = OCIO_NAMESPACE;

namespace {

using namespace bslate;

constexpr long kWidth = 3840, kHeight = 2160;

const Curve kCurve{CameraLog{2, 0.0735, 0.4, 6, 0.05, 0.01, std::nullopt}, CodeRange::Full, {}};

// Scene light over eighteen stops, every pixel another.
const std::vector<float>& frame() {
    static const auto pixels = [] {
        std::vector<float> light(static_cast<std::size_t>(kWidth * kHeight * 3));
        std::mt19937 random(1);
        for (float& value : light)
            value = 0.18f * std::exp2(static_cast<float>(random() % 18000) / 1000.0f - 10.0f);
        return light;
    }();
    return pixels;
}

void frameOurs(benchmark::State& state) {
    const auto matrix = convert(gamutBt709(), gamutBt2020());
    const auto& light = frame();
    std::vector<float> out(light.size());
    for (auto _ : state) {
        encodeFrame(kCurve, matrix, light, out);
        benchmark::ClobberMemory();
    }
}
BENCHMARK(frameOurs)->Unit(benchmark::kMillisecond);

void frameLibrary(benchmark::State& state) {
    const auto gamut = convert(gamutBt709(), gamutBt2020());
    double m[16] = {};
    for (std::size_t row = 0; row < 3; ++row)
        for (std::size_t column = 0; column < 3; ++column)
            m[row * 4 + column] = gamut[row][column];
    m[15] = 1;
    auto matrix = ocio::MatrixTransform::Create();
    matrix->setMatrix(m);
    auto group = ocio::GroupTransform::Create();
    group->appendTransform(matrix);
    group->appendTransform(sample::libraryLog(std::get<CameraLog>(kCurve.family)));
    const auto cpu = ocio::Config::CreateRaw()->getProcessor(group)->getOptimizedCPUProcessor(
        ocio::BIT_DEPTH_F32, ocio::BIT_DEPTH_F32, ocio::OPTIMIZATION_DEFAULT);
    auto light = frame();
    std::vector<float> out(light.size());
    const ocio::PackedImageDesc from(light.data(), kWidth, kHeight, 3);
    ocio::PackedImageDesc to(out.data(), kWidth, kHeight, 3);
    for (auto _ : state) {
        cpu->apply(from, to);
        benchmark::ClobberMemory();
    }
    std::vector<float> ours(light.size());
    encodeFrame(kCurve, gamut, light, ours);
    double worst = 0;
    for (std::size_t i = 0; i < out.size(); ++i)
        worst =
            std::max(worst, std::abs(static_cast<double>(out[i]) - static_cast<double>(ours[i])));
    state.counters["worst_difference"] = worst;
}
BENCHMARK(frameLibrary)->Unit(benchmark::kMillisecond);

void fitReadings(benchmark::State& state) {
    std::vector<SeriesReading> readings;
    std::mt19937 random(2);
    std::normal_distribution<double> scatter(0, 0.0005);
    for (int i = 0; i < 200; ++i) {
        const double stops = -9 + 0.08 * i;
        const double signal =
            std::min(0.83, encode(kCurve, linearAt(Stops(stops + 0.1))).value() + scatter(random));
        readings.push_back({Stops(stops), {Signal(signal), Signal(signal), Signal(signal)}, {}});
    }
    for (auto _ : state)
        benchmark::DoNotOptimize(fitSeries(readings, CodeRange::Full, kCurve).ok());
}
BENCHMARK(fitReadings)->Unit(benchmark::kMillisecond);

void lut65(benchmark::State& state) {
    const RatingLut lut{kCurve, gamutBt2020(), Stops(-1), std::nullopt};
    for (auto _ : state)
        benchmark::DoNotOptimize(sampleCube(lut, 65));
}
BENCHMARK(lut65)->Unit(benchmark::kMillisecond);

void lut65Text(benchmark::State& state) {
    const RatingLut lut{kCurve, gamutBt2020(), Stops(-1), std::nullopt};
    for (auto _ : state)
        benchmark::DoNotOptimize(io::cube3d(lut, 65, {"title", {}}));
}
BENCHMARK(lut65Text)->Unit(benchmark::kMillisecond);

void lut65Look(benchmark::State& state) {
    const RatingLut lut{kCurve, gamutBt2020(), Stops(-1),
                        Look{{0.78, 0.28, 0.2, 0.0}, {0.9, {0, 0, 0, 0.2, 0.3, 0}, 0}}};
    for (auto _ : state)
        benchmark::DoNotOptimize(sampleCube(lut, 65));
}
BENCHMARK(lut65Look)->Unit(benchmark::kMillisecond);

std::filesystem::path cubeFile() {
    const auto path = std::filesystem::temp_directory_path() / "bslate-bench.cube";
    std::string text = "LUT_3D_SIZE 65\n";
    std::vector<std::string> axis;
    for (int i = 0; i < 65; ++i)
        axis.push_back(std::to_string(decode(kCurve, Signal(i / 64.0)).value()));
    for (const auto& blue : axis)
        for (const auto& green : axis)
            for (const auto& red : axis)
                text += red + " " + green + " " + blue + "\n";
    (void)io::writeFileAtomically(path, text).ok();
    return path;
}

void importCube65(benchmark::State& state) {
    const auto path = cubeFile();
    for (auto _ : state) {
        ocio::ClearAllCaches(); // the library keeps files it has read
        benchmark::DoNotOptimize(io::importTransform(path).ok());
    }
    std::filesystem::remove(path);
}
BENCHMARK(importCube65)->Unit(benchmark::kMillisecond);

// The library alone: the file read and applied to one colour.
void readCube65Library(benchmark::State& state) {
    const auto path = cubeFile();
    for (auto _ : state) {
        ocio::ClearAllCaches();
        auto file = ocio::FileTransform::Create();
        file->setSrc(path.c_str());
        const auto cpu = ocio::Config::CreateRaw()->getProcessor(file)->getDefaultCPUProcessor();
        float rgb[3] = {0.4f, 0.4f, 0.4f};
        cpu->applyRGB(rgb);
        benchmark::DoNotOptimize(rgb);
    }
    std::filesystem::remove(path);
}
BENCHMARK(readCube65Library)->Unit(benchmark::kMillisecond);

} // namespace
