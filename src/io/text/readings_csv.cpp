#include "io/text/readings_csv.h"

#include "core/quantity/print.h"

#include <algorithm>
#include <array>
#include <charconv>
#include <cmath>
#include <optional>

namespace bslate::io {
namespace {

constexpr std::size_t kMostColumns = 16;
constexpr double kSwappedSpan = 40; // stops no series spans

enum class Column { Ignored, Stop, Value, Red, Green, Blue, Noise };

std::string_view trimmed(std::string_view text) {
    constexpr std::string_view kSpace = " \t\r\"";
    const auto first = text.find_first_not_of(kSpace);
    if (first == std::string_view::npos)
        return {};
    return text.substr(first, text.find_last_not_of(kSpace) - first + 1);
}

char separatorOf(std::string_view line) {
    for (const char c : {';', '\t'})
        if (line.find(c) != std::string_view::npos)
            return c;
    return ',';
}

std::vector<std::string_view> fieldsOf(std::string_view line, char separator) {
    std::vector<std::string_view> fields;
    while (fields.size() <= kMostColumns) {
        const auto end = line.find(separator);
        fields.push_back(trimmed(line.substr(0, end)));
        if (end == std::string_view::npos)
            break;
        line.remove_prefix(end + 1);
    }
    return fields;
}

std::optional<double> numberIn(std::string_view field, bool decimalComma) {
    std::string text(field);
    if (decimalComma)
        std::replace(text.begin(), text.end(), ',', '.');
    for (const std::string_view sign : {"\xE2\x88\x92", "\xE2\x80\x93"}) // minus and en dash
        if (text.starts_with(sign))
            text.replace(0, sign.size(), "-");
    while (!text.empty() && (text.back() == '%' || text.back() == ' '))
        text.pop_back();
    const char* from = text.data() + (text.starts_with('+') ? 1 : 0);
    double value = 0;
    const auto [end, error] = std::from_chars(from, text.data() + text.size(), value);
    const bool whole = error == std::errc() && end == text.data() + text.size();
    return whole && std::isfinite(value) ? std::optional(value) : std::nullopt;
}

std::string lowered(std::string_view text) {
    std::string result(text);
    for (char& c : result)
        c = c >= 'A' && c <= 'Z' ? static_cast<char>(c - 'A' + 'a') : c == ' ' ? '_' : c;
    return result;
}

class Reader {
public:
    explicit Reader(const ReadingsFormat& format)
        : m_format(format) {}

    Outcome line(std::string_view text, int number) {
        m_line = number;
        text = trimmed(text);
        if (text.empty() || text.front() == '#')
            return Done{};
        if (!m_separator)
            m_separator = separatorOf(text);
        const auto fields = fieldsOf(text, *m_separator);
        if (fields.size() > kMostColumns)
            return wrong(ErrorCode::OutOfRange, {}, "at most 16 columns");
        if (m_layout.columns.empty())
            if (auto outcome = layout(fields); !outcome || m_layout.heading)
                return outcome;
        return reading(fields);
    }

    Result<std::vector<SeriesReading>> finish() {
        if (m_rows.empty())
            return Error{ErrorCode::EmptyText, {}, {}, {}, "lines of stop, percent or code"};
        if (auto outcome = lookForSwap(); !outcome)
            return outcome.error();
        const bool anyHigh = std::any_of(m_rows.begin(), m_rows.end(), [](const Row& row) {
            return std::any_of(row.values.begin(), row.values.end(),
                               [](double value) { return value > 110; });
        });
        std::vector<SeriesReading> readings;
        for (const auto& row : m_rows) {
            m_line = row.line;
            SeriesReading reading;
            reading.stops = Stops(row.stops);
            for (std::size_t c = 0; c < 3; ++c) {
                const auto signal = signalOf(row.values[c], m_layout.valueUnit, anyHigh);
                if (std::abs(signal.value()) > 2)
                    return wrong(ErrorCode::OutOfRange, fixedText(row.values[c], 1),
                                 "a level that can be recorded")
                        .error();
                reading.rgb[c] = signal;
            }
            if (row.noise)
                reading.noise = signalOf(*row.noise, m_layout.noiseUnit, anyHigh) -
                                signalOf(0, m_layout.noiseUnit, anyHigh);
            if (reading.noise && reading.noise->value() > 1)
                return wrong(ErrorCode::OutOfRange, fixedText(*row.noise, 1),
                             "noise smaller than the whole signal")
                    .error();
            readings.push_back(reading);
        }
        return readings;
    }

private:
    struct Row {
        int line;
        double stops;
        std::array<double, 3> values;
        std::optional<double> noise;
    };
    struct Columns {
        std::vector<Column> columns;
        bool heading = false;
        ReadingUnit valueUnit = ReadingUnit::Auto, noiseUnit = ReadingUnit::Auto;
    };

    Outcome wrong(ErrorCode code, std::string_view got, std::string expected) const {
        return Error{
            code, {}, "line " + std::to_string(m_line), shortened(got), std::move(expected)};
    }

    [[nodiscard]] Signal signalOf(double value, ReadingUnit unit, bool anyHigh) const {
        if (unit == ReadingUnit::Auto)
            unit = m_format.unit;
        if (unit == ReadingUnit::Auto)
            unit = anyHigh ? ReadingUnit::Code : ReadingUnit::Percent;
        const Level level =
            unit == ReadingUnit::Code ? levelOfCode(value, m_format.depth) : Level(value);
        return signalAt(level, m_format.range, m_format.depth);
    }

    Outcome layout(const std::vector<std::string_view>& fields) {
        using enum Column;
        if (numberIn(fields[0], *m_separator != ',')) {
            if (fields.size() < 2)
                return wrong(ErrorCode::WrongFormat, fields[0], "stop and percent or code");
            m_layout.columns = fields.size() >= 4 ? std::vector{Stop, Red, Green, Blue, Noise}
                                                  : std::vector{Stop, Value, Noise};
            return Done{};
        }
        m_layout.heading = true;
        for (const auto field : fields)
            m_layout.columns.push_back(columnOf(lowered(field)));
        const auto has = [&](Column column) {
            return std::find(m_layout.columns.begin(), m_layout.columns.end(), column) !=
                   m_layout.columns.end();
        };
        if (!has(Stop) || !(has(Value) || (has(Red) && has(Green) && has(Blue))))
            return wrong(ErrorCode::WrongFormat, fields[0],
                         "a heading with stop and percent or code, or red, green and blue "
                         "(red_percent, ...)");
        return Done{};
    }

    Column columnOf(const std::string& name) {
        const auto note = [&](ReadingUnit& unit) {
            if (name.find("code") != std::string::npos)
                unit = ReadingUnit::Code;
            else if (name.find("percent") != std::string::npos || name.find('%') != name.npos)
                unit = ReadingUnit::Percent;
        };
        if (name.starts_with("stop") || name == "exposure")
            return Column::Stop;
        if (name.starts_with("noise") || name.starts_with("std")) {
            note(m_layout.noiseUnit);
            return Column::Noise;
        }
        const std::pair<const char*, Column> names[] = {
            {"red", Column::Red},       {"green", Column::Green}, {"blue", Column::Blue},
            {"percent", Column::Value}, {"code", Column::Value},  {"level", Column::Value},
            {"%", Column::Value}};
        for (const auto& [start, column] : names)
            if (name.starts_with(start)) {
                note(m_layout.valueUnit);
                return column;
            }
        return Column::Ignored;
    }

    Outcome reading(const std::vector<std::string_view>& fields) {
        Row row{m_line, 0, {}, std::nullopt};
        bool stop = false;
        std::array<bool, 3> channels{};
        for (std::size_t i = 0; i < std::min(fields.size(), m_layout.columns.size()); ++i) {
            const auto column = m_layout.columns[i];
            if (column == Column::Ignored || (column == Column::Noise && fields[i].empty()))
                continue;
            const auto value = numberIn(fields[i], *m_separator != ',');
            if (!value)
                return wrong(ErrorCode::NotANumber, fields[i],
                             "a number in column " + std::to_string(i + 1));
            if (column == Column::Stop) {
                row.stops = *value;
                stop = true;
            } else if (column == Column::Noise) {
                if (*value < 0)
                    return wrong(ErrorCode::OutOfRange, fields[i], "noise of 0 or more");
                row.noise = *value;
            } else {
                const auto first =
                    column == Column::Value
                        ? 0u
                        : static_cast<std::size_t>(column) - static_cast<std::size_t>(Column::Red);
                const auto last = column == Column::Value ? 2u : first;
                for (std::size_t c = first; c <= last; ++c) {
                    row.values[c] = *value;
                    channels[c] = true;
                }
            }
        }
        if (!stop || !channels[0] || !channels[1] || !channels[2])
            return wrong(ErrorCode::MissingKey, {}, "a stop and a percent or code on every line");
        if (m_rows.size() == kMostReadings)
            return wrong(ErrorCode::OutOfRange, {},
                         "at most " + std::to_string(kMostReadings) + " readings");
        m_rows.push_back(row);
        return Done{};
    }

    // Stops lie within 20 or so of mid-grey; percent and codes do not look like that.
    Outcome lookForSwap() {
        double lowest = 1e9, highest = -1e9;
        const Row* worst = &m_rows.front();
        for (const auto& row : m_rows) {
            lowest = std::min(lowest, row.stops);
            highest = std::max(highest, row.stops);
            if (std::abs(row.stops) > std::abs(worst->stops))
                worst = &row;
        }
        m_line = worst->line;
        const bool valuesAreStops = std::all_of(m_rows.begin(), m_rows.end(), [](const Row& row) {
            return std::abs(row.values[1]) <= 20;
        });
        if (highest - lowest > kSwappedSpan || std::abs(worst->stops) > kSwappedSpan)
            return wrong(ErrorCode::OutOfRange, fixedText(worst->stops, 2),
                         valuesAreStops ? "stops in the stop column: the columns look swapped"
                                        : "stops within 40 of mid-grey");
        return Done{};
    }

    const ReadingsFormat& m_format;
    Columns m_layout;
    std::optional<char> m_separator;
    std::vector<Row> m_rows;
    int m_line = 0;
};

} // namespace

Result<std::vector<SeriesReading>> readReadings(std::string_view text,
                                                const ReadingsFormat& format) {
    if (text.starts_with("\xEF\xBB\xBF"))
        text.remove_prefix(3);
    Reader reader(format);
    for (int number = 1; !text.empty(); ++number) {
        const auto end = text.find('\n');
        if (auto outcome = reader.line(text.substr(0, end), number); !outcome)
            return outcome.error();
        text.remove_prefix(end == std::string_view::npos ? text.size() : end + 1);
    }
    return reader.finish();
}

bool areRelative(std::string_view text) {
    while (!text.empty()) {
        const auto end = text.find('\n');
        const auto line = trimmed(text.substr(0, end));
        if (line.starts_with('#') && lowered(trimmed(line.substr(1))).starts_with("relative"))
            return true;
        text.remove_prefix(end == std::string_view::npos ? text.size() : end + 1);
    }
    return false;
}

std::string writeReadings(const std::vector<SeriesReading>& readings, CodeRange range,
                          bool relative) {
    std::string text =
        relative ? "# relative: of these exposures only the distances are known\n" : "";
    text += "stop,red_percent,green_percent,blue_percent,noise_percent\n";
    const BitDepth depth{10};
    const auto percent = [&](Signal signal) {
        return fixedText(levelOf(signal, range, depth).value(), 2);
    };
    for (const auto& reading : readings) {
        text += fixedText(reading.stops.value(), 2);
        for (const auto value : reading.rgb)
            text += "," + percent(value);
        text += ",";
        if (reading.noise)
            text += fixedText(
                (levelOf(*reading.noise, range, depth) - levelOf(Signal(0), range, depth)).value(),
                4);
        text += "\n";
    }
    return text;
}

} // namespace bslate::io
