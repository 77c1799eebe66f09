// Whole frames against the reference library and against encode() itself.
#include "core/signal/frame_encode.h"
#include "support/library_log.h"

#include <OpenColorIO/OpenColorIO.h>
#include <gtest/gtest.h>

#include <cmath>
#include <random>

namespace ocio = OCIO_NAMESPACE;

namespace bslate {
namespace {

constexpr long kPixels = 1000; // not a multiple of a block

std::vector<float> light() {
    std::vector<float> values(3 * kPixels);
    std::mt19937 random(5);
    for (float& value : values)
        value = 0.18f * std::exp2(static_cast<float>(random() % 20000) / 1000.0f - 11.0f) -
                (random() % 50 == 0 ? 0.05f : 0.0f); // some below black, as matrices give
    return values;
}

struct Case {
    const char* name;
    CameraLog log;
};
class Frames : public ::testing::TestWithParam<Case> {};

TEST_P(Frames, AgreeWithTheLibraryAndWithEncode) {
    const Curve curve{GetParam().log, CodeRange::Full, {}};
    const auto gamut = convert(gamutBt709(), gamutBt2020());
    const auto in = light();
    std::vector<float> out(in.size());
    encodeFrame(curve, gamut, in, out);
    double m[16] = {};
    m[15] = 1;
    for (std::size_t row = 0; row < 3; ++row)
        for (std::size_t column = 0; column < 3; ++column)
            m[4 * row + column] = gamut[row][column];
    auto matrix = ocio::MatrixTransform::Create();
    matrix->setMatrix(m);
    auto log = sample::libraryLog(GetParam().log);
    if (GetParam().log.linearSlope) {
        const double slope = *GetParam().log.linearSlope, slopes[3] = {slope, slope, slope};
        log->setLinearSlopeValue(slopes);
    }
    auto group = ocio::GroupTransform::Create();
    group->appendTransform(matrix);
    group->appendTransform(log);
    auto library = in;
    ocio::PackedImageDesc image(library.data(), kPixels, 1, 3);
    ocio::Config::CreateRaw()->getProcessor(group)->getDefaultCPUProcessor()->apply(image);
    for (std::size_t i = 0; i < in.size(); ++i) {
        EXPECT_NEAR(out[i], library[i], 1e-4) << i;
        const std::size_t at = i - i % 3;
        double mixed = 0;
        for (std::size_t k = 0; k < 3; ++k)
            mixed += gamut[i % 3][k] * static_cast<double>(in[at + k]);
        EXPECT_NEAR(out[i], encode(curve, SceneLinear(mixed)).value(), 5e-6) << mixed;
    }
}

INSTANTIATE_TEST_SUITE_P(Curves, Frames,
                         ::testing::Values(Case{"smooth", {2, 0.0735, 0.4, 6, 0.05, 0.01, {}}},
                                           Case{"tens", {10, 0.25, 0.39, 5.5, 0.06, 0.01, 5.0}}),
                         [](const auto& at) { return at.param.name; });

TEST(Frame, AnyCurveInPlaceAndNothingBecomesSomething) {
    auto pixels = light();
    pixels[4] = NAN;
    const auto before = pixels;
    encodeFrame(bt709(), Matrix3{{{1, 0, 0}, {0, 1, 0}, {0, 0, 1}}}, pixels, pixels);
    for (std::size_t i = 9; i < pixels.size(); ++i)
        EXPECT_NEAR(pixels[i], encode(bt709(), SceneLinear(before[i])).value(), 1e-5);
    auto log = before;
    encodeFrame(acescct(), Matrix3{{{1, 0, 0}, {0, 1, 0}, {0, 0, 1}}}, log, log);
    EXPECT_TRUE(std::isnan(log[4]));
    std::vector<float> none;
    encodeFrame(acescct(), Matrix3{}, none, none);
}

} // namespace
} // namespace bslate
