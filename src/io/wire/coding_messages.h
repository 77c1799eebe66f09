#pragma once

#include "core/base/result.h"
#include "core/frame/coding.h"

#include <string>

/// What is said between the program and the helper that encodes: the task as a line of JSON, and
/// behind it each frame's luma and colour differences as they lie in memory; then a line of JSON
/// and the shown frame in the same form. Private to io.
namespace bslate::io {

[[nodiscard]] std::string codingText(const CodingTask& task);
/// Without its line end. Fails with WrongFormat when it is none of ours.
[[nodiscard]] Result<CodingTask> readCodingText(const std::string& line);

[[nodiscard]] std::string codedText(const Coded& coded);
/// Fails with WrongFormat when it is none of ours.
[[nodiscard]] Result<Coded> readCodedText(const std::string& text, const CodingTask& task);

} // namespace bslate::io
