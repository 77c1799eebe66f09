#pragma once

#include "core/base/result.h"
#include "io/wire/still.h"

#include <iosfwd>
#include <string>

/// What is said between the program and the helper that opens stills: a line of JSON, and behind it
/// the planes as they lie in memory. Private to io.
namespace bslate::io {

void putStill(std::ostream& out, const Still& still);
[[nodiscard]] std::string stillText(const Still& still);
/// Fails with WrongFormat when it is none of ours.
[[nodiscard]] Result<Still> readStillText(const std::string& text);

} // namespace bslate::io
