#include "core/facts/evaluate.h"
#include "core/facts/precision.h"

#include "support/sample_recording.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

using sample::Bench;

Precision at(Bench& bench, int bits) {
    const auto context = resolve(bench.shoot, bench.shoot.setups[0]);
    EXPECT_TRUE(context.ok());
    return precisionOf(*context, BitDepth{bits});
}

const PrecisionAt& row(const Precision& precision, double stops) {
    return *std::find_if(precision.stops.begin(), precision.stops.end(),
                         [&](const PrecisionAt& r) { return r.recorded == Stops(stops); });
}

// By hand for ACEScct in 10 bits, full range: a stop is 1023 / 17.52 = 58.39 codes. At mid-grey
// D = 1.099 x^0.45 - 0.099, dD/d(stop) = 0.45 * 1.099 * 0.18^0.45 * ln 2 = 0.15845, so one code is
// 255 * 0.15845 / 58.39 = 0.692 display codes; in 8 bits four times that.
TEST(Precision, CodesAndDisplayStepsByHand) {
    Bench bench;
    bench.shoot.kit.profiles[0].curve = acescct();
    bench.shoot.setups[0].rating = bench.shoot.setups[0].base;
    const auto ten = at(bench, 10);
    EXPECT_NEAR(row(ten, 0).codes, 58.39, 0.01);
    EXPECT_NEAR(row(ten, 0).displayStep, 0.692, 0.002);
    const auto eight = at(bench, 8);
    EXPECT_NEAR(row(eight, 0).displayStep, 0.692 * 1023 / 255, 0.01);
    EXPECT_NEAR(row(eight, 0).codes, row(ten, 0).codes * 255 / 1023, 1e-9);
}

// Mid-grey gathers 58 000 / 2^6.1 = 845.6 electrons; noise sqrt(845.6 + 3.4^2) is 29.3, 1 / 28.9
// of it: 58.39 codes a stop / (28.9 * ln 2) = 2.9 codes.
TEST(Precision, NoiseHidesStepsWhereThereIsAny) {
    Bench bench;
    bench.shoot.kit.profiles[0].curve = acescct();
    bench.camera.bases[0].sensor = {Electrons(58000), Electrons(3.4), 0, Stops(6.1)};
    bench.shoot.setups[0].rating = bench.shoot.setups[0].base;
    const auto ten = at(bench, 10);
    EXPECT_NEAR(row(ten, 0).noise, 2.92, 0.02);
    EXPECT_FALSE(ten.bands) << "ten bits keep less than a display code a step";
    EXPECT_FALSE(row(at(bench, 8), 0).bands) << "0.73 codes of noise hide it";
    bench.camera.bases[0].sensor.fullWell = Electrons(58e6); // a sensor almost without noise
    const auto eight = at(bench, 8);
    EXPECT_TRUE(eight.bands);
    EXPECT_TRUE(row(eight, 0).bands);
    EXPECT_LE(eight.firstBand, Stops(0));
    EXPECT_FALSE(at(bench, 10).bands);
}

// The rows of the matrix from BT.2020 to BT.709 (ITU-R BT.2087-0): 1.6605 -0.5876 -0.0728 has a
// norm of 1.763.
TEST(Precision, WideGamutsMultiplyChroma) {
    Bench bench;
    bench.shoot.kit.profiles[0].gamut = gamutBt709();
    for (const double gain : at(bench, 10).chromaGain)
        EXPECT_NEAR(gain, 1, 1e-9);
    bench.shoot.kit.profiles[0].gamut = gamutBt2020();
    EXPECT_NEAR(at(bench, 10).chromaGain[0], 1.763, 0.001);
}

TEST(EightBits, TheAnswerFollowsNoiseGradeAndScene) {
    Bench bench;
    bench.shoot.kit.profiles[0].curve = acescct();
    bench.shoot.kit.profiles[0].gamut = gamutBt709();
    bench.shoot.setups[0].rating = bench.shoot.setups[0].base;
    const auto answer = [&](GradeWeight graded) {
        return eightBits(*resolve(bench.shoot, bench.shoot.setups[0]), graded).answer;
    };
    bench.camera.bases[0].sensor = {Electrons(3000), Electrons(10), 0, Stops(6.1)};
    EXPECT_EQ(answer(GradeWeight::Light), EightBitAnswer::Enough) << "noise hides every step";
    bench.shoot.kit.profiles[0].gamut = gamutAp0();
    EXPECT_EQ(answer(GradeWeight::Light), EightBitAnswer::NormalGamut);
    bench.camera.bases[0].sensor.fullWell = Electrons(58e6);
    EXPECT_EQ(answer(GradeWeight::Light), EightBitAnswer::Never);
    for (auto& patch : bench.shoot.scenes[0].patches)
        patch.reading = {1e-3, LightUnit::CandelaPerM2}; // everything in the deep shadow
    EXPECT_EQ(answer(GradeWeight::Light), EightBitAnswer::OnlyIfNailed);
}

} // namespace
} // namespace bslate
