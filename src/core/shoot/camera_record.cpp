#include "core/shoot/camera_record.h"

#include "core/kit/body_fields.h"
#include "core/quantity/scan.h"

#include <algorithm>

namespace bslate {

BSLATE_COMPILED_HERE(CameraRecord);

namespace {

std::string_view recordTrimmed(std::string_view text) {
    const auto first = text.find_first_not_of(" \t\r");
    if (first == std::string_view::npos)
        return {};
    return text.substr(first, text.find_last_not_of(" \t\r") - first + 1);
}

// The name in front of a line and what follows it; empty where there is no value.
RecordLine recordLineFrom(std::string_view line) {
    const auto sign = line.find('=');
    if (sign != std::string_view::npos)
        return {std::string(recordTrimmed(line.substr(0, sign))),
                std::string(recordTrimmed(line.substr(sign + 1)))};
    const auto space = line.find_first_of(" \t");
    const auto name = lowered(line.substr(0, space));
    if (space == std::string_view::npos || !valueIn<BodySetting>(kSettingNames, name))
        return {std::string(line), {}};
    return {name, std::string(recordTrimmed(line.substr(space)))};
}

} // namespace

const WrittenBank* findWritten(const CameraRecord& record, std::string_view label) {
    const auto found = std::find_if(record.banks.begin(), record.banks.end(),
                                    [&](const WrittenBank& bank) { return bank.label == label; });
    return found == record.banks.end() ? nullptr : &*found;
}

void addWritten(CameraRecord& record, WrittenBank written) {
    const auto known =
        std::find_if(record.banks.begin(), record.banks.end(),
                     [&](const WrittenBank& bank) { return bank.label == written.label; });
    if (known == record.banks.end()) {
        record.banks.push_back(std::move(written));
        return;
    }
    if (known->when == written.when) {
        written.extra = known->extra;
        *known = std::move(written);
        return;
    }
    if (written.when.empty() || known->when < written.when)
        std::swap(*known, written);
    const auto at = std::upper_bound(
        record.earlier.begin(), record.earlier.end(), written,
        [](const WrittenBank& a, const WrittenBank& b) { return a.when < b.when; });
    record.earlier.insert(at, std::move(written));
    if (record.earlier.size() > kMostWritings)
        record.earlier.erase(record.earlier.begin());
}

const std::string* lineValue(const std::vector<RecordLine>& lines, std::string_view setting) {
    for (const auto& line : lines)
        if (line.setting == setting)
            return &line.value;
    return nullptr;
}

Result<std::vector<RecordLine>> parseRecordLines(std::string_view text) {
    std::vector<RecordLine> lines;
    for (int number = 1; !text.empty(); ++number) {
        const auto end = std::min(text.find('\n'), text.size());
        const auto piece = recordTrimmed(text.substr(0, end));
        text.remove_prefix(std::min(end + 1, text.size()));
        if (piece.empty())
            continue;
        auto line = recordLineFrom(piece);
        const std::string place = "line " + std::to_string(number);
        if (line.setting.empty() || line.value.empty())
            return Error{ErrorCode::EmptyText,
                         {},
                         place,
                         shortened(piece),
                         "a setting and its value, white 4100 K, or auto power-off = 10 min"};
        if (lines.size() == kMostRecordLines)
            return Error{ErrorCode::OutOfRange,
                         {},
                         place,
                         {},
                         "at most " + std::to_string(kMostRecordLines) + " lines"};
        lines.push_back(std::move(line));
    }
    return lines;
}

std::string spell(const std::vector<RecordLine>& lines) {
    std::string text;
    for (const auto& line : lines)
        text += line.setting + (valueIn<BodySetting>(kSettingNames, line.setting) ? " " : " = ") +
                line.value + "\n";
    return text;
}

bool isMoment(std::string_view text) {
    constexpr std::string_view kForm = "0000-00-00 00:00";
    return text.size() == kForm.size() &&
           std::equal(text.begin(), text.end(), kForm.begin(),
                      [](char c, char form) { return form == '0' ? isDigit(c) : c == form; });
}

} // namespace bslate
