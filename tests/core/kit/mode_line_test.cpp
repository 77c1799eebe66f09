#include "core/kit/check.h"
#include "core/kit/kit.h"
#include "core/kit/mode_line.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

Camera body() {
    Camera camera;
    camera.areas = {{"full", "Full", Millimetres(36), Millimetres(20.25), Seconds(0), {}, {}}};
    return camera;
}

TEST(ModeLine, AMenuEntryBecomesAMode) {
    const auto line = parseModeLine("UHD long 10-bit 4:2:2 24/25@100 50/59.94@150 crop1.5 mute mf "
                                    "clip29:59 heat20min@35C heat45min@25C external Fast one");
    ASSERT_TRUE(line.ok()) << message(line.error());
    EXPECT_EQ(line->name, "Fast one");
    EXPECT_EQ(line->depth.bits, 10);
    EXPECT_EQ(line->rates.size(), 4u);
    EXPECT_EQ(line->rates[3], (RateOption{{Rational(60000, 1001)}, DataRate(150e6)}));
    EXPECT_EQ(line->clipLimit, Seconds(1799));
    EXPECT_EQ(line->heat[0].ambient, Celsius(25)) << "rising";
    Camera camera = body();
    addMode(camera, *line);
    const auto& mode = camera.modes.front();
    EXPECT_EQ(mode.id, "fast-one");
    EXPECT_NEAR(findArea(camera, mode.area)->width.value(), 24, 1e-12);
    EXPECT_FALSE(mode.sound || mode.autofocus || !mode.externalPower);
}

TEST(ModeLine, ModesShareAreasAndCodecsAndGetTheirOwnIds) {
    Camera camera = body();
    for (const char* text : {"UHD long 10-bit 4:2:2 24@100", "HD long 10-bit 4:2:2 24@50",
                             "UHD long 10-bit 4:2:2 24@100", "UHD raw 12-bit 24@900 crop1.5",
                             "UHD intra 10-bit 4:2:2 120@1200 crop1.5 off1-120 sensorrate"})
        addMode(camera, *parseModeLine(text));
    EXPECT_EQ(camera.codecs.size(), 3u);
    EXPECT_EQ(camera.areas.size(), 2u);
    camera.bases = {{}};
    Kit kit;
    kit.cameras = {camera};
    EXPECT_TRUE(checkKit(kit).ok());
}

TEST(ModeLine, WhatIsWrittenReadsBackTheSame) {
    Camera camera = body();
    for (const char* text :
         {"\"Fast UHD, twice\" UHD long 8-bit 4:2:0 24/25@100 50@150.5 crop1.5 mute clip29:59",
          "Raw 6016x3168 raw 12-bit 23.976/24@1400 external heat20min@-5C off1-60 sensorrate"}) {
        const auto line = parseModeLine(text);
        ASSERT_TRUE(line.ok()) << text << message(line.error());
        addMode(camera, *line);
        const auto again = parseModeLine(lineOf(camera, camera.modes.back()));
        ASSERT_TRUE(again.ok()) << lineOf(camera, camera.modes.back());
        EXPECT_EQ(*again, *line) << lineOf(camera, camera.modes.back());
    }
}

TEST(ModeLine, RatesThatDecimalsDoNotSayAreFractions) {
    Camera camera = body();
    addMode(camera, *parseModeLine("UHD long 8-bit 4:2:0 23.976/2997:125/24@100"));
    const auto& rates = camera.modes[0].rates;
    ASSERT_EQ(rates.size(), 3u);
    EXPECT_EQ(rates[0].rate, (FrameRate{Rational(24000, 1001)}));
    EXPECT_EQ(rates[1].rate, (FrameRate{Rational(2997, 125)}));
    const auto line = lineOf(camera, camera.modes[0]);
    EXPECT_NE(line.find("23.976/2997:125/24@100"), std::string::npos) << line;
    EXPECT_EQ(parseModeLine(line)->rates, rates);
}

TEST(ModeLine, WhatCannotBeReadIsNamed) {
    const struct {
        const char* text;
        const char* got;
    } rows[] = {{"long 24@100", "no frame size"},    {"UHD long", "no rate with its bit rate"},
                {"UHD 24@fast", "24@fast"},          {"UHD 24@0", "24@0"},
                {"UHD 24/24@100", "24/24@100"},      {"UHD 24@100 crop99", "crop99"},
                {"UHD 24@100 heat@35C", "heat@35C"}, {"UHD 24@100 99-bit", "99-bit"},
                {"UHD 24@100 off60-1", "off60-1"},   {"", "no frame size"}};
    for (const auto& row : rows) {
        const auto line = parseModeLine(row.text);
        ASSERT_FALSE(line.ok()) << row.text;
        EXPECT_EQ(line.error().got, row.got);
        EXPECT_NE(line.error().expected.find("24/25@100"), std::string::npos);
    }
}

} // namespace
} // namespace bslate
