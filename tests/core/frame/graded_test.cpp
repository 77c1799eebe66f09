#include "core/base/random.h"
#include "core/frame/graded.h"
#include "core/frame/masks.h"
#include "core/frame/recipe_path.h"
#include "core/frame/sample_frame.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

// Every pixel through the exact transform (signal/rating_lut.h), which OpenColorIO confirms
// (RatingLutFile.*).
TEST(Graded, IsTheRatingLut) {
    const RatingLut lut{acescct(), gamutAp1(), Stops(-1)};
    CodeFrame frame{BitDepth{10}, CodeRange::Full, Planes<std::uint16_t>({60, 60})};
    Random random(3);
    for (std::size_t i = 0; i < frame.codes.size.pixels(); ++i) {
        const auto grey = 80 + random.next() % 700;
        for (auto& plane : frame.codes.plane)
            plane[i] = static_cast<std::uint16_t>(grey + random.next() % 60);
    }
    const auto shown = graded(frame, lut);
    double worst = 0;
    for (std::size_t i = 0; i < frame.codes.size.pixels(); ++i) {
        std::array<double, 3> signal{};
        for (std::size_t c = 0; c < 3; ++c)
            signal[c] = frame.codes.plane[c][i] / 1023.0;
        const auto exact = apply(lut, signal);
        for (std::size_t c = 0; c < 3; ++c)
            worst = std::max(worst, std::abs(static_cast<double>(shown.plane[c][i]) - exact[c]));
    }
    EXPECT_LT(worst, 0.1 / 255);
}

TEST(ShownLight, WhiteLightAtGreyShowsGrey) {
    Image light({1, 1});
    for (auto& plane : light.plane)
        plane[0] = 100;
    const auto shown = shownLight(light, {0.0018, {1, 1, 1}});
    for (const auto& plane : shown.plane)
        EXPECT_NEAR(plane[0], displaySignal(SceneLinear(0.18)).value(), 1e-5);
}

TEST(Masks, ZebraIsWhatTheInstrumentsCount) {
    const auto frame = sample::randomFrame({120, 80}, BitDepth{10}, 9);
    const LumaWeights w;
    const ZebraBand band{Level(40), Level(62)};
    const auto mask = zebraOn(frame, w, band);
    const auto seen = measure(frame, {w, 64, band});
    EXPECT_EQ(static_cast<std::uint64_t>(std::count(mask.begin(), mask.end(), 1)), seen.zebra);
    EXPECT_NEAR(shareOf(mask).value(),
                static_cast<double>(seen.zebra) / static_cast<double>(seen.pixels), 1e-12);
}

TEST(Masks, StopsOfPixelsAreWholeStopsFromGrey) {
    Image linear({4, 1});
    const float values[] = {0.18F, 0.35F, 0.0F, 0.17F};
    for (auto& plane : linear.plane)
        std::copy(std::begin(values), std::end(values), plane.begin());
    EXPECT_EQ(stopsOfPixels(linear, {}), (std::vector<std::int8_t>{0, 0, -20, -1}));
}

// A recipe in the recording: each pixel as applyColour() has it, and detail at an edge by hand.
TEST(RecipePath, ColourIsBakedAndDetailChangesEdgesAlone) {
    ColourLook colour;
    colour.saturation = 0.5;
    colour.depth[0] = 0.3;
    SignalRow row{std::vector<float>{0.8f, 0.4f}, {0.2f, 0.4f}, {0.1f, 0.4f}};
    const auto red = applyColour(colour, {0.8, 0.2, 0.1});
    bakeColour(colour, row);
    for (std::size_t c = 0; c < 3; ++c) {
        EXPECT_NEAR(row[c][0], red[c], 1e-6);
        EXPECT_NEAR(row[c][1], 0.4, 1e-6) << "grey stays";
    }
    CodeFrame edge{BitDepth{10}, CodeRange::Full, Planes<std::uint16_t>({6, 3})};
    for (auto& plane : edge.codes.plane)
        for (std::size_t i = 0; i < plane.size(); ++i)
            plane[i] = i % 6 < 3 ? 300 : 600;
    const auto before = edge;
    bakeDetail(4, {}, edge);
    // Beside the edge three of nine pixels are 300 over: 600 - 500 = 100, four tenths of it.
    EXPECT_EQ(edge.codes.plane[0][3], 640);
    EXPECT_EQ(edge.codes.plane[0][2], 260);
    EXPECT_EQ(edge.codes.plane[1][0], before.codes.plane[1][0]) << "even places stay";
    bakeDetail(-7, {}, edge);
    EXPECT_LT(edge.codes.plane[0][3], 640) << "and softer again";
}

} // namespace
} // namespace bslate
