// Stills through the helper: what was written comes back, and what is none is refused.
#include "core/frame/instruments.h"
#include "io/stills/still_codes.h"
#include "io/stills/still_file.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>

#include <cmath>
#include <functional>

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

// As large as bodies make them: every second pixel of every second line, as it was recorded.
TEST(Stills, LargeOnesAreReadAtTheSizeThatIsNeeded) {
    const TemporaryFolder folder;
    std::string bytes = "P5\n9000 6000\n255\n";
    const auto head = bytes.size();
    bytes.resize(head + std::size_t{9000} * 6000);
    for (std::size_t y = 0; y < 6000; ++y)
        for (std::size_t x = 0; x < 9000; ++x)
            bytes[head + y * 9000 + x] = static_cast<char>((x + 3 * y) % 251);
    spit(folder / "large.pgm", bytes);
    const auto still = readStill(folder / "large.pgm");
    ASSERT_TRUE(still.ok()) << message(still.error());
    EXPECT_EQ(still->step, 2);
    ASSERT_EQ(still->size(), (PictureSize{4500, 3000}));
    for (const auto& [x, y] : {std::pair{0, 0}, std::pair{4499, 2999}, std::pair{1234, 777}})
        EXPECT_EQ(still->codes.plane[1][still->codes.at(x, y)], (2 * x + 6 * y) % 251);
    spit(folder / "huge.pgm", "P5\n12000 10100\n255\n");
    const auto huge = readStill(folder / "huge.pgm");
    ASSERT_FALSE(huge.ok());
    EXPECT_NE(message(huge.error()).find("120 million"), std::string::npos);
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

// A sensor's own numbers: a TIFF of one strip whose pattern of colours is that of TIFF/EP (ISO
// 12234-2), red, green / green, blue, with the version tag by which one is known.
// Black is 512, full is 65535, and grey has half as much red and 0.7 as much blue as green.
std::string sensorFile(PictureSize size, const std::function<double(int x)>& light) {
    struct Tag {
        std::uint32_t id, type, count;
        std::vector<std::uint32_t> numbers;
    };
    constexpr std::uint32_t kByte = 1, kShort = 3, kLong = 4, kRatio = 5, kSignedRatio = 10;
    const auto wide = static_cast<std::uint32_t>(size.width);
    const auto high = static_cast<std::uint32_t>(size.height);
    const std::uint32_t bytes = 2 * wide * high;
    std::vector<Tag> tags = {
        {254, kLong, 1, {0}},
        {256, kLong, 1, {wide}},
        {257, kLong, 1, {high}},
        {258, kShort, 1, {16}},
        {259, kShort, 1, {1}},
        {262, kShort, 1, {32803}},
        {273, kLong, 1, {0}},
        {277, kShort, 1, {1}},
        {278, kLong, 1, {high}},
        {279, kLong, 1, {bytes}},
        {284, kShort, 1, {1}},
        {33421, kShort, 2, {2 | 2 << 16}},
        {33422, kByte, 4, {0 | 1 << 8 | 1 << 16 | 2u << 24}},
        {50706, kByte, 4, {1 | 4 << 8}},
        {50714, kShort, 1, {512}},
        {50717, kLong, 1, {65535}},
        {50721, kSignedRatio, 9, {1, 1, 0, 1, 0, 1, 0, 1, 1, 1, 0, 1, 0, 1, 0, 1, 1, 1}},
        {50728, kRatio, 3, {5, 10, 1, 1, 7, 10}}};
    std::string file("II*\0\x08\0\0\0", 8), behind;
    const auto put = [](std::string& into, std::uint32_t value, int count) {
        for (int i = 0; i < count; ++i)
            into += static_cast<char>(value >> (8 * i));
    };
    const auto start = static_cast<std::uint32_t>(8 + 2 + 12 * tags.size() + 4);
    tags[6].numbers[0] = start + (18 + 6) * 4; // behind the two lists of ratios
    put(file, static_cast<std::uint32_t>(tags.size()), 2);
    for (const auto& tag : tags) {
        put(file, tag.id, 2);
        put(file, tag.type, 2);
        put(file, tag.count, 4);
        const bool here = tag.numbers.size() == 1;
        put(file, here ? tag.numbers[0] : start + static_cast<std::uint32_t>(behind.size()), 4);
        for (std::size_t i = 0; !here && i < tag.numbers.size(); ++i)
            put(behind, tag.numbers[i], 4);
    }
    put(file, 0, 4);
    file += behind;
    for (int y = 0; y < size.height; ++y)
        for (int x = 0; x < size.width; ++x) {
            const double share = y % 2 == 0 && x % 2 == 0 ? 0.5 : y % 2 && x % 2 ? 0.7 : 1;
            put(file, static_cast<std::uint32_t>(512 + (65535 - 512) * share * light(x) + 0.5), 2);
        }
    return file;
}

TEST(Stills, CameraRawIsLightOfASensorThatIsFullWhereTheCurveEnds) {
    const TemporaryFolder folder;
    constexpr PictureSize kSize{256, 160};
    const double steps[] = {1.0 / 16, 0.25, 0.5, 1};
    spit(folder / "card.dng", sensorFile(kSize, [&](int x) { return steps[x * 4 / 256]; }));
    const auto still = readStill(folder / "card.dng");
    ASSERT_TRUE(still) << message(still.error());
    EXPECT_TRUE(still->ofSensor);
    ASSERT_EQ(still->bits, 0);
    ASSERT_EQ(still->size(), kSize);
    for (int step = 0; step < 4; ++step)
        for (const auto& plane : still->light.plane)
            EXPECT_NEAR(static_cast<double>(plane[still->light.at(32 + 64 * step, 80)]),
                        steps[step], 1e-3)
                << "grey is grey under the camera's own white";
    // Each step is as far below the curve's end as it is below a full sensor.
    const Curve curve{CameraLog{2.0, 0.0735, 0.400, 6.0, 0.05, 0.01, std::nullopt}, CodeRange::Full,
                      std::nullopt};
    const auto frame = codesOf(*still, curve, CodeRange::Full);
    const Probe probes[] = {{"a", {0.05, 0.4, 0.1, 0.2}}, {"b", {0.3, 0.4, 0.1, 0.2}}};
    const auto read = probed(frame, curve, {}, probes);
    const double end = endStops(curve, BitDepth{16}).value();
    EXPECT_NEAR(read[0].stops.value(), end - 4, 0.02);
    EXPECT_NEAR(read[1].stops.value(), end - 2, 0.02);
    const auto whole = slurp(folder / "card.dng");
    for (const double share : {0.3, 0.7, 0.97}) {
        spit(folder / "cut.dng",
             whole.substr(0, static_cast<std::size_t>(share * double(whole.size()))));
        EXPECT_FALSE(readStill(folder / "cut.dng")) << "cut at " << share;
    }
    const auto told = codesOf(*still, curve, CodeRange::Full, Stops(5));
    EXPECT_NEAR(probed(told, curve, {}, probes)[1].stops.value(), 3, 0.02);
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
