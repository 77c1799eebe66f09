// Counts against a slow second implementation, one instrument at a time.
#include "core/frame/instruments.h"
#include "core/frame/sample_frame.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate {
namespace {

// In 65536ths, of which green has what the others leave.
int slowLuma(const CodeFrame& frame, const LumaWeights& w, std::size_t i) {
    const auto& p = frame.codes.plane;
    const double red = std::round(w.red * 65536), blue = std::round(w.blue * 65536);
    const double sum = red * p[0][i] + (65536 - red - blue) * p[1][i] + blue * p[2][i];
    return static_cast<int>(std::floor(sum / 65536 + 0.5));
}

struct SlowCase {
    PictureSize size;
    int bits, columns;
};

class InstrumentCounts : public ::testing::TestWithParam<SlowCase> {};

TEST_P(InstrumentCounts, AreThoseOfASlowSecondLook) {
    const auto [size, bits, columns] = GetParam();
    const BitDepth depth{bits};
    const auto frame = sample::randomFrame(size, depth, 7);
    const LumaWeights w{0.2627, 0.6780, 0.0593};
    const ZebraBand band{Level(60), Level(75)};
    const auto fast = measure(frame, {w, columns, band});
    const int held = std::min(columns, size.width);
    std::array<std::vector<std::uint32_t>, 4> histogram, wave;
    for (auto& one : histogram)
        one.resize(std::size_t{1} << bits);
    for (auto& one : wave)
        one.resize(static_cast<std::size_t>(held) * kWaveLevels);
    std::vector<std::uint32_t> colour(256 * 256);
    std::uint64_t zebra = 0, tops[3] = {};
    double lumas = 0;
    for (int y = 0; y < size.height; ++y)
        for (int x = 0; x < size.width; ++x) {
            const auto i = frame.codes.at(x, y);
            const int luma = slowLuma(frame, w, i);
            const int all[] = {luma, frame.codes.plane[0][i], frame.codes.plane[1][i],
                               frame.codes.plane[2][i]};
            for (std::size_t c = 0; c < 4; ++c) {
                ++histogram[c][static_cast<std::size_t>(all[c])];
                ++wave[c][static_cast<std::size_t>(x * held / size.width * kWaveLevels +
                                                   all[c] * 256 / (1 << bits))];
            }
            const double step = 255.0 / ((1 << bits) - 1);
            const auto place = [&](int over, double weight) {
                const double at = std::floor((over - luma) * step / (2 * (1 - weight)) + 128.5);
                return static_cast<std::size_t>(std::min(255.0, std::max(0.0, at)));
            };
            ++colour[place(all[1], w.red) * 256 + place(all[3], w.blue)];
            const double percent = levelOfCode(luma, depth).value();
            zebra += percent >= 60 - 1e-9 && percent <= 75 + 1e-9;
            for (std::size_t c = 0; c < 3; ++c)
                tops[c] += all[c + 1] == (1 << bits) - 1;
            lumas += luma;
        }
    for (std::size_t c = 0; c < 4; ++c) {
        EXPECT_EQ(fast.histogram[c], histogram[c]) << c;
        EXPECT_EQ(fast.waveform[c].columns, held);
        EXPECT_EQ(fast.waveform[c].counts, wave[c]) << c;
    }
    EXPECT_EQ(fast.colour.counts, colour);
    EXPECT_EQ(fast.zebra, zebra);
    for (std::size_t c = 0; c < 3; ++c)
        EXPECT_EQ(fast.atTop[c], tops[c]);
    EXPECT_EQ(fast.pixels, size.pixels());
    EXPECT_EQ(fast.lumaSum, lumas);
}

INSTANTIATE_TEST_SUITE_P(Frame, InstrumentCounts,
                         ::testing::Values(SlowCase{{160, 90}, 10, 64}, SlowCase{{97, 211}, 8, 500},
                                           SlowCase{{1, 1}, 12, 1}, SlowCase{{300, 200}, 16, 7},
                                           SlowCase{{620, 30}, 10, 310}));

// A level of one column holds more than is counted in 16 bits at once.
TEST(Instruments, CountEveryPixelOfAFlatPicture) {
    CodeFrame frame{BitDepth{10}, CodeRange::Full, Planes<std::uint16_t>({3000, 60})};
    for (auto& plane : frame.codes.plane)
        std::fill(plane.begin(), plane.end(), std::uint16_t{400});
    const auto seen = measure(frame, {{}, 1, std::nullopt});
    for (std::size_t c = 0; c < 4; ++c) {
        EXPECT_EQ(seen.histogram[c][400], 180'000u);
        EXPECT_EQ(seen.waveform[c].at(0, 100), 180'000u);
    }
    EXPECT_EQ(seen.colour.counts[128 * 256 + 128], 180'000u);
}

// ITU-R BT.709-6: yellow of 100 % bars is 92.78 % luma (0.2126 + 0.7152), 8-bit legal code 219.
TEST(Instruments, YellowBarOfTheRecommendation) {
    CodeFrame frame{BitDepth{8}, CodeRange::Legal, Planes<std::uint16_t>({2, 2})};
    for (std::size_t i = 0; i < 4; ++i) {
        frame.codes.plane[0][i] = frame.codes.plane[1][i] = 235;
        frame.codes.plane[2][i] = 16;
    }
    const auto seen = measure(frame, {});
    EXPECT_EQ(seen.histogram[0][219], 4u);
    EXPECT_NEAR(meanLevel(seen, frame.depth).value(), 92.7, 0.05);
}

TEST(Probes, ReadPercentAndTheLightBehindTheCurve) {
    const Curve curve = bt709();
    CodeFrame frame{BitDepth{10}, CodeRange::Legal, Planes<std::uint16_t>({10, 10})};
    const auto grey = static_cast<std::uint16_t>(codeAt(curve, Stops(0), frame.depth));
    for (auto& plane : frame.codes.plane)
        std::fill(plane.begin(), plane.end(), grey);
    for (int y = 0; y < 10; ++y)
        for (int x = 5; x < 10; ++x)
            frame.codes.plane[0][frame.codes.at(x, y)] = 64;
    const Probe probes[] = {
        {"left", {0, 0, 0.5, 1}}, {"right", {0.5, 0, 0.5, 1}}, {"point", {0.01, 0.01, 0, 0}}};
    const auto read = probed(frame, curve, {}, probes);
    EXPECT_NEAR(read[0].stops.value(), 0, 0.01) << "18 % grey (BT.709-6: 40.9 %)";
    EXPECT_NEAR(read[0].level.value(), 40.9, 0.1);
    EXPECT_NEAR(read[1].channels[0].value(), 0, 1e-9);
    // Without its red, 0.7874 of the light is left.
    EXPECT_NEAR(read[1].stops.value(), std::log2(0.7874), 0.01);
    EXPECT_EQ(read[2].level, read[0].level) << "at least a pixel";
}

TEST(PixelsOf, StayInsideThePicture) {
    EXPECT_EQ(pixelsOf({0, 0, 1, 1}, {20, 10}), (PixelBox{0, 0, 20, 10}));
    EXPECT_EQ(pixelsOf({0.99, 0.99, 0.5, 0.5}, {20, 10}), (PixelBox{19, 9, 20, 10}));
    EXPECT_EQ(pixelsOf({2, 2, 1, 1}, {20, 10}), (PixelBox{19, 9, 20, 10}));
}

} // namespace
} // namespace bslate
