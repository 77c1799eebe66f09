#include "core/kit/mode_table.h"

#include "core/kit/mode_readings.h"
#include "core/quantity/print.h"
#include "core/quantity/print_gear.h"
#include "core/quantity/scan.h"

#include <algorithm>
#include <array>
#include <regex>

namespace bslate {
namespace {

constexpr std::size_t kMostLines = 2000;

enum class Column { Other, Size, Rate, BitRate, Depth, Chroma, Gop, Codec };

// The words that name a column, the ones that hold another's first.
constexpr std::pair<std::string_view, Column> kHeadings[] = {
    {"bit rate", Column::BitRate},  {"bitrate", Column::BitRate}, {"mb/s", Column::BitRate},
    {"mbps", Column::BitRate},      {"gb/h", Column::BitRate},    {"gb/min", Column::BitRate},
    {"mb/min", Column::BitRate},    {"mbit/s", Column::BitRate},  {"mo/s", Column::BitRate},
    {"gb/s", Column::BitRate},      {"gbps", Column::BitRate},    {"data rate", Column::BitRate},
    {"datenrate", Column::BitRate}, {"bildrate", Column::Rate},   {"bit depth", Column::Depth},
    {"depth", Column::Depth},       {"bits", Column::Depth},      {"chroma", Column::Chroma},
    {"sampling", Column::Chroma},   {"colour", Column::Chroma},   {"color", Column::Chroma},
    {"frame size", Column::Size},   {"resolution", Column::Size}, {"size", Column::Size},
    {"pixels", Column::Size},       {"frame rate", Column::Rate}, {"framerate", Column::Rate},
    {"fps", Column::Rate},          {"rate", Column::Rate},       {"frames", Column::Rate},
    {"gop", Column::Gop},           {"compression", Column::Gop}, {"intra", Column::Gop},
    {"codec", Column::Codec},       {"coding", Column::Codec}};

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
    std::vector<std::string> units; // of bit rates
};

// The unit that a heading names for its bit rates.
std::string unitIn(const std::string& heading) {
    static const std::regex unit(
        "\\b[kKmMgGtT](?:[bB](?:it|its|yte|ytes)?|o)\\s?(?:/\\s?(?:sec|s|S|min|"
        "hour|hr|h)|[pP][sS])\\b");
    std::smatch match;
    return std::regex_search(heading, match, unit) ? match[0].str() : std::string("Mb/s");
}

// The first line, when two or more of its cells name columns.
Heading headingOf(std::string_view line) {
    for (const char between : {'\t', ';', '|', ','}) {
        const auto cells = cellsOf(line, between);
        Heading heading{between, {}, {}};
        int known = 0;
        for (const auto& cell : cells) {
            const auto column = columnOf(cell);
            heading.columns.push_back(column);
            heading.units.push_back(unitIn(cell));
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
std::string asWords(const std::string& cell, Column column, const std::string& unit) {
    const bool bare = std::none_of(cell.begin(), cell.end(), [](char c) {
        return (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z');
    });
    if (!bare)
        return cell;
    switch (column) {
    case Column::Rate:
        return cell + "p";
    case Column::BitRate:
        return cell + " " + unit;
    case Column::Depth:
        return cell + "-bit";
    default:
        return cell;
    }
}

bool repeats(Column column) {
    return column == Column::Size || column == Column::Depth || column == Column::Chroma ||
           column == Column::Gop || column == Column::Codec;
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
                words += asWords(cells[i], column,
                                 column == Column::BitRate ? m_heading.units[i] : std::string()) +
                         " ; ";
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
    std::optional<CodecStandard> standard;
    std::optional<Gop> gop;
    std::optional<BitDepth> depth;
    std::optional<Chroma> chroma;

    void take(const ModeWords& words) {
        if (words.unknownSize)
            size.reset();
        else if (!words.sizes.empty())
            size = words.sizes.front();
        if (words.standards.size() == 1)
            standard = words.standards.front();
        if (words.gop)
            gop = words.gop;
        if (!words.depths.empty())
            depth = words.depths.front();
        if (words.chroma)
            chroma = words.chroma;
    }
};

bool hasDigit(const std::string& text) {
    return std::any_of(text.begin(), text.end(), isDigit);
}

// A line as this program writes modes itself.
std::optional<TableRow> ownRow(std::string_view line) {
    if (line.find('@') == std::string_view::npos)
        return std::nullopt;
    const auto mode = parseModeLine(line);
    if (!mode)
        return std::nullopt;
    TableRow row;
    row.text = trimmedCell(line);
    row.mode = *mode;
    return row;
}

void fillFormat(TableRow& row, const ModeWords& words, const Standing& standing) {
    const auto size = words.sizes.empty() ? standing.size : words.sizes.front();
    const auto gop = words.gop ? words.gop : standing.gop;
    const auto depth = words.depths.empty() ? standing.depth : words.depths.front();
    const auto chroma = words.chroma ? words.chroma : standing.chroma;
    row.mode.name = words.name;
    row.mode.frame = size.value_or(row.mode.frame);
    if (words.standards.size() <= 1) // two on a line: nobody knows which
        row.mode.standard = words.standards.empty()
                                ? standing.standard.value_or(CodecStandard::Untold)
                                : words.standards.front();
    row.mode.gop = gop.value_or(Gop::Long);
    row.mode.depth = depth.value_or(BitDepth{8});
    row.mode.chroma = gop == Gop::Raw ? Chroma::Raw : chroma.value_or(Chroma::C420);
    row.mode.crop = words.crop.value_or(Magnification(1));
    row.mode.sound = !words.mute;
    row.mode.autofocus = !words.manualFocus;
    if (row.heading)
        return;
    if (!size || words.unknownSize)
        row.missing.push_back(ModePart::Size);
    if (!depth)
        row.assumed.push_back(ModePart::Depth);
    if (!chroma && gop != Gop::Raw)
        row.assumed.push_back(ModePart::Chroma);
    if (!gop)
        row.assumed.push_back(ModePart::Gop);
}

TableRow rowOf(std::string_view line, const ModeWords& words, Standing& standing) {
    TableRow row;
    row.text = trimmedCell(line);
    row.rest = words.rest;
    row.label = words.label;
    const bool rated = !words.rates.empty() || words.span;
    row.heading = !rated && words.bitRates.empty();
    if (row.heading)
        standing.take(words);
    fillFormat(row, words, standing);
    if (row.heading)
        return row;
    auto readings = readingsOf(words, row.mode);
    if (!rated)
        row.missing.push_back(ModePart::Rate);
    else if (readings.empty())
        row.missing.push_back(ModePart::BitRate);
    if (!rated && words.bitRates.empty())
        row.missing.push_back(ModePart::BitRate);
    if (!row.missing.empty())
        return row;
    row.mode = readings.front();
    // A number that is left beside those that were taken may change what they mean.
    if (readings.size() > 1 || words.span || !words.bareNumbers.empty() || hasDigit(row.rest))
        row.readings = std::move(readings);
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
        if (auto own = ownRow(lines[i])) {
            rows.push_back(std::move(*own));
            continue;
        }
        rows.push_back(rowOf(lines[i], readModeWords(reader.wordsOf(lines[i])), standing));
    }
    return rows;
}

namespace {

// A format with its rates, and the words that part it from another of the same format.
struct Labelled {
    ModeLine mode;
    std::string label;
};

bool isOfOneKind(ModeLine a, const ModeLine& b) {
    a.rates = b.rates;
    return a == b;
}

bool conflicts(const ModeLine& a, const ModeLine& b) {
    for (const auto& one : a.rates)
        for (const auto& other : b.rates)
            if (one.rate == other.rate && one.bitRate != other.bitRate)
                return true;
    return false;
}

void addRates(ModeLine& to, const ModeLine& from) {
    for (const auto& option : from.rates)
        if (std::none_of(to.rates.begin(), to.rates.end(),
                         [&](const RateOption& one) { return one.rate == option.rate; }))
            to.rates.push_back(option);
}

void place(std::vector<Labelled>& all, const Labelled& one) {
    Labelled* fitting = nullptr;
    std::size_t alike = 0;
    for (auto& other : all) {
        if (!isOfOneKind(other.mode, one.mode))
            continue;
        ++alike;
        const bool same = other.label == one.label;
        if (!conflicts(other.mode, one.mode) && (!fitting || (same && fitting->label != one.label)))
            fitting = &other;
    }
    // Among several of one format the words decide.
    if (fitting && (alike == 1 || fitting->label == one.label))
        addRates(fitting->mode, one.mode);
    else
        all.push_back(one);
}

} // namespace

std::vector<ModeLine> modesIn(std::span<const TableRow> rows) {
    std::vector<Labelled> all;
    for (const auto& row : rows)
        if (row.isMode())
            place(all, {row.mode, row.label});
    std::vector<ModeLine> lines;
    for (const auto& one : all) {
        auto mode = one.mode;
        const auto twin = std::any_of(all.begin(), all.end(), [&](const Labelled& other) {
            return &other < &one && isOfOneKind(other.mode, one.mode);
        });
        if (twin && mode.name.empty())
            mode.name = print(mode.frame) + " " + (one.label.empty() ? "" : one.label + " ") +
                        print(mode.rates.front().bitRate);
        lines.push_back(std::move(mode));
    }
    return lines;
}

} // namespace bslate
