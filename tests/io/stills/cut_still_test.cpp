// Stills that are not all there, say more than they have, or name other files; made by the media
// library's tool and by hand.
#include "io/stills/still_file.h"
#include "support/media_tool.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>

namespace bslate::io {
namespace {

using sample::mediaTool;
using sample::slurp;
using sample::spit;
using sample::TemporaryFolder;

constexpr PictureSize kSize{97, 61};

Image ramp() {
    Image image(kSize);
    for (std::size_t c = 0; c < 3; ++c)
        for (std::size_t i = 0; i < kSize.pixels(); ++i)
            image.plane[c][i] = static_cast<float>((i * (c + 3)) % kSize.pixels()) /
                                static_cast<float>(kSize.pixels());
    return image;
}

// Every format that is read, of one picture: codes are those of the 16-bit original, rounded down
// by the tool where there are fewer bits; JPEG and lossy WebP within what they lose.
TEST(CutStills, WholeOnesAreReadAndHalvesAreRefused) {
    const TemporaryFolder folder;
    const auto at = [&](const std::string& name) { return (folder / name).string(); };
    const auto picture = ramp();
    for (const char* name : {"a.png", "b.tif", "c.exr", "d.jpg"})
        ASSERT_TRUE(writePicture(picture, folder / name, false)) << name;
    const std::pair<const char*, const char*> made[] = {
        {"e.dpx", "-pix_fmt gbrp10le "},
        {"f.dpx", "-pix_fmt rgb48be "},
        {"g.jp2", "-c:v libopenjpeg "},
        {"h.webp", "-c:v libwebp -lossless 1 "},
        {"i.ppm", "-pix_fmt rgb48be "},
        {"j.tif", "-pix_fmt rgb24 -compression_algo lzw "},
        {"k.exr", "-pix_fmt gbrpf32le -compression zip16 "}};
    for (const auto& [name, how] : made)
        mediaTool("-v error -i " + at("a.png") + " " + how + at(name));
    for (const auto& file : std::filesystem::directory_iterator(folder.path())) {
        const auto name = file.path().filename().string();
        const auto still = readStill(file.path());
        ASSERT_TRUE(still) << message(still.error());
        ASSERT_EQ(still->size(), kSize) << name;
        const double slack = name == "d.jpg" ? 0.12 : still->bits == 0 ? 0.0005 : 0.5;
        for (std::size_t i = 0; i < kSize.pixels(); i += 7)
            for (std::size_t c = 0; c < 3; ++c) {
                const auto wanted = static_cast<double>(picture.plane[c][i]);
                const double top = (1 << still->bits) - 1;
                if (still->bits > 0 && name != "d.jpg")
                    ASSERT_NEAR(still->codes.plane[c][i], wanted * top, slack + 1) << name;
                else if (still->bits > 0)
                    ASSERT_NEAR(still->codes.plane[c][i] / top, wanted, slack) << name;
                else
                    ASSERT_NEAR(static_cast<double>(still->light.plane[c][i]), wanted, slack);
            }
        const auto whole = slurp(file.path());
        for (const double share : {0.5, 0.95}) {
            const auto cut = folder / ("cut" + file.path().extension().string());
            spit(cut, whole.substr(0, static_cast<std::size_t>(share * double(whole.size()))));
            const auto half = readStill(cut);
            ASSERT_FALSE(half) << name << " cut at " << share;
            EXPECT_NE(message(half.error()).find("whole picture"), std::string::npos)
                << message(half.error());
            std::filesystem::remove(cut);
        }
    }
}

// TIFF 6.0 section 2 again: LZW, and so many pixels as a few bytes cannot hold.
std::string promise(std::uint32_t width, std::uint32_t height, std::uint32_t bits) {
    std::string file("II*\0\x08\0\0\0", 8);
    const auto put = [&](std::uint32_t value, int bytes) {
        for (int i = 0; i < bytes; ++i)
            file += static_cast<char>(value >> (8 * i));
    };
    const std::pair<std::uint32_t, std::uint32_t> tags[] = {
        {256, width}, {257, height}, {258, bits},   {259, 5},  {262, 1},
        {273, 134},   {277, 1},      {278, height}, {279, 90}, {284, 1}};
    put(10, 2);
    for (const auto& [tag, value] : tags) {
        put(tag, 2);
        put(4, 2);
        put(1, 4);
        put(value, 4);
    }
    put(0, 4);
    return file + std::string(90, '\x21');
}

TEST(CutStills, WhatPromisesMoreThanItHoldsIsRefused) {
    const TemporaryFolder folder;
    spit(folder / "zeros.tif", promise(6000, 6000, 8));
    const auto zeros = readStill(folder / "zeros.tif");
    ASSERT_FALSE(zeros);
    EXPECT_NE(message(zeros.error()).find("lines end at"), std::string::npos)
        << message(zeros.error());
    spit(folder / "huge.tif", promise(16000, 7000, 16));
    const auto huge = readStill(folder / "huge.tif");
    ASSERT_FALSE(huge);
    EXPECT_NE(message(huge.error()).find("of this length"), std::string::npos)
        << message(huge.error());
}

TEST(CutStills, NamesInsideOfAFileAreNotFollowed) {
    const TemporaryFolder folder;
    ASSERT_TRUE(writePicture(ramp(), folder / "real.png", false));
    const auto real = (folder / "real.png").string();
    const std::pair<const char*, std::string> lists[] = {
        {"list.png", "ffconcat version 1.0\nfile '" + real + "'\n"},
        {"list.jpg", "#EXTM3U\n#EXT-X-TARGETDURATION:10\n#EXTINF:10,\n" + real + "\n"},
        {"list.tif", "<svg xmlns='http://www.w3.org/2000/svg'><image href='" + real + "'/></svg>"}};
    for (const auto& [name, text] : lists) {
        spit(folder / name, text);
        const auto still = readStill(folder / name);
        ASSERT_FALSE(still) << name;
        EXPECT_NE(message(still.error()).find("camera raw"), std::string::npos)
            << "what may be read is named: " << message(still.error());
    }
}

} // namespace
} // namespace bslate::io
