#pragma once

#include "core/shoot/camera_record.h"

#include <string>
#include <string_view>

/// The record of a camera as a table for a spreadsheet, or as JSON.
namespace bslate::io {

/// Lines `camera,bank,when,setup,setting,value`: those of a bank with its label, everything else
/// with an empty one. Fields with commas, quotes or line ends stand in quotes (RFC 4180).
[[nodiscard]] std::string writeRecordCsv(const CameraRecord& record);

/// Reads the same; a heading names the columns in any order, separated by commas, semicolons or
/// tabs, `#` begins a comment. Fails with "line 3" and what was expected: a missing or unknown
/// column, a line without setting or value, a moment that is none, another camera than `camera`
/// (when that is not empty), more than kMostRecordLines lines of a bank, a text longer than
/// a shoot holds, nothing at all.
[[nodiscard]] Result<CameraRecord> readRecordCsv(std::string_view text,
                                                 std::string_view camera = {});

} // namespace bslate::io
