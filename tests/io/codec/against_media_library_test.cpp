// Likeness, counts, colour bars and luma against the media library's own filters and generators.
#include "core/base/random.h"
#include "core/frame/instruments.h"
#include "core/frame/likeness.h"
#include "core/frame/ycbcr.h"
#include "support/media_tool.h"

#include <gtest/gtest.h>

#include <cmath>
#include <cstring>

namespace bslate {
namespace {

using sample::mediaTool;
using sample::numberAfter;

using Bytes = std::array<std::vector<std::uint8_t>, 3>;

// A ramp with noise that grows, in whole 8-bit codes.
Bytes noisy(PictureSize size, int noise, std::uint64_t seed) {
    Bytes planes;
    Random random(seed);
    for (auto& plane : planes)
        for (std::size_t i = 0; i < size.pixels(); ++i) {
            const int ramp =
                static_cast<int>(i % static_cast<std::size_t>(size.width)) * 200 / size.width;
            const int more = static_cast<int>(random.next() % static_cast<unsigned>(noise + 1));
            plane.push_back(static_cast<std::uint8_t>(20 + ramp + more));
        }
    return planes;
}

Image imageOf(const Bytes& planes, PictureSize size) {
    Image image(size);
    for (std::size_t c = 0; c < 3; ++c)
        for (std::size_t i = 0; i < size.pixels(); ++i)
            image.plane[c][i] = static_cast<float>(planes[c][i]) / 255.0f;
    return image;
}

class AgainstMediaLibrary : public ::testing::Test {
public:
    [[nodiscard]] std::string file(const char* name) const { return (folder / name).string(); }
    std::string compare(const char* filter, const Bytes& a, const Bytes& b, PictureSize size) {
        sample::writeRaw(file("first.bin"), a);
        sample::writeRaw(file("second.bin"), b);
        const std::string form = "-f rawvideo -pix_fmt gbrp -s " + std::to_string(size.width) +
                                 "x" + std::to_string(size.height) + " -i ";
        return mediaTool(form + file("first.bin") + " " + form + file("second.bin") + " -lavfi " +
                         filter + " -f null -");
    }
    sample::TemporaryFolder folder;
};

TEST_F(AgainstMediaLibrary, PeakSignalToNoiseIsItsFilters) {
    constexpr PictureSize kSize{200, 120};
    for (const int noise : {1, 6, 30}) {
        const auto a = noisy(kSize, 0, 1), b = noisy(kSize, noise, 2);
        const double theirs = numberAfter(compare("psnr", a, b, kSize), "average:");
        const auto ours = likenessOf(imageOf(b, kSize), imageOf(a, kSize));
        EXPECT_NEAR(ours.peakToNoise.value(), theirs, 0.01) << noise;
    }
}

// Its filter takes flat windows of 8 x 8 every 4 pixels as well; of three equal planes each is
// luma.
TEST_F(AgainstMediaLibrary, StructureIsItsFilters) {
    constexpr PictureSize kSize{208, 120};
    for (const int noise : {2, 12, 40}) {
        auto a = noisy(kSize, 0, 1), b = noisy(kSize, noise, 2);
        a = {a[0], a[0], a[0]};
        b = {b[0], b[0], b[0]};
        const double theirs = numberAfter(compare("ssim", a, b, kSize), "All:");
        const auto ours = likenessOf(imageOf(b, kSize), imageOf(a, kSize));
        EXPECT_NEAR(ours.structure, theirs, 2e-4) << noise;
    }
}

// Its waveform adds one to a level of a column where it is told to add the least; equal counts
// make the histogram, which is their sum, equal too.
TEST_F(AgainstMediaLibrary, WaveformCountsAreItsOwn) {
    constexpr PictureSize kSize{96, 120};
    const auto planes = noisy(kSize, 25, 3);
    sample::writeRaw(file("in.bin"), planes);
    const std::string size = std::to_string(kSize.width) + "x" + std::to_string(kSize.height);
    mediaTool("-f rawvideo -pix_fmt gbrp -s " + size + " -i " + file("in.bin") +
              " -vf waveform=mode=column:intensity=0.004:mirror=1:display=overlay:components=7:"
              "filter=lowpass -frames:v 1 -f rawvideo " +
              file("out.bin"));
    const auto theirs = sample::readRaw(file("out.bin"));
    ASSERT_EQ(theirs.size(), 3u * 256 * 96) << "three planes, a row for each code";
    CodeFrame frame{BitDepth{8}, CodeRange::Full, Planes<std::uint16_t>(kSize)};
    constexpr std::size_t kOrder[] = {1, 2, 0}; // its planes are green, blue, red
    for (std::size_t c = 0; c < 3; ++c)
        frame.codes.plane[kOrder[c]].assign(planes[c].begin(), planes[c].end());
    const auto ours = measure(frame, {{}, kSize.width, std::nullopt});
    for (std::size_t c = 0; c < 3; ++c) {
        const auto& wave = ours.waveform[kOrder[c] + 1];
        int differ = 0;
        for (int column = 0; column < kSize.width; ++column)
            for (int level = 0; level < 256; ++level) {
                const auto at = c * 256 * 96 + static_cast<std::size_t>(255 - level) * 96 +
                                static_cast<std::size_t>(column);
                differ += wave.at(column, level) != static_cast<std::uint8_t>(theirs[at]);
            }
        EXPECT_EQ(differ, 0) << "plane " << c;
    }
}

// Colour bars of SMPTE RP 219 from its generator, whose codes are known: 75 % of each primary.
TEST_F(AgainstMediaLibrary, ColourBarsReadAsTheirCodes) {
    constexpr PictureSize kSize{1280, 720};
    mediaTool("-f lavfi -i smptehdbars=size=1280x720:rate=24 -frames:v 1 -pix_fmt yuv444p10le "
              "-f rawvideo " +
              file("bars.bin"));
    const auto raw = sample::readRaw(file("bars.bin"));
    ASSERT_EQ(raw.size(), 3 * 2 * kSize.pixels());
    YcbcrFrame bars{kSize, BitDepth{10}, CodeRange::Legal, Chroma::C444, {}};
    for (std::size_t p = 0; p < 3; ++p) {
        bars.plane[p].resize(kSize.pixels());
        std::memcpy(bars.plane[p].data(), raw.data() + p * 2 * kSize.pixels(), 2 * kSize.pixels());
    }
    const auto rgb = rgbOf(bars, {});
    struct Bar {
        const char* name;
        double x;
        bool red, green, blue;
        int luma; // 10 bits, of RP 219 (from memory, confirmed by this generator)
    };
    // Seven bars within the middle three quarters of the width.
    constexpr Bar kBars[] = {
        {"white", 0.5, true, true, true, 721},    {"yellow", 1.5, true, true, false, 674},
        {"cyan", 2.5, false, true, true, 581},    {"green", 3.5, false, true, false, 534},
        {"magenta", 4.5, true, false, true, 251}, {"red", 5.5, true, false, false, 204},
        {"blue", 6.5, false, false, true, 111}};
    for (const auto& bar : kBars) {
        const auto at = rgb.codes.at(160 + static_cast<int>(bar.x * 960 / 7), 200);
        EXPECT_NEAR(bars.plane[0][at], bar.luma, 2) << bar.name;
        const bool lit[] = {bar.red, bar.green, bar.blue};
        for (std::size_t c = 0; c < 3; ++c) // 75 % of the legal range is 721
            EXPECT_NEAR(rgb.codes.plane[c][at], lit[c] ? 721 : 64, 5) << bar.name << c;
        EXPECT_NEAR(
            LumaCoder({})(rgb.codes.plane[0][at], rgb.codes.plane[1][at], rgb.codes.plane[2][at]),
            bar.luma, 2)
            << bar.name;
    }
    const auto there = ycbcrOf(rgb, Chroma::C444, {});
    const auto bar = rgb.codes.at(300, 200);
    for (std::size_t p = 0; p < 3; ++p)
        EXPECT_NEAR(there.plane[p][bar], bars.plane[p][bar], 2) << "and back";
}

} // namespace
} // namespace bslate
