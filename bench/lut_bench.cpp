// The 33-point rating LUT, against the same transform sampled through OpenColorIO.
#include "core/signal/rating_lut.h"
#include "support/library_log.h"

#include <OpenColorIO/OpenColorIO.h>
#include <benchmark/benchmark.h>

#include <cmath>

namespace ocio = OCIO_NAMESPACE;

namespace {

using namespace bslate;

constexpr std::size_t kSize = 33;

RatingLut demoLut() {
    const Curve curve{CameraLog{2, 0.0735, 0.4, 6, 0.05, 0.01, std::nullopt}, CodeRange::Full, {}};
    return {curve, gamutBt2020(), Stops(-1)};
}

void ours(benchmark::State& state) {
    const auto lut = demoLut();
    for (auto _ : state)
        benchmark::DoNotOptimize(sampleCube(lut, kSize));
}
BENCHMARK(ours)->Unit(benchmark::kMillisecond);

ocio::ConstProcessorRcPtr libraryProcessor() {
    auto log = sample::libraryLog(std::get<CameraLog>(demoLut().curve.family));
    log->setDirection(ocio::TRANSFORM_DIR_INVERSE);
    const auto gamut = convert(gamutBt2020(), gamutBt709());
    double m[16] = {};
    for (std::size_t row = 0; row < 3; ++row)
        for (std::size_t column = 0; column < 3; ++column)
            m[row * 4 + column] = 0.5 * gamut[row][column];
    m[15] = 1;
    auto matrix = ocio::MatrixTransform::Create();
    matrix->setMatrix(m);
    // The display with its roll-off has no formula there: a half-domain 1D LUT is the library's
    // way to carry it exactly.
    auto display = ocio::Lut1DTransform::Create(65536, true);
    for (unsigned long i = 0; i < 65536; ++i) {
        float r = 0, g = 0, b = 0;
        display->getValue(i, r, g, b);
        const float y =
            std::isfinite(r) ? static_cast<float>(displaySignal(SceneLinear(r)).value()) : 0.0f;
        display->setValue(i, y, y, y);
    }
    auto group = ocio::GroupTransform::Create();
    group->appendTransform(log);
    group->appendTransform(matrix);
    group->appendTransform(display);
    return ocio::Config::CreateRaw()->getProcessor(group);
}

void sampleThrough(const ocio::ConstCPUProcessorRcPtr& cpu, std::vector<float>& rgb) {
    std::size_t at = 0;
    for (std::size_t b = 0; b < kSize; ++b)
        for (std::size_t g = 0; g < kSize; ++g)
            for (std::size_t r = 0; r < kSize; ++r)
                for (const auto step : {r, g, b})
                    rgb[at++] = static_cast<float>(step) / (kSize - 1);
    ocio::PackedImageDesc image(rgb.data(), static_cast<long>(kSize * kSize * kSize), 1, 3);
    cpu->apply(image);
}

void libraryFromParameters(benchmark::State& state) {
    std::vector<float> rgb(kSize * kSize * kSize * 3);
    for (auto _ : state) {
        sampleThrough(libraryProcessor()->getDefaultCPUProcessor(), rgb);
        benchmark::DoNotOptimize(rgb.data());
    }
}
BENCHMARK(libraryFromParameters)->Unit(benchmark::kMillisecond);

void librarySamplingOnly(benchmark::State& state) {
    const auto cpu = libraryProcessor()->getDefaultCPUProcessor();
    std::vector<float> rgb(kSize * kSize * kSize * 3);
    for (auto _ : state) {
        sampleThrough(cpu, rgb);
        benchmark::DoNotOptimize(rgb.data());
    }
}
BENCHMARK(librarySamplingOnly)->Unit(benchmark::kMillisecond);

} // namespace
