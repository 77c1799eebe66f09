#include "io/text/record_csv.h"

#include "core/base/field_check.h"
#include "core/shoot/record_fields.h"
#include "core/words/table_text.h"

#include <algorithm>
#include <array>
#include <optional>
#include <utility>
#include <vector>

namespace bslate::io {
namespace {

enum RecordColumn { InCamera, InBank, InWhen, InSetup, InSetting, InValue, kRecordColumns };
constexpr std::array<std::string_view, kRecordColumns> kColumnNames = {
    "camera", "bank", "when", "setup", "setting", "value"};
constexpr const char* kColumnsExpected = "the columns camera, bank, when, setup, setting, value";

Error recordFault(ErrorCode code, int line, const std::string& got, std::string expected) {
    return {code, {}, "line " + std::to_string(line), shortened(got), std::move(expected)};
}

// A table in quotes and separators, taken apart row by row; a quoted field may hold line ends.
class RecordRows {
public:
    explicit RecordRows(std::string_view text)
        : m_text(text) {}

    // The next row that is not empty and no comment; none at the end.
    std::optional<std::vector<std::string>> next() {
        while (m_at < m_text.size()) {
            m_line = m_nextLine;
            const bool comment = m_text[m_at] == '#';
            auto row = read();
            if (!comment && (row.size() > 1 || !row[0].empty()))
                return row;
        }
        return std::nullopt;
    }
    [[nodiscard]] int line() const { return m_line; }

private:
    std::vector<std::string> read() {
        if (!m_separator)
            m_separator = separatorOf();
        std::vector<std::string> row(1);
        bool quoted = false;
        for (; m_at < m_text.size(); ++m_at) {
            const char c = m_text[m_at];
            m_nextLine += c == '\n' ? 1 : 0;
            if (quoted) {
                if (c != '"')
                    row.back() += c;
                else if (m_at + 1 < m_text.size() && m_text[m_at + 1] == '"')
                    row.back() += m_text[++m_at];
                else
                    quoted = false;
            } else if (c == '"' && row.back().empty()) {
                quoted = true;
            } else if (c == m_separator) {
                row.emplace_back();
            } else if (c == '\n') {
                ++m_at;
                break;
            } else if (c != '\r') {
                row.back() += c;
            }
        }
        return row;
    }
    [[nodiscard]] char separatorOf() const {
        const auto line = m_text.substr(0, m_text.find('\n'));
        for (const char c : {';', '\t'})
            if (line.find(c) != std::string_view::npos)
                return c;
        return ',';
    }

    std::string_view m_text;
    std::size_t m_at = 0;
    int m_line = 1, m_nextLine = 1;
    std::optional<char> m_separator;
};

using Columns = std::array<std::size_t, kRecordColumns>;

Result<Columns> columnsOf(const std::vector<std::string>& heading, int line) {
    Columns columns;
    columns.fill(heading.size());
    for (std::size_t i = 0; i < heading.size(); ++i) {
        const auto known = std::find(kColumnNames.begin(), kColumnNames.end(), heading[i]);
        if (known == kColumnNames.end())
            return recordFault(ErrorCode::WrongFormat, line, heading[i], kColumnsExpected);
        columns[static_cast<std::size_t>(known - kColumnNames.begin())] = i;
    }
    for (const auto needed : {InCamera, InSetting, InValue})
        if (columns[needed] == heading.size())
            return recordFault(ErrorCode::WrongFormat, line,
                               "no column " + std::string(kColumnNames[needed]), kColumnsExpected);
    return columns;
}

// Each writing is one: rows of a label belong together by their moment.
WrittenBank& writingOf(CameraRecord& record, const std::string& label, const std::string& when) {
    for (auto& bank : record.banks)
        if (bank.label == label && bank.when == when)
            return bank;
    record.banks.emplace_back();
    record.banks.back().label = label;
    record.banks.back().when = when;
    return record.banks.back();
}

// Takes one row into the record.
Outcome takeRow(CameraRecord& record, const std::vector<std::string>& row, const Columns& columns,
                int line, std::string_view camera) {
    const auto cell = [&](RecordColumn column) {
        return columns[column] < row.size() ? fromTable(row[columns[column]]) : std::string();
    };
    if (!camera.empty() && cell(InCamera) != camera)
        return recordFault(ErrorCode::UnknownId, line, cell(InCamera),
                           "the record of " + std::string(camera) + ", not another camera's");
    if (!record.id.empty() && record.id != cell(InCamera))
        return recordFault(ErrorCode::OutOfRange, line, cell(InCamera), "one camera a record");
    record.id = cell(InCamera);
    if (cell(InSetting).empty() || cell(InValue).empty())
        return recordFault(ErrorCode::EmptyText, line, cell(InSetting), "a setting and its value");
    const auto when = cell(InWhen);
    const auto label = cell(InBank);
    if (!isMoment(when) && !(when.empty() && label.empty()))
        return recordFault(ErrorCode::OutOfRange, line, when, "a moment such as 2026-05-01 07:40");
    auto& lines = label.empty() ? record.settings : writingOf(record, label, when).values;
    if (lines.size() == kMostRecordLines || record.banks.size() > kMostBanks + kMostWritings)
        return recordFault(ErrorCode::OutOfRange, line, label,
                           "at most " + std::to_string(kMostRecordLines) + " lines and " +
                               std::to_string(kMostWritings) + " writings of banks");
    lines.push_back({cell(InSetting), cell(InValue)});
    if (label.empty()) {
        record.when = when;
        return Done{};
    }
    writingOf(record, label, when).setup = cell(InSetup);
    return Done{};
}

} // namespace

std::string writeRecordCsv(const CameraRecord& record) {
    std::string text = tableRow({kColumnNames.begin(), kColumnNames.end()}, TableKind::Csv);
    const auto add = [&](const WrittenBank& bank, const RecordLine& line) {
        text += tableRow({record.id, bank.label, bank.when, bank.setup, line.setting, line.value},
                         TableKind::Csv);
    };
    for (const auto* writings : {&record.earlier, &record.banks})
        for (const auto& bank : *writings)
            for (const auto& line : bank.values)
                add(bank, line);
    WrittenBank none;
    none.when = record.when;
    for (const auto& line : record.settings)
        add(none, line);
    return text;
}

Result<CameraRecord> readRecordCsv(std::string_view text, std::string_view camera) {
    RecordRows rows(text);
    const auto heading = rows.next();
    if (!heading)
        return recordFault(ErrorCode::EmptyText, 1, {}, kColumnsExpected);
    const auto columns = columnsOf(*heading, rows.line());
    if (!columns)
        return columns.error();
    CameraRecord record;
    while (const auto row = rows.next())
        if (auto outcome = takeRow(record, *row, *columns, rows.line(), camera); !outcome)
            return outcome.error();
    for (auto& written : std::exchange(record.banks, {}))
        addWritten(record, std::move(written));
    if (record.id.empty())
        return recordFault(ErrorCode::EmptyText, rows.line(), {}, "at least one setting");
    if (const auto fault = faultIn(record)) // what no shoot could hold
        return Error{fault->code, {}, fault->place, shortened(fault->got), fault->expected};
    return record;
}

} // namespace bslate::io
