// Stills through the helper: what was written comes back, and what is none is refused.
#include "io/stills/still_file.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate::io {
namespace {

using sample::root;
using sample::slurp;
using sample::spit;
using sample::TemporaryFolder;

Image ramp(PictureSize size) {
    Image image(size);
    for (std::size_t c = 0; c < 3; ++c)
        for (std::size_t i = 0; i < size.pixels(); ++i)
            image.plane[c][i] = static_cast<float>(i + c) / static_cast<float>(size.pixels() + 2);
    return image;
}

TEST(Stills, WhatIsWrittenComesBack) {
    const TemporaryFolder folder;
    const auto picture = ramp({40, 25});
    for (const char* name : {"a.png", "a.tif"}) {
        ASSERT_TRUE(writePicture(picture, folder / name, false)) << name;
        const auto still = readStill(folder / name);
        ASSERT_TRUE(still.ok()) << message(still.error());
        EXPECT_EQ(still->bits, 16);
        ASSERT_EQ(still->size(), picture.size);
        for (std::size_t c = 0; c < 3; ++c)
            for (std::size_t i = 0; i < picture.size.pixels(); ++i)
                ASSERT_NEAR(still->codes.plane[c][i] / 65535.0,
                            static_cast<double>(picture.plane[c][i]), 0.51 / 65535);
    }
    ASSERT_TRUE(writePicture(picture, folder / "a.exr", false));
    const auto light = readStill(folder / "a.exr");
    ASSERT_TRUE(light.ok()) << message(light.error());
    EXPECT_EQ(light->bits, 0);
    EXPECT_NEAR(light->light.plane[1][500], picture.plane[1][500], 0.0005);
    EXPECT_FALSE(writePicture(picture, folder / "a.png", false)) << "there is one already";
    EXPECT_TRUE(writePicture(picture, folder / "a.png", true));
    const auto strange = writePicture(picture, folder / "a.gif", false);
    ASSERT_FALSE(strange);
    EXPECT_NE(message(strange.error()).find(".png"), std::string::npos);
}

TEST(Stills, TheDemosWedgeIsEightBits) {
    const auto still = readStill(root() / "data/demo/step-wedge.png");
    ASSERT_TRUE(still.ok()) << message(still.error());
    EXPECT_EQ(still->bits, 8);
    EXPECT_EQ(still->size(), (PictureSize{220, 60}));
    EXPECT_EQ(still->codes.plane[0][still->codes.at(219, 30)], 255);
    EXPECT_EQ(still->codes.plane[2][still->codes.at(105, 30)], 128);
}

// A TIFF of one strip as TIFF 6.0 (Aldus, 1992) section 2 has it: 8-bit samples, all of them 90.
std::string tiff(int width, int height, int samples, int photometric) {
    std::string file("II*\0\x08\0\0\0", 8);
    const auto put = [&](std::uint32_t value, int bytes) {
        for (int i = 0; i < bytes; ++i)
            file += static_cast<char>(value >> (8 * i));
    };
    constexpr int kTags = 9;
    const auto depths = static_cast<std::uint32_t>(8 + 2 + kTags * 12 + 4);
    const auto strip = depths + static_cast<std::uint32_t>(2 * samples);
    const auto bytes = static_cast<std::uint32_t>(width * height * samples);
    put(kTags, 2);
    const auto tag = [&](std::uint32_t id, std::uint32_t type, std::uint32_t count,
                         std::uint32_t value) {
        put(id, 2);
        put(type, 2);
        put(count, 4);
        put(value, 4);
    };
    const auto many = static_cast<std::uint32_t>(samples);
    tag(256, 3, 1, static_cast<std::uint32_t>(width));
    tag(257, 3, 1, static_cast<std::uint32_t>(height));
    tag(258, 3, many, samples > 2 ? depths : 8);
    tag(259, 3, 1, 1);
    tag(262, 3, 1, static_cast<std::uint32_t>(photometric));
    tag(273, 4, 1, strip);
    tag(277, 3, 1, many);
    tag(278, 3, 1, static_cast<std::uint32_t>(height));
    tag(279, 4, 1, bytes);
    put(0, 4);
    for (int i = 0; i < samples; ++i)
        put(8, 2);
    return file + std::string(bytes, '\x5a');
}

TEST(Stills, ChannelsThatAreNoColoursAreRefusedAndGreyIsNot) {
    const TemporaryFolder folder;
    spit(folder / "grey.tif", tiff(12, 9, 1, 1));
    const auto grey = readStill(folder / "grey.tif");
    ASSERT_TRUE(grey) << message(grey.error());
    for (const auto& plane : grey->codes.plane)
        EXPECT_EQ(plane[5], 90);
    spit(folder / "rgb.tif", tiff(12, 9, 3, 2));
    EXPECT_TRUE(readStill(folder / "rgb.tif"));
    constexpr int kInks = 5, kPlain = 1;
    spit(folder / "inks.tif", tiff(12, 9, 4, kInks));
    spit(folder / "many.tif", tiff(12, 9, 16, kPlain));
    for (const char* name : {"inks.tif", "many.tif"}) {
        const auto still = readStill(folder / name);
        ASSERT_FALSE(still) << name;
        EXPECT_NE(message(still.error()).find("grey or RGB"), std::string::npos)
            << message(still.error());
    }
}

TEST(Stills, WhatIsNoneIsRefusedWithWhatWasExpected) {
    const TemporaryFolder folder;
    const auto wedge = slurp(root() / "data/demo/step-wedge.png");
    spit(folder / "cut.png", wedge.substr(0, wedge.size() / 2));
    spit(folder / "empty.png", "");
    spit(folder / "text.png", "not a picture");
    // 30 000 pixels wide, by its header.
    auto wide = wedge;
    wide.replace(16, 4, std::string("\x00\x00\x75\x30", 4));
    spit(folder / "wide.png", wide);
    Image numbers = ramp({8, 8});
    numbers.plane[1][9] = std::nanf("");
    ASSERT_TRUE(writePicture(numbers, folder / "nan.exr", false));
    const std::pair<const char*, const char*> wrong[] = {{"cut.png", ""},
                                                         {"empty.png", ""},
                                                         {"text.png", ""},
                                                         {"wide.png", ""},
                                                         {"nan.exr", "numbers in every pixel"},
                                                         {"missing.png", "readable picture"}};
    for (const auto& [name, says] : wrong) {
        const auto still = readStill(folder / name);
        ASSERT_FALSE(still.ok()) << name;
        const auto told = message(still.error());
        EXPECT_NE(told.find(name), std::string::npos) << told;
        EXPECT_NE(told.find(says), std::string::npos) << told;
    }
    EXPECT_FALSE(readStill(folder.path()).ok()) << "a folder";
}

} // namespace
} // namespace bslate::io
