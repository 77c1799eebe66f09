#pragma once

#include "core/kit/mode_line.h"

#include <optional>
#include <span>
#include <string>
#include <string_view>
#include <vector>

/// Recording modes as a manual or a maker's page prints them: a mode a line, or a table whose
/// columns stand in any order, parted by tabs, semicolons, bars or commas. What is
/// understood of each line stands beside what is not, and a line that can mean two things is asked
/// about.
namespace bslate {

enum class ModePart { Size, Rate, BitRate, Depth, Chroma, Gop };

struct TableRow {
    std::string text;  ///< as it was given
    ModeLine mode;     ///< what was understood, with what the lines above it said for all below
    std::string rest;  ///< what was not understood
    std::string label; ///< of that, the words that may part it from another mode of its format
    /// Two or more things it can mean, or one beside a number that is left: none of them is taken
    /// until one is written instead of the line, as lineOf() spells it.
    std::vector<ModeLine> readings;
    bool heading = false;          ///< says something for the lines below it, and is no mode
    std::vector<ModePart> missing; ///< without these it is no mode: size, rate, bit rate
    std::vector<ModePart> assumed; ///< not told: 8-bit, 4:2:0, long
    [[nodiscard]] bool isMode() const { return !heading && missing.empty() && readings.empty(); }
    friend bool operator==(const TableRow&, const TableRow&) = default;
};

/// Lines that are not empty; the line that names columns is a heading. A cell that is empty repeats
/// the one above it where its column has size, depth, chroma or group. Sizes: `3840 x 2160`, `4K
/// UHD`, `4K DCI`, `FHD`, `1080p`; rates: `23.98p`, `59.94/50`, `24, 25 fps`; bit rates: `100
/// Mbps`,
/// `~100 M`, `12.5 MB/s`, `45 GB/h`, one for all rates or as many as there are rates, numbers in
/// the spellings of all languages; `10 bit`, `4:2:2`; `ALL-I`, `Intra`, `I-frame`, `Long GOP`,
/// `IPB`, `raw`; `1.5x crop`, `no sound`, `no AF`. At most 2000 lines of 500 signs each are read.
[[nodiscard]] std::vector<TableRow> readModeTable(std::string_view text);

/// The modes of rows, those of one format together with all their rates. Another bit rate of a rate
/// that is there makes another mode of that format, under a name of its own.
[[nodiscard]] std::vector<ModeLine> modesIn(std::span<const TableRow> rows);

} // namespace bslate
