// Every LUT we write is read back and evaluated by OpenColorIO.
#include "core/verdict/evaluation.h"
#include "io/cube_file.h"
#include "io/files.h"
#include "io/lut_file.h"
#include "io/shoot_json.h"
#include "support/library_log.h"
#include "support/sample_shoot.h"
#include "support/temporary_folder.h"

#include <OpenColorIO/OpenColorIO.h>
#include <gtest/gtest.h>

#include <cmath>
#include <random>

namespace ocio = OCIO_NAMESPACE;

namespace bslate::io {
namespace {

using sample::TemporaryFolder;

ocio::ConstCPUProcessorRcPtr readByLibrary(const std::filesystem::path& file) {
    auto transform = ocio::FileTransform::Create();
    transform->setSrc(file.c_str());
    transform->setInterpolation(ocio::INTERP_LINEAR);
    return ocio::Config::CreateRaw()->getProcessor(transform)->getOptimizedCPUProcessor(
        ocio::OPTIMIZATION_LOSSLESS);
}

RatingLut wideLut() {
    const Curve curve{CameraLog{2, 0.0735, 0.4, 6, 0.05, 0.01, std::nullopt}, CodeRange::Full, {}};
    return {curve, gamutBt2020(), Stops(-1)};
}

class CubeSizes : public ::testing::TestWithParam<std::size_t> {};

TEST_P(CubeSizes, AgreesAtItsGridPoints) {
    const TemporaryFolder folder;
    const std::size_t n = GetParam();
    const auto lut = wideLut();
    ASSERT_TRUE(
        writeFileAtomically(folder / "a.cube", cube3d(lut, n, {"title \"x\"\n", {"a", "b"}})));
    const auto cpu = readByLibrary(folder / "a.cube");
    std::mt19937 random(1);
    double worst = 0;
    for (int i = 0; i < 3000; ++i) {
        std::array<double, 3> in{};
        float rgb[3];
        for (std::size_t c = 0; c < 3; ++c) {
            in[c] = static_cast<double>(random() % n) / static_cast<double>(n - 1);
            rgb[c] = static_cast<float>(in[c]);
        }
        cpu->applyRGB(rgb);
        const auto exact = apply(lut, in);
        for (std::size_t c = 0; c < 3; ++c)
            worst = std::max(worst, std::abs(exact[c] - static_cast<double>(rgb[c])));
    }
    EXPECT_LT(worst, 2e-5);
}

INSTANTIATE_TEST_SUITE_P(Written, CubeSizes, ::testing::Values(33, 65));

TEST(Cube1d, AgreesOverTheWholeRange) {
    const TemporaryFolder folder;
    RatingLut lut = wideLut();
    ASSERT_TRUE(writeFileAtomically(folder / "a.cube", cube1d(lut, 4096, {"neutral", {}})));
    const auto cpu = readByLibrary(folder / "a.cube");
    double worst = 0;
    for (double x = 0; x <= 1; x += 0.0007) {
        float rgb[3] = {static_cast<float>(x), static_cast<float>(x), static_cast<float>(x)};
        cpu->applyRGB(rgb);
        worst = std::max(worst, std::abs(apply(lut, {x, x, x})[1] - static_cast<double>(rgb[1])));
    }
    EXPECT_LT(worst, 2e-5);
}

// The same transform built by the library out of its own parts: log to linear, the rating as a
// matrix, then our documented display as BT.709 where the two are the same (up to 60 %).
TEST(RatingLutFile, AgreesWithTheTransformBuiltInTheLibrary) {
    auto log = sample::libraryLog(std::get<CameraLog>(wideLut().curve.family));
    log->setDirection(ocio::TRANSFORM_DIR_INVERSE);
    auto half = ocio::MatrixTransform::Create();
    const double scale[16] = {0.5, 0, 0, 0, 0, 0.5, 0, 0, 0, 0, 0.5, 0, 0, 0, 0, 1};
    half->setMatrix(scale);
    auto display = ocio::ExponentWithLinearTransform::Create();
    const double gamma[4] = {1 / 0.45, 1 / 0.45, 1 / 0.45, 1}, toe[4] = {0.099, 0.099, 0.099, 0};
    display->setGamma(gamma);
    display->setOffset(toe);
    display->setDirection(ocio::TRANSFORM_DIR_INVERSE);
    auto group = ocio::GroupTransform::Create();
    group->appendTransform(log);
    group->appendTransform(half);
    group->appendTransform(display);
    const auto cpu = ocio::Config::CreateRaw()->getProcessor(group)->getDefaultCPUProcessor();
    RatingLut lut = wideLut();
    lut.gamut = gamutBt709();
    for (double x = 0.12; x < 0.59; x += 0.01) {
        float rgb[3] = {static_cast<float>(x), static_cast<float>(x), static_cast<float>(x)};
        cpu->applyRGB(rgb);
        const auto ours = apply(lut, {x, x, x})[0];
        if (ours < 0.77)
            EXPECT_NEAR(static_cast<double>(rgb[0]), ours, 1e-3) << x;
    }
}

TEST(RatingLutFile, SaysWhatItIsAndFollowsTheSetup) {
    Shoot shoot = sample::shoot();
    shoot.setups[0].rating = ExposureIndex(400);
    const auto text = lutText(shoot, shoot.setups[0], LutFormat::Cube33);
    ASSERT_TRUE(text.ok());
    EXPECT_EQ(text->find("TITLE \"sample 2A index EI 400 to BT.709\""), 0u);
    EXPECT_NE(text->find("Rating undone: -1.0 stops"), std::string::npos);
    EXPECT_NE(text->find("LUT_3D_SIZE 33"), std::string::npos);
    EXPECT_EQ(std::count(text->begin(), text->end(), '\n'), 33 * 33 * 33 + 8);
    shoot.setups[0].profile = "gone";
    EXPECT_FALSE(lutText(shoot, shoot.setups[0], LutFormat::Cube33).ok());
}

} // namespace
} // namespace bslate::io
