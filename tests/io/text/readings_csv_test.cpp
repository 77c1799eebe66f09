#include "io/text/readings_csv.h"

#include "io/system/files.h"
#include "support/temporary_folder.h"

#include <gtest/gtest.h>

#include <cmath>

namespace bslate::io {
namespace {

TEST(ReadingsCsv, TakesTheSpellingsPeopleHave) {
    const char* spellings[] = {
        "stop,percent,noise\n-1,30.5,0.4\n0,40.9,0.3\n",
        "\xEF\xBB\xBFStop;Percent;Noise\r\n-1;30,5;0,4\r\n0;40,9;0,3\r\n",
        "# my camera\n-1\t30.5\t0.4\n\n0\t40.9\t0.3\n",
        "noise_percent, stops, level\n0.4, \xE2\x88\x92"
        "1, 30.5 %\n0.3, +0, 40.9\n",
        "-1,30.5,30.5,30.5,0.4\n0,40.9,40.9,40.9,0.3\n",
        "stop,red_percent,green_percent,blue_percent,noise_percent\n"
        "-1,30.5,30.5,30.5,0.4\n0,40.9,40.9,40.9,0.3\n",
    };
    for (const auto* text : spellings) {
        const auto read = readReadings(text, {ReadingUnit::Auto, BitDepth{10}, CodeRange::Legal});
        ASSERT_TRUE(read.ok()) << text << message(read.error());
        ASSERT_EQ(read->size(), 2u) << text;
        EXPECT_EQ((*read)[0].stops, Stops(-1)) << text;
        EXPECT_NEAR((*read)[0].rgb[2].value(), 0.305, 1e-9) << text;
        ASSERT_TRUE((*read)[1].noise) << text;
        EXPECT_NEAR((*read)[1].noise->value(), 0.003, 1e-9) << text;
    }
}

// Code 423 of 10 bits is (423 - 64) / 876 = 40.98 % and, on a full-range curve, 423 / 1023.
TEST(ReadingsCsv, KnowsCodesFromPercent) {
    const auto read = readReadings("-9, 90\n0, 423\n2, 571\n", {});
    ASSERT_TRUE(read.ok());
    EXPECT_NEAR((*read)[1].rgb[0].value(), 423.0 / 1023, 1e-9);
    const auto eight = readReadings("stop,code\n0,105\n", {ReadingUnit::Auto, BitDepth{8}, {}});
    EXPECT_NEAR((*eight)[0].rgb[0].value(), 105.0 / 255, 1e-9);
}

TEST(ReadingsCsv, WritesWhatItReads) {
    std::vector<SeriesReading> readings;
    for (int i = -6; i < 6; ++i)
        readings.push_back({Stops(i),
                            {Signal(0.4 + i * 0.05), Signal(0.41 + i * 0.05), Signal(0.5)},
                            i % 2 ? std::optional(Signal(0.002)) : std::nullopt});
    const auto again = readReadings(writeReadings(readings, CodeRange::Full),
                                    {ReadingUnit::Auto, BitDepth{10}, CodeRange::Full});
    ASSERT_TRUE(again.ok()) << message(again.error());
    ASSERT_EQ(again->size(), readings.size());
    for (std::size_t i = 0; i < readings.size(); ++i) {
        EXPECT_EQ((*again)[i].noise.has_value(), readings[i].noise.has_value());
        for (std::size_t c = 0; c < 3; ++c)
            EXPECT_NEAR((*again)[i].rgb[c].value(), readings[i].rgb[c].value(), 1e-4);
    }
}

struct Broken {
    const char *name, *text, *place, *expected;
};

class BrokenReadings : public ::testing::TestWithParam<Broken> {};

TEST_P(BrokenReadings, NameTheLine) {
    const auto read = readReadings(GetParam().text, {});
    ASSERT_FALSE(read.ok());
    EXPECT_EQ(read.error().place, GetParam().place) << message(read.error());
    EXPECT_NE(read.error().expected.find(GetParam().expected), std::string::npos)
        << message(read.error());
}

INSTANTIATE_TEST_SUITE_P(
    Texts, BrokenReadings,
    ::testing::Values(Broken{"empty", "", "", "lines of stop"},
                      Broken{"comments", "# nothing\n\n", "", "lines of stop"},
                      Broken{"word", "0,40\nbright,50\n", "line 2", "a number in column 1"},
                      Broken{"missing", "0,40\n1\n", "line 2", "on every line"},
                      Broken{"heading", "stop,light\n0,40\n", "line 1", "percent or code"},
                      Broken{"swapped", "90,-9\n423,0\n571,2\n", "line 3", "swapped"},
                      Broken{"far", "0,40\n55,900\n", "line 2", "within 40"},
                      Broken{"noise", "0,40,-1\n", "line 1", "0 or more"},
                      Broken{"nan", "0,nan\n", "line 1", "a number"},
                      Broken{"level", "stop,percent\n0,4000\n", "line 2", "can be recorded"},
                      Broken{"wide", "0,1,2,3,4,5,6,7,8,9,0,1,2,3,4,5,6,7\n", "line 1",
                             "16 columns"}),
    [](const auto& at) { return at.param.name; });

TEST(ReadingsCsv, TheDemoSeriesFits) {
    const auto text = readFile(sample::root() / "data/demo/sedge-2-series.csv");
    ASSERT_TRUE(text.ok());
    const auto read = readReadings(*text);
    ASSERT_TRUE(read.ok()) << message(read.error());
    EXPECT_GT(read->size(), 20u);
    std::string many;
    for (std::size_t i = 0; i <= kMostReadings; ++i)
        many += "0,40\n";
    EXPECT_EQ(readReadings(many).error().place, "line 2001");
}

} // namespace
} // namespace bslate::io
