#pragma once

#include "core/base/compiled_once.h"
#include "core/base/extra_keys.h"
#include "core/base/result.h"
#include "core/shoot/day.h"
#include "core/shoot/handling.h"

#include <string>
#include <string_view>
#include <vector>

/// What was really set on a body and written into its banks: the answer to "what was set before
/// the repair?".
namespace bslate {

/// One setting as a typed line: `white`, `4100 K`.
struct RecordLine {
    std::string setting; ///< a name of kSettingNames, or free words, "auto power-off"
    std::string value;
    friend bool operator==(const RecordLine&, const RecordLine&) = default;
};

/// More earlier writings than this are refused; the oldest goes when one more is noted.
inline constexpr std::size_t kMostWritings = 1000;
/// More lines than this in a bank or of a body are refused.
inline constexpr std::size_t kMostRecordLines = 500;

struct WrittenBank {
    std::string label; ///< of the bank
    std::string when;  ///< `2026-05-01 07:40`
    std::string setup; ///< id of the setup it was written as
    std::vector<RecordLine> values;
    ExtraKeys extra;
    friend bool operator==(const WrittenBank&, const WrittenBank&) = default;
};

struct CameraRecord {
    std::string id;                   ///< of the camera
    std::string when;                 ///< the other settings were noted; may be empty
    std::vector<WrittenBank> banks;   ///< the last writing of each
    std::vector<WrittenBank> earlier; ///< every writing before that, oldest first
    std::vector<RecordLine> settings; ///< everything outside of the banks
    std::vector<Acceptance> accepted; ///< findings on the banks taken on purpose
    std::vector<Tick> ticks;          ///< of its starting point, while it is somebody else's
    ExtraKeys extra;
    BSLATE_COMPILED_ONCE(CameraRecord);
};

[[nodiscard]] const WrittenBank* findWritten(const CameraRecord& record, std::string_view label);

/// One more writing: the last of its bank, and the one before it is kept. One with the moment of
/// the last stands in its place; one without a moment is not carried out yet, and later than all.
void addWritten(CameraRecord& record, WrittenBank written);

/// What a line says of a setting; null when it says nothing.
[[nodiscard]] const std::string* lineValue(const std::vector<RecordLine>& lines,
                                           std::string_view setting);

/// Settings typed one a line, `white 4100 K` or `auto power-off = 10 min`: a name of a setting or
/// everything before `=`, then its value. Blank lines are skipped. Fails with EmptyText for a line
/// without a value, OutOfRange for more than kMostRecordLines; `place` is "line 3".
[[nodiscard]] Result<std::vector<RecordLine>> parseRecordLines(std::string_view text);
[[nodiscard]] std::string spell(const std::vector<RecordLine>& lines);

/// True for a moment as records write it, `2026-05-01 07:40`.
[[nodiscard]] bool isMoment(std::string_view text);

} // namespace bslate
