// Tables as manuals print them, in several notations; all invented.
#include "core/kit/mode_table.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

FrameRate rate(std::int64_t frames, std::int64_t seconds = 1) {
    return FrameRate{Rational(frames, seconds)};
}

struct PrintedLine {
    const char* text;
    const char* says; ///< the mode as a line of our own
    const char* rest = "";
    friend void PrintTo(const PrintedLine& one, std::ostream* out) { *out << one.text; }
};
class ModeTableLine : public ::testing::TestWithParam<PrintedLine> {};

TEST_P(ModeTableLine, IsUnderstood) {
    const auto& printed = GetParam();
    const auto rows = readModeTable(printed.text);
    ASSERT_EQ(rows.size(), 1u);
    EXPECT_TRUE(rows[0].isMode());
    EXPECT_EQ(rows[0].rest, printed.rest);
    const auto own = parseModeLine(printed.says);
    ASSERT_TRUE(own) << message(own.error());
    EXPECT_EQ(rows[0].mode, *own);
}
INSTANTIATE_TEST_SUITE_P(
    Tables, ModeTableLine,
    ::testing::Values(
        PrintedLine{"4K UHD 3840 x 2160 23.98p 100 Mbps 4:2:2 10 bit Long GOP",
                    "UHD long 10-bit 4:2:2 23.98@100"},
        PrintedLine{"3840\u00d72160\t59.94/50\t~200 Mb/s\tALL-I\t10-bit\t4:2:2",
                    "UHD intra 10-bit 4:2:2 59.94/50@200"},
        PrintedLine{"FHD, 119.88p, 8bit 4:2:0, IPB, 60M, no audio",
                    "FHD long 8-bit 4:2:0 119.88@60 mute"},
        PrintedLine{"C4K | 24, 25, 29.97 fps | I-frame | 400Mbps | 422 | 10 bit",
                    "4KDCI intra 10-bit 4:2:2 24/25/29.97@400"},
        PrintedLine{"1080p50 Intra 10 bit 4:2:2 222Mbps", "FHD intra 10-bit 4:2:2 50@222"},
        PrintedLine{"1080/25p long gop 8 bit 4:2:0 28 Mbit/s", "FHD long 8-bit 4:2:0 25@28"},
        PrintedLine{"4096 x 2160 25p 100Mbps / 50p 150Mbps Long GOP 10-bit 4:2:0",
                    "4KDCI long 10-bit 4:2:0 25@100 50@150"},
        PrintedLine{"UHD 23,98p 12.5 MB/s intra 10 bits 4.2.2", "UHD intra 10-bit 4:2:2 23.98@100"},
        PrintedLine{"6,048 x 4,032 24p raw 12-bit 1.9 Gbps", "6048x4032 raw 12-bit 24@1900"},
        PrintedLine{"UHD 120p 1.6x crop manual focus only 10 bit 4:2:0 long 280M",
                    "UHD long 10-bit 4:2:0 120@280 crop1.6 mf"},
        PrintedLine{"Super fine UHD 25p 150Mbps 4:2:2 10bit intra (MP4)",
                    "UHD intra 10-bit 4:2:2 25@150", "Super fine"}));

TEST(ModeTable, ColumnsStandInAnyOrderAndEmptyCellsRepeat) {
    const auto rows = readModeTable("Bit rate (Mbps);Frame rate;Resolution;Bit depth;Chroma;GOP\n"
                                    "100;23.98;UHD;10;4:2:2;Long\n"
                                    "150;50 / 59.94;;;;\n"
                                    "\n"
                                    "240;25;;;;ALL-I\r\n"
                                    "n/a;30;;;;\n");
    ASSERT_EQ(rows.size(), 5u);
    EXPECT_TRUE(rows[0].heading);
    const auto modes = modesIn(rows);
    ASSERT_EQ(modes.size(), 2u);
    EXPECT_EQ(modes[0].rates, (std::vector<RateOption>{{rate(24000, 1001), DataRate(100e6)},
                                                       {rate(50), DataRate(150e6)},
                                                       {rate(60000, 1001), DataRate(150e6)}}));
    EXPECT_EQ(modes[1].gop, Gop::Intra);
    EXPECT_EQ(modes[1].depth.bits, 10);
    EXPECT_EQ(rows[4].missing, std::vector{ModePart::BitRate});
    EXPECT_EQ(rows[4].rest, "n/a");
}

TEST(ModeTable, CommasPartCellsUnderAHeading) {
    const auto rows = readModeTable(
        "size,fps,mbps,depth,sampling,compression\n\"3,840 x 2,160\",25,100,10,422,intra\n");
    ASSERT_EQ(rows.size(), 2u);
    ASSERT_TRUE(rows[1].isMode());
    EXPECT_EQ(rows[1].mode, *parseModeLine("UHD intra 10-bit 4:2:2 25@100"));
}

TEST(ModeTable, ALineAboveSpeaksForThoseBelow) {
    const auto rows = readModeTable("4K UHD (3840 x 2160), 10-bit 4:2:2\n"
                                    "  25p 100 Mbps Long GOP\n"
                                    "  50p 200 Mbps Long GOP\n"
                                    "Full HD\n"
                                    "  100p 60 Mbps Long GOP\n"
                                    "All modes need a fast card\n");
    ASSERT_EQ(rows.size(), 6u);
    EXPECT_TRUE(rows[0].heading && rows[3].heading && rows[5].heading);
    EXPECT_EQ(rows[5].rest, "All modes need a fast card");
    const auto modes = modesIn(rows);
    ASSERT_EQ(modes.size(), 2u);
    EXPECT_EQ(modes[0].rates.size(), 2u);
    EXPECT_EQ(modes[1].frame, (FrameSize{1920, 1080}));
    EXPECT_EQ(modes[1].depth.bits, 10) << "nothing else was said";
}

TEST(ModeTable, WhatIsNotToldIsAssumedAndSaidWhatIsNotEnoughIsKept) {
    const auto rows = readModeTable("UHD 25p 60 Mbps\n25p 60 Mbps\nUHD 50i 60 Mbps\nUHD 24p 25p\n"
                                    "UHD 24p / 25p 60 Mbps 80 Mbps 100 Mbps");
    ASSERT_EQ(rows.size(), 5u);
    EXPECT_EQ(rows[0].assumed, (std::vector{ModePart::Depth, ModePart::Chroma, ModePart::Gop}));
    EXPECT_EQ(rows[0].mode.depth.bits, 8);
    EXPECT_EQ(rows[1].missing, std::vector{ModePart::Size});
    EXPECT_EQ(rows[2].missing, std::vector{ModePart::Rate}) << "fields are no frames";
    EXPECT_EQ(rows[2].rest, "50i");
    EXPECT_EQ(rows[3].missing, std::vector{ModePart::BitRate});
    EXPECT_EQ(rows[4].missing, std::vector{ModePart::BitRate}) << "which is whose?";
}

TEST(ModeTable, TakesAnythingWithoutEnd) {
    EXPECT_TRUE(readModeTable("").empty());
    EXPECT_TRUE(readModeTable("\n \t\n").empty());
    const std::string wide(100'000, '9');
    const auto rows = readModeTable(wide + "\n" + std::string("\0\x01\xff,;|\t\"", 8) + "\n");
    ASSERT_EQ(rows.size(), 2u);
    EXPECT_FALSE(rows[0].isMode());
    EXPECT_EQ(rows[0].rest.size(), wide.size()) << "all of it is kept";
    std::string many;
    for (int i = 0; i < 3000; ++i)
        many += "UHD 25p 100 Mbps\n";
    EXPECT_EQ(readModeTable(many).size(), 2000u);
}

} // namespace
} // namespace bslate
