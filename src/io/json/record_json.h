#pragma once

#include "core/shoot/camera_record.h"

#include <string>
#include <string_view>

/// The record of one camera as a file of its own.
namespace bslate::io {

inline constexpr int kRecordVersion = 1;

/// Never throws; the error names the place. Another camera than `camera`, when that is not empty,
/// is refused.
[[nodiscard]] Result<CameraRecord> readRecord(std::string_view text, const std::string& file,
                                              std::string_view camera = {});
[[nodiscard]] std::string writeRecord(const CameraRecord& record);

/// A record by its file: CSV, or JSON when the text begins with a brace. WrongFormat for bytes that
/// are no UTF-8.
[[nodiscard]] Result<CameraRecord> readAnyRecord(std::string_view text, const std::string& file,
                                                 std::string_view camera = {});

} // namespace bslate::io
