#include "core/kit/mode_table.h"

#include "core/kit/mode_words.h"
#include "core/quantity/scan.h"

#include <algorithm>
#include <array>

namespace bslate {
namespace {

constexpr std::size_t kMostLines = 2000;

enum class Column { Other, Size, Rate, BitRate, Depth, Chroma, Gop };

// The words that name a column, the ones that hold another's first.
constexpr std::pair<std::string_view, Column> kHeadings[] = {
    {"bit rate", Column::BitRate}, {"bitrate", Column::BitRate},   {"mb/s", Column::BitRate},
    {"mbps", Column::BitRate},     {"data rate", Column::BitRate}, {"bit depth", Column::Depth},
    {"depth", Column::Depth},      {"bits", Column::Depth},        {"chroma", Column::Chroma},
    {"sampling", Column::Chroma},  {"colour", Column::Chroma},     {"color", Column::Chroma},
    {"frame size", Column::Size},  {"resolution", Column::Size},   {"size", Column::Size},
    {"pixels", Column::Size},      {"frame rate", Column::Rate},   {"framerate", Column::Rate},
    {"fps", Column::Rate},         {"rate", Column::Rate},         {"frames", Column::Rate},
    {"gop", Column::Gop},          {"compression", Column::Gop},   {"intra", Column::Gop}};

Column columnOf(std::string_view cell) {
    const auto heading = lowered(cell);
    for (const auto& [word, column] : kHeadings)
        if (heading.find(word) != std::string::npos)
            return column;
    return Column::Other;
}

std::string trimmedCell(std::string_view cell) {
    while (!cell.empty() && (isSpace(cell.front()) || cell.front() == '\r'))
        cell.remove_prefix(1);
    while (!cell.empty() && (isSpace(cell.back()) || cell.back() == '\r'))
        cell.remove_suffix(1);
    return std::string(cell);
}

// Cells of a line; a quote keeps what parts them.
std::vector<std::string> cellsOf(std::string_view line, char between) {
    std::vector<std::string> cells(1);
    bool quoted = false;
    for (const char c : line) {
        if (c == '"')
            quoted = !quoted;
        else if (c == between && !quoted)
            cells.emplace_back();
        else
            cells.back() += c;
    }
    for (auto& cell : cells)
        cell = trimmedCell(cell);
    return cells;
}

std::vector<std::string_view> linesOf(std::string_view text) {
    std::vector<std::string_view> lines;
    while (!text.empty() && lines.size() < kMostLines) {
        const auto end = text.find('\n');
        const auto line = text.substr(0, end);
        if (!trimmedCell(line).empty())
            lines.push_back(line);
        text.remove_prefix(end == std::string_view::npos ? text.size() : end + 1);
    }
    return lines;
}

struct Heading {
    char between = 0; // 0: no table
    std::vector<Column> columns;
};

// The first line, when two or more of its cells name columns.
Heading headingOf(std::string_view line) {
    for (const char between : {'\t', ';', '|', ','}) {
        const auto cells = cellsOf(line, between);
        Heading heading{between, {}};
        int known = 0;
        for (const auto& cell : cells) {
            const auto column = columnOf(cell);
            heading.columns.push_back(column);
            const bool number = std::any_of(cell.begin(), cell.end(), isDigit);
            known += column != Column::Other && !number;
        }
        if (known >= 2)
            return heading;
    }
    return {};
}

bool isBlank(const std::string& cell) {
    return cell.empty() || cell == "-" || cell == "\u2013" || cell == "\u2014" || cell == "\"";
}

// A cell with the unit that its column stands for.
std::string asWords(const std::string& cell, Column column) {
    const bool bare = std::none_of(cell.begin(), cell.end(), [](char c) {
        return (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z');
    });
    if (!bare)
        return cell;
    switch (column) {
    case Column::Rate:
        return cell + "p";
    case Column::BitRate:
        return cell + " Mb/s";
    case Column::Depth:
        return cell + "-bit";
    default:
        return cell;
    }
}

bool repeats(Column column) {
    return column == Column::Size || column == Column::Depth || column == Column::Chroma ||
           column == Column::Gop;
}

// Lines of a table become lines of words.
class TableReader {
public:
    explicit TableReader(Heading heading)
        : m_heading(std::move(heading))
        , m_above(m_heading.columns.size()) {}

    std::string wordsOf(std::string_view line) {
        if (m_heading.between == 0)
            return std::string(line);
        auto cells = cellsOf(line, m_heading.between);
        std::string words;
        for (std::size_t i = 0; i < cells.size(); ++i) {
            const auto column = i < m_heading.columns.size() ? m_heading.columns[i] : Column::Other;
            if (i < m_above.size() && repeats(column)) {
                if (isBlank(cells[i]))
                    cells[i] = m_above[i];
                m_above[i] = cells[i];
            }
            if (!isBlank(cells[i]))
                words += asWords(cells[i], column) + " ; ";
        }
        return words;
    }

private:
    Heading m_heading;
    std::vector<std::string> m_above;
};

// What lines above have said for those below.
struct Standing {
    std::optional<FrameSize> size;
    std::optional<Gop> gop;
    std::optional<BitDepth> depth;
    std::optional<Chroma> chroma;

    void take(const ModeWords& words) {
        if (words.size)
            size = words.size;
        if (words.gop)
            gop = words.gop;
        if (words.depth)
            depth = words.depth;
        if (words.chroma)
            chroma = words.chroma;
    }
};

// One bit rate for all rates, or as many as there are groups of rates.
void pairRates(const ModeWords& words, TableRow& row) {
    if (words.rates.empty())
        row.missing.push_back(ModePart::Rate);
    if (words.bitRates.empty() ||
        (words.bitRates.size() > 1 && words.bitRates.size() != words.rates.size()))
        row.missing.push_back(ModePart::BitRate);
    for (std::size_t i = 0; i < words.rates.size(); ++i)
        for (const auto rate : words.rates[i]) {
            const auto bits = words.bitRates.size() == words.rates.size() ? words.bitRates[i]
                              : words.bitRates.size() == 1                ? words.bitRates[0]
                                                                          : DataRate(0);
            const bool there =
                std::any_of(row.mode.rates.begin(), row.mode.rates.end(),
                            [rate](const RateOption& one) { return one.rate == rate; });
            if (!there)
                row.mode.rates.push_back({rate, bits});
        }
}

TableRow rowOf(std::string_view line, const ModeWords& words, Standing& standing) {
    TableRow row;
    row.text = trimmedCell(line);
    row.rest = words.rest;
    const bool speaks = words.size || words.gop || words.depth || words.chroma;
    row.heading = words.rates.empty() && words.bitRates.empty();
    if (row.heading && speaks)
        standing.take(words);
    const auto size = words.size ? words.size : standing.size;
    const auto gop = words.gop ? words.gop : standing.gop;
    const auto depth = words.depth ? words.depth : standing.depth;
    const auto chroma = words.chroma ? words.chroma : standing.chroma;
    row.mode.name = words.name;
    row.mode.frame = size.value_or(row.mode.frame);
    row.mode.gop = gop.value_or(Gop::Long);
    row.mode.depth = depth.value_or(BitDepth{8});
    row.mode.chroma = gop == Gop::Raw ? Chroma::Raw : chroma.value_or(Chroma::C420);
    row.mode.crop = words.crop.value_or(Magnification(1));
    row.mode.sound = !words.mute;
    row.mode.autofocus = !words.manualFocus;
    if (row.heading)
        return row;
    if (!size)
        row.missing.push_back(ModePart::Size);
    pairRates(words, row);
    if (!depth)
        row.assumed.push_back(ModePart::Depth);
    if (!chroma && gop != Gop::Raw)
        row.assumed.push_back(ModePart::Chroma);
    if (!gop)
        row.assumed.push_back(ModePart::Gop);
    return row;
}

} // namespace

std::vector<TableRow> readModeTable(std::string_view text) {
    const auto lines = linesOf(text);
    std::vector<TableRow> rows;
    if (lines.empty())
        return rows;
    const auto heading = headingOf(lines.front());
    TableReader reader(heading);
    Standing standing;
    for (std::size_t i = 0; i < lines.size(); ++i) {
        if (i == 0 && heading.between != 0) {
            TableRow row;
            row.text = trimmedCell(lines[i]);
            row.heading = true;
            rows.push_back(std::move(row));
            continue;
        }
        rows.push_back(rowOf(lines[i], readModeWords(reader.wordsOf(lines[i])), standing));
    }
    return rows;
}

std::vector<ModeLine> merged(std::span<const ModeLine> lines) {
    std::vector<ModeLine> all;
    for (const auto& line : lines) {
        const auto same = std::find_if(all.begin(), all.end(), [&](const ModeLine& other) {
            auto alike = line;
            alike.rates = other.rates;
            return alike == other;
        });
        if (same == all.end()) {
            all.push_back(line);
            continue;
        }
        for (const auto& option : line.rates)
            if (std::none_of(same->rates.begin(), same->rates.end(),
                             [&](const RateOption& one) { return one.rate == option.rate; }))
                same->rates.push_back(option);
    }
    return all;
}

std::vector<ModeLine> modesIn(std::span<const TableRow> rows) {
    std::vector<ModeLine> lines;
    for (const auto& row : rows)
        if (row.isMode())
            lines.push_back(row.mode);
    return merged(lines);
}

} // namespace bslate
