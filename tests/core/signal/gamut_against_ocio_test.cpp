// Primaries and adaptation against the reference library's own matrices.
#include "core/signal/gamut.h"
#include "support/library_log.h"

#include <OpenColorIO/OpenColorIO.h>
#include <gtest/gtest.h>

#include <cmath>

namespace ocio = OCIO_NAMESPACE;

namespace bslate {
namespace {

using Vector3 = std::array<double, 3>;

Vector3 times(const Matrix3& m, const Vector3& v) {
    Vector3 out{};
    for (std::size_t row = 0; row < 3; ++row)
        for (std::size_t k = 0; k < 3; ++k)
            out[row] += m[row][k] * v[k];
    return out;
}

void expectLikeBuiltIn(const char* style, const Matrix3& ours) {
    auto builtIn = ocio::BuiltinTransform::Create();
    builtIn->setStyle(style);
    const auto cpu = ocio::Config::CreateRaw()
                         ->getProcessor(ocio::ConstTransformRcPtr(builtIn))
                         ->getOptimizedCPUProcessor(ocio::OPTIMIZATION_LOSSLESS);
    for (std::size_t axis = 0; axis < 3; ++axis) {
        Vector3 unit{};
        unit[axis] = 1;
        float rgb[3] = {static_cast<float>(unit[0]), static_cast<float>(unit[1]),
                        static_cast<float>(unit[2])};
        cpu->applyRGB(rgb);
        const auto got = times(ours, unit);
        for (std::size_t c = 0; c < 3; ++c)
            EXPECT_NEAR(got[c], static_cast<double>(rgb[c]), 2e-5) << style << axis << c;
    }
}

// XYZ itself as a gamut: its primaries are the axes, its white whatever is asked for.
Matrix3 toXyz(const Gamut& gamut, Chromaticity white) {
    const auto rgb = rgbToXyz(gamut);
    const auto adapt = bradford(gamut.white, white);
    Matrix3 product{};
    for (std::size_t row = 0; row < 3; ++row)
        for (std::size_t column = 0; column < 3; ++column)
            for (std::size_t k = 0; k < 3; ++k)
                product[row][column] += adapt[row][k] * rgb[k][column];
    return product;
}

TEST(GamutAgainstOpenColorIO, AcesPrimariesAdaptedByBradford) {
    constexpr Chromaticity d65{0.3127, 0.3290};
    expectLikeBuiltIn("UTILITY - ACES-AP0_to_CIE-XYZ-D65_BFD", toXyz(gamutAp0(), d65));
    expectLikeBuiltIn("UTILITY - ACES-AP1_to_CIE-XYZ-D65_BFD", toXyz(gamutAp1(), d65));
}

TEST(Gamut, BetweenTheAcesPrimaries) {
    const auto matrix = convert(gamutAp1(), gamutAp0());
    // Academy TB-2014-004: the first row of AP1 to AP0.
    EXPECT_NEAR(matrix[0][0], 0.6954522414, 1e-6);
    EXPECT_NEAR(matrix[0][1], 0.1406786965, 1e-6);
    EXPECT_NEAR(matrix[0][2], 0.1638690622, 1e-6);
}

TEST(Gamut, GreyStaysGreyThroughEveryPairAndBack) {
    const Gamut all[] = {gamutBt709(), gamutBt2020(), gamutP3D65(), gamutAp0(), gamutAp1()};
    for (const auto& from : all) {
        EXPECT_TRUE(isValid(from));
        for (const auto& to : all) {
            const auto grey = times(convert(from, to), {0.18, 0.18, 0.18});
            const auto there = times(convert(from, to), {0.5, 0.2, 0.1});
            const auto back = times(convert(to, from), there);
            for (std::size_t c = 0; c < 3; ++c)
                EXPECT_NEAR(grey[c], 0.18, 1e-12);
            EXPECT_NEAR(back[0], 0.5, 1e-12);
        }
    }
    Gamut flat = gamutBt709();
    flat.blue = flat.red;
    EXPECT_FALSE(isValid(flat));
    flat = gamutBt709();
    flat.white.y = -0.1;
    EXPECT_FALSE(isValid(flat));
}

// Bradford from D65 to D50 as printed in colour handbooks (from memory).
TEST(Gamut, BradfordOfTheLiterature) {
    const auto matrix = bradford({0.31271, 0.32902}, {0.34567, 0.35850});
    EXPECT_NEAR(matrix[0][0], 1.0478112, 2e-4);
    EXPECT_NEAR(matrix[0][1], 0.0228866, 2e-4);
    EXPECT_NEAR(matrix[0][2], -0.0501270, 2e-4);
    EXPECT_NEAR(matrix[2][2], 0.7521316, 2e-4);
}

} // namespace
} // namespace bslate
