#pragma once

#include "core/frame/image.h"
#include "core/light/colour_chart.h"
#include "core/quantity/number_text.h"
#include "support/random_below.h"

#include <string>
#include <vector>

/// Charts of invented colours, and what a planted sensor makes of them.
namespace bslate::sample {

/// Patches named A1 and on; one row of them neutral, from dark to light.
inline ColourChart chart(int columns, int rows, Random& random) {
    ColourChart chart;
    chart.columns = columns;
    chart.rows = rows;
    const Tristimulus white{kChartWhite.x / kChartWhite.y, 1,
                            (1 - kChartWhite.x - kChartWhite.y) / kChartWhite.y};
    for (int row = 0; row < rows; ++row)
        for (int column = 0; column < columns; ++column) {
            const bool neutral = row == rows - 1;
            const double light =
                neutral ? 0.05 + 0.8 * column / columns : 0.05 + double(below(random, 600)) / 1000;
            ChartPatch patch{
                std::string(1, static_cast<char>('A' + row)) + std::to_string(column + 1), {}};
            for (std::size_t i = 0; i < 3; ++i)
                patch.colour[i] = white[i] * light *
                                  (neutral || i == 1 ? 1 : 0.6 + double(below(random, 801)) / 1000);
            chart.patches.push_back(patch);
        }
    return chart;
}

/// Under a light, as exposed as `exposure`; the white of the sensor sees 1 alike in all channels.
inline std::vector<PatchLight> seen(const ColourChart& chart, const Gamut& sensor,
                                    ColourPoint light, double exposure) {
    const auto matrix = product(xyzToRgb(sensor), bradford(kChartWhite, chromaticityOf(light)));
    std::vector<PatchLight> all;
    for (const auto& patch : chart.patches) {
        PatchLight own;
        for (std::size_t c = 0; c < 3; ++c) {
            double sum = 0;
            for (std::size_t k = 0; k < 3; ++k)
                sum += matrix[c][k] * patch.colour[k];
            own.light[c] = SceneLinear(exposure * sum);
        }
        all.push_back(own);
    }
    return all;
}

/// Its colours as CGATS text.
inline std::string textOf(const ColourChart& chart) {
    std::string text = "CGATS.17\nDESCRIPTOR \"invented\"\nNUMBER_OF_FIELDS 4\n"
                       "BEGIN_DATA_FORMAT\nSAMPLE_ID XYZ_X XYZ_Y XYZ_Z\nEND_DATA_FORMAT\n"
                       "NUMBER_OF_SETS " +
                       std::to_string(chart.patches.size()) + "\nBEGIN_DATA\n";
    for (const auto& patch : chart.patches) {
        text += patch.id;
        for (const double one : patch.colour)
            text += " " + exact(100 * one); // whatever the locale
        text += "\n";
    }
    return text + "END_DATA\n";
}

/// A picture in whose middle half, across and down, the chart stands: patches with borders.
inline Image pictureOf(const ColourChart& chart, const std::vector<PatchLight>& seen) {
    constexpr int kPatch = 20;
    Image image({2 * kPatch * chart.columns, 2 * kPatch * chart.rows});
    for (int y = 0; y < image.size.height; ++y)
        for (int x = 0; x < image.size.width; ++x) {
            const int column = x / kPatch - chart.columns / 2, row = y / kPatch - chart.rows / 2;
            const bool border = x % kPatch < 3 || y % kPatch < 3;
            const bool inside =
                column >= 0 && row >= 0 && column < chart.columns && row < chart.rows && !border;
            for (std::size_t c = 0; c < 3; ++c)
                image.plane[c][image.at(x, y)] = static_cast<float>(
                    inside ? seen[static_cast<std::size_t>(row * chart.columns + column)]
                                 .light[c]
                                 .value()
                           : 0.02);
        }
    return image;
}
inline constexpr PictureArea kChartIn{0.25, 0.25, 0.5, 0.5};

} // namespace bslate::sample
