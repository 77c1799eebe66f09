// A second implementation: OpenColorIO evaluates the same published curves.
#include "core/signal/curve.h"
#include "support/library_log.h"

#include <OpenColorIO/OpenColorIO.h>
#include <gtest/gtest.h>

#include <cmath>
#include <cstring>

namespace ocio = OCIO_NAMESPACE;

namespace bslate {
namespace {

float through(const ocio::ConstCPUProcessorRcPtr& cpu, double x) {
    float rgb[3] = {static_cast<float>(x), static_cast<float>(x), static_cast<float>(x)};
    cpu->applyRGB(rgb);
    return rgb[1];
}

ocio::ConstCPUProcessorRcPtr processorOf(const ocio::ConstTransformRcPtr& transform) {
    return ocio::Config::CreateRaw()->getProcessor(transform)->getOptimizedCPUProcessor(
        ocio::OPTIMIZATION_LOSSLESS);
}

ocio::ConstCPUProcessorRcPtr cameraLog(const CameraLog& log) {
    return processorOf(sample::libraryLog(log));
}

void expectSameAsLibrary(const Curve& curve, const ocio::ConstCPUProcessorRcPtr& cpu) {
    double worst = 0;
    for (double stops = -10; stops <= 8; stops += 0.05) {
        const double x = linearAt(Stops(stops)).value();
        worst = std::max(worst, std::abs(encode(curve, SceneLinear(x)).value() -
                                         static_cast<double>(through(cpu, x))));
    }
    EXPECT_LT(worst, 2e-6) << "single precision of the library allows no better";
}

TEST(CurveAgainstOpenColorIO, CameraLogParameters) {
    const CameraLog demo{2.0, 0.0735, 0.400, 6.0, 0.05, 0.01, std::nullopt};
    expectSameAsLibrary({demo, CodeRange::Full, {}}, cameraLog(demo));
}

TEST(CurveAgainstOpenColorIO, AcescctAsParameters) {
    const auto curve = acescct();
    expectSameAsLibrary(curve, cameraLog(std::get<CameraLog>(curve.family)));
}

// The library's own ACEScct, independent of our constants: its built-in takes ACEScct (AP1) to
// ACES2065-1 (AP0); neutral values pass the matrix unchanged.
TEST(CurveAgainstOpenColorIO, AcescctBuiltIn) {
    auto builtIn = ocio::BuiltinTransform::Create();
    builtIn->setStyle("ACEScct_to_ACES2065-1");
    const auto cpu = processorOf(builtIn);
    for (double signal = 0.08; signal < 0.9; signal += 0.01) {
        const double linear = decode(acescct(), Signal(signal)).value();
        EXPECT_NEAR(through(cpu, signal), linear, 2e-5 * std::max(1.0, linear)) << signal;
    }
}

TEST(CurveAgainstOpenColorIO, AcesccBuiltIn) {
    auto builtIn = ocio::BuiltinTransform::Create();
    builtIn->setStyle("ACEScc_to_ACES2065-1");
    const auto cpu = processorOf(builtIn);
    for (double signal = -0.35; signal < 1.2; signal += 0.01) {
        const double linear = decode(acescc(), Signal(signal)).value();
        EXPECT_NEAR(through(cpu, signal), linear, 2e-5 * std::max(1.0, linear)) << signal;
    }
}

// sRGB as a power with a linear part. The library joins the two exactly, IEC 61966-2-1 with a
// slope rounded to 12.92, hence the 2e-5.
TEST(CurveAgainstOpenColorIO, Srgb) {
    auto moncurve = ocio::ExponentWithLinearTransform::Create();
    const double gamma[4] = {2.4, 2.4, 2.4, 1}, offset[4] = {0.055, 0.055, 0.055, 0};
    moncurve->setGamma(gamma);
    moncurve->setOffset(offset);
    moncurve->setDirection(ocio::TRANSFORM_DIR_INVERSE);
    const auto cpu = processorOf(moncurve);
    for (double x = 0; x <= 1; x += 0.003)
        EXPECT_NEAR(through(cpu, x), encode(srgb(), SceneLinear(x)).value(), 2e-5) << x;
}

// The library's PQ takes display light in units of 100 cd/m2; the levels of ITU-R BT.2408 table 1
// tie the scene to it.
TEST(CurveAgainstOpenColorIO, Pq) {
    auto builtIn = ocio::BuiltinTransform::Create();
    builtIn->setStyle("CURVE - LINEAR_to_ST-2084");
    const auto cpu = processorOf(builtIn);
    const auto displayed = [](double x) { // BT.2100 reference OOTF by hand, 203 cd/m2 at x = 1
        const double white = std::pow((std::pow(2.03, 1 / 2.4) + 0.099) / 1.099, 1 / 0.45);
        return 100 * std::pow(1.099 * std::pow(white * x, 0.45) - 0.099, 2.4);
    };
    for (double x = 0.01; x < 30; x *= 1.2)
        EXPECT_NEAR(through(cpu, displayed(x) / 100), encode(pq(), SceneLinear(x)).value(), 2e-5)
            << x;
    EXPECT_NEAR(displayed(0.18), 26, 0.5);
}

// ITU-R BT.709 as a power with a linear part. The library joins the two parts exactly, the
// Recommendation with rounded constants, hence the 4e-5.
TEST(CurveAgainstOpenColorIO, Bt709) {
    auto moncurve = ocio::ExponentWithLinearTransform::Create();
    const double gamma[4] = {1 / 0.45, 1 / 0.45, 1 / 0.45, 1};
    const double offset[4] = {0.099, 0.099, 0.099, 0};
    moncurve->setGamma(gamma);
    moncurve->setOffset(offset);
    moncurve->setDirection(ocio::TRANSFORM_DIR_INVERSE);
    const auto cpu = processorOf(moncurve);
    for (double x = 0; x <= 1.2; x += 0.005)
        EXPECT_NEAR(through(cpu, x), encode(bt709(), SceneLinear(x)).value(), 6e-4) << x;
}

// HLG: the library's display built-in runs the BT.2100 curve after an OOTF that for a peak of
// 1000 cd/m2 takes the signal through gamma 1.2; inverting it by hand leaves the pure OETF.
TEST(CurveAgainstOpenColorIO, Hlg) {
    auto builtIn = ocio::BuiltinTransform::Create();
    builtIn->setStyle("DISPLAY - CIE-XYZ-D65_to_REC.2100-HLG-1000nit");
    const auto cpu = processorOf(builtIn);
    const double white[3] = {0.95045592705167, 1.0, 1.08905775075988}; // D65 in XYZ
    for (double e = 0.002; e <= 1.0; e *= 1.3) {
        // Display light of the neutral scene light e: 10 * e^1.2, in units of 100 cd/m2.
        const double light = 10.0 * std::pow(e, 1.2);
        float rgb[3] = {static_cast<float>(white[0] * light), static_cast<float>(light),
                        static_cast<float>(white[2] * light)};
        cpu->applyRGB(rgb);
        const double x = e * decode(hlg(), Signal(1.0)).value();
        EXPECT_NEAR(static_cast<double>(rgb[1]), encode(hlg(), SceneLinear(x)).value(), 2e-3) << e;
    }
}

} // namespace
} // namespace bslate
