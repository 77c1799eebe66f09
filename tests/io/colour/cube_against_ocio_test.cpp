// Every LUT we write is read back and evaluated by OpenColorIO.
#include "core/facts/evaluation.h"
#include "io/colour/clf_file.h"
#include "io/colour/lut_file.h"
#include "io/json/shoot_json.h"
#include "io/system/files.h"
#include "io/text/cube_file.h"
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
        const auto exact = bslate::apply(lut, in);
        for (std::size_t c = 0; c < 3; ++c)
            worst = std::max(worst, std::abs(exact[c] - static_cast<double>(rgb[c])));
    }
    EXPECT_LT(worst, 2e-5);
}

INSTANTIATE_TEST_SUITE_P(Written, CubeSizes, ::testing::Values(17, 33, 65));

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

Look eveningLook() {
    return {SoftHighlight{0.78, 0.28, 0.15, 0.02}, {0.85, {0.2, 0, 0, 0.3, 0.3, 0}, -2}};
}

struct ClfCase {
    const char* name;
    Curve curve;
    bool look;
    double allowed;
};

class ClfFile : public ::testing::TestWithParam<ClfCase> {};

// Read back by the library over colours of every kind, not only where the tables have points.
TEST_P(ClfFile, AgreesOverTheWholeCube) {
    const TemporaryFolder folder;
    RatingLut lut{GetParam().curve, gamutBt2020(), Stops(-1), {}};
    if (GetParam().look)
        lut.look = eveningLook();
    const auto text = clfText(lut, {"title", {"first", "second"}});
    ASSERT_TRUE(text.ok()) << message(text.error());
    EXPECT_NE(text->find("<Description>first</Description>"), std::string::npos);
    ASSERT_TRUE(writeFileAtomically(folder / "a.clf", *text));
    const auto cpu = readByLibrary(folder / "a.clf");
    std::mt19937 random(3);
    double worst = 0;
    for (int i = 0; i < 3000; ++i) {
        std::array<double, 3> in{};
        float rgb[3];
        for (std::size_t c = 0; c < 3; ++c) {
            in[c] = static_cast<double>(random() % 1000) / 999.0;
            rgb[c] = static_cast<float>(in[c]);
        }
        cpu->applyRGB(rgb);
        const auto exact = bslate::apply(lut, in);
        for (std::size_t c = 0; c < 3; ++c)
            worst = std::max(worst, std::abs(exact[c] - static_cast<double>(rgb[c])));
    }
    EXPECT_LT(worst, GetParam().allowed);
}

INSTANTIATE_TEST_SUITE_P(Written, ClfFile,
                         ::testing::Values(ClfCase{"log", wideLut().curve, false, 1e-3},
                                           ClfCase{"hlg", hlg(), false, 1e-3},
                                           ClfCase{"look", wideLut().curve, true, 1.5e-2}),
                         [](const auto& at) { return at.param.name; });

// On a log signal the rating is an offset: 0.0735 * log2(2^-1) = -0.0735. Far above the straight
// part the library's corrected signal is the one that half the light gives.
TEST(CdlFile, CarriesTheRatingBothWays) {
    const TemporaryFolder folder;
    RatingLut lut = wideLut();
    lut.look = eveningLook();
    const LutNote note{"title", {"Rating undone", "Output: nothing"}};
    ASSERT_TRUE(writeFileAtomically(folder / "a.ccc", *cdlText(lut, CdlForm::Collection, note)));
    const auto through = [&](const char* file, const char* id, double value) {
        auto transform = ocio::FileTransform::Create();
        transform->setSrc((folder / file).c_str());
        transform->setCCCId(id);
        const auto cpu =
            ocio::Config::CreateRaw()->getProcessor(transform)->getDefaultCPUProcessor();
        float rgb[3] = {static_cast<float>(value), static_cast<float>(value),
                        static_cast<float>(value)};
        cpu->applyRGB(rgb);
        return static_cast<double>(rgb[0]);
    };
    EXPECT_NEAR(through("a.ccc", "rating-linear", 0.36), 0.18, 1e-6);
    const double bright = encode(lut.curve, SceneLinear(2.0)).value();
    EXPECT_NEAR(through("a.ccc", "rating-log", bright), encode(lut.curve, SceneLinear(1.0)).value(),
                1e-3);
    EXPECT_NEAR(through("a.ccc", "rating-log", 0.5), 0.5 - 0.0735, 1e-6);
    auto saturation =
        ocio::CDLTransform::CreateFromFile((folder / "a.ccc").c_str(), "look-saturation");
    EXPECT_NEAR(saturation->getSat(), 0.85, 1e-9);
    ASSERT_TRUE(writeFileAtomically(folder / "a.cc", *cdlText(lut, CdlForm::Correction, note)));
    EXPECT_NEAR(through("a.cc", "", 0.5), 0.5 - 0.0735, 1e-6) << "the log signal comes first";
    RatingLut plain = lut;
    plain.curve = bt709();
    ASSERT_TRUE(writeFileAtomically(folder / "b.cc", *cdlText(plain, CdlForm::Correction, note)));
    EXPECT_NEAR(through("b.cc", "", 0.36), 0.18, 1e-6) << "no log signal: scene-linear light";
    const auto list = cdlText(lut, CdlForm::DecisionList, note);
    ASSERT_TRUE(list.ok());
    EXPECT_NE(list->find("<ColorDecisionList"), std::string::npos);
    EXPECT_EQ(list->find("Output"), std::string::npos) << "a CDL has no output curve to speak of";
}

TEST(LookLut, IsNamedAndUnknownOnesAreRefused) {
    Shoot shoot = sample::shoot();
    shoot.kit.recipes = {{"dusk", "Dusk on the quay", eveningLook(), {}}};
    const auto text = lutText(shoot, shoot.setups[0], LutFormat::Cube17, "dusk");
    ASSERT_TRUE(text.ok());
    EXPECT_NE(text->find("to Dusk on the quay"), std::string::npos);
    EXPECT_NE(text->find("LUT_3D_SIZE 17"), std::string::npos);
    const auto refused = lutText(shoot, shoot.setups[0], LutFormat::Clf, "dawn");
    ASSERT_FALSE(refused.ok());
    EXPECT_EQ(refused.error().expected, "one of dusk");
    for (const auto format : {LutFormat::Cube65, LutFormat::Clf, LutFormat::Cdl,
                              LutFormat::CdlCollection, LutFormat::CdlDecisionList})
        EXPECT_EQ(formatOfSuffix(suffixOf(format)),
                  format == LutFormat::Cube65 ? LutFormat::Cube33 : format);
}

} // namespace
} // namespace bslate::io
