#include "core/base/random.h"
#include "core/frame/likeness.h"
#include "core/quantity/print.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>
#include <limits>

namespace bslate {
namespace {

Image flat(PictureSize size, float value) {
    Image picture(size);
    for (auto& plane : picture.plane)
        std::fill(plane.begin(), plane.end(), value);
    return picture;
}

// Every picture is the one before it with a step of noise added.
std::vector<Image> noisier(PictureSize size, int steps) {
    std::vector<Image> pictures(1, Image(size));
    Random random(5);
    const auto unit = [&] { return static_cast<float>(random.next() % 1024) / 1023.0F; };
    for (auto& plane : pictures[0].plane)
        for (std::size_t i = 0; i < plane.size(); ++i)
            plane[i] = 0.25F + 0.5F * static_cast<float>(i % 64) / 63.0F;
    for (int step = 1; step < steps; ++step) {
        pictures.push_back(pictures.back());
        for (auto& plane : pictures.back().plane)
            for (auto& value : plane)
                value += 0.05F * (unit() - 0.5F);
    }
    return pictures;
}

// Flat pictures have no contrast: what is left of the index is its light term.
TEST(Likeness, OfFlatPicturesByHand) {
    const auto seen = likenessOf(flat({37, 21}, 0.5F), flat({37, 21}, 0.4F));
    EXPECT_NEAR(seen.peakToNoise.value(), 20, 1e-4); // 10 log10(1 / 0.1^2)
    EXPECT_NEAR(seen.structure, (0.4 + 1e-4) / (0.25 + 0.16 + 1e-4), 1e-6);
    EXPECT_EQ(print(seen.peakToNoise), "20.0 dB");
}

// Stripes against their negative, 0.25 and 0.75: means 0.5, variance s = 64/63/16, covariance -s.
TEST(Likeness, OfStripesAndTheirNegativeByHand) {
    Image stripes({16, 16}), negative({16, 16});
    for (std::size_t c = 0; c < 3; ++c)
        for (std::size_t i = 0; i < stripes.size.pixels(); ++i) {
            stripes.plane[c][i] = i % 2 ? 0.75F : 0.25F;
            negative.plane[c][i] = i % 2 ? 0.25F : 0.75F;
        }
    const double s = 64.0 / 63 / 16;
    EXPECT_NEAR(likenessOf(stripes, negative).structure, (-2 * s + 9e-4) / (2 * s + 9e-4), 1e-6);
}

TEST(Likeness, FallsWithEveryStepOfNoise) {
    const auto pictures = noisier({64, 48}, 6);
    double noise = std::numeric_limits<double>::infinity(), structure = 1;
    EXPECT_TRUE(std::isinf(likenessOf(pictures[0], pictures[0]).peakToNoise.value()));
    EXPECT_EQ(likenessOf(pictures[0], pictures[0]).structure, 1);
    EXPECT_EQ(print(likenessOf(pictures[0], pictures[0]).peakToNoise), "no loss");
    for (std::size_t i = 1; i < pictures.size(); ++i) {
        const auto seen = likenessOf(pictures[i], pictures[0]);
        EXPECT_LT(seen.peakToNoise.value(), noise);
        EXPECT_LT(seen.structure, structure);
        noise = seen.peakToNoise.value();
        structure = seen.structure;
    }
}

TEST(Likeness, OfSmallUnlikeAndNoPictures) {
    EXPECT_EQ(likenessOf(flat({3, 2}, 0.3F), flat({3, 2}, 0.3F)).structure, 1);
    EXPECT_EQ(likenessOf(flat({3, 2}, 0.3F), flat({2, 3}, 0.3F)).structure, 0);
    EXPECT_EQ(likenessOf(Image(), Image()).peakToNoise.value(), 0);
}

} // namespace
} // namespace bslate
