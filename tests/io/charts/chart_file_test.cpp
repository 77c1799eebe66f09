// Colours of charts as their files tell them: L*a*b* against the colour library, order, refusals.
#include "io/charts/chart_file.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <lcms2.h>

namespace bslate::io {
namespace {

std::string table(const std::string& format, const std::string& rows, int sets) {
    const auto fields = std::count(format.begin(), format.end(), ' ') + 1;
    return "CGATS.17\nNUMBER_OF_FIELDS " + std::to_string(fields) + "\nBEGIN_DATA_FORMAT\n" +
           format + "\nEND_DATA_FORMAT\nNUMBER_OF_SETS " + std::to_string(sets) + "\nBEGIN_DATA\n" +
           rows + "END_DATA\n";
}

// Little CMS converts by the ICC's D50, 0.9642 1 0.8249.
TEST(ChartFile, LabIsWhatTheColourLibraryMakesOfIt) {
    const cmsCIELab labs[] = {{100, 0, 0}, {50, 20, -30}, {38, 14, 14}, {4, 1, -2}, {81, -30, 60}};
    std::string rows;
    for (int i = 0; i < 5; ++i)
        rows += "A" + std::to_string(i + 1) + " " + std::to_string(int(labs[i].L)) + " " +
                std::to_string(int(labs[i].a)) + " " + std::to_string(int(labs[i].b)) + "\n";
    const auto chart = readChart(table("SAMPLE_ID LAB_L LAB_A LAB_B", rows, 5), "a.txt");
    ASSERT_TRUE(chart) << message(chart.error());
    for (std::size_t i = 0; i < 5; ++i) {
        cmsCIEXYZ xyz;
        cmsLab2XYZ(nullptr, &xyz, &labs[i]);
        EXPECT_NEAR(chart->patches[i].colour[0], xyz.X, 3e-4) << i;
        EXPECT_NEAR(chart->patches[i].colour[1], xyz.Y, 1e-6) << i;
        EXPECT_NEAR(chart->patches[i].colour[2], xyz.Z, 3e-4) << i;
    }
}

TEST(ChartFile, NamesTellRowsAndColumnsInAnyOrder) {
    const auto chart = readChart(
        table("SAMPLE_ID XYZ_X XYZ_Y XYZ_Z", "B2 4 4 4\nA1 10 10 10\nB1 3 3 3\nA2 20 20 20\n", 4),
        "a.txt");
    ASSERT_TRUE(chart) << message(chart.error());
    EXPECT_EQ(chart->columns, 2);
    EXPECT_EQ(chart->rows, 2);
    EXPECT_EQ(chart->patches[1].id, "A2");
    EXPECT_NEAR(chart->patches[1].colour[1], 0.2, 1e-12) << "of 100";
    EXPECT_NEAR(chart->patches[2].colour[1], 0.03, 1e-12);
    EXPECT_FALSE(readChart(table("SAMPLE_ID XYZ_X XYZ_Y", "A1 1 1\n", 1), "a.txt"));
    EXPECT_FALSE(readChart(table("SAMPLE_ID XYZ_X XYZ_Y XYZ_Z", "A1 1 x 1\n", 1), "a.txt"));
}

} // namespace
} // namespace bslate::io
