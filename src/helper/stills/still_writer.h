#pragma once

#include "core/base/result.h"
#include "io/wire/still.h"

#include <string>

namespace bslate::helper {

/// The bytes of a file of that name, of values 0 to 1: 16-bit PNG or TIFF, 8-bit JPEG, halves in
/// OpenEXR, where values may be any. Fails with WrongFormat for another ending.
[[nodiscard]] Result<std::string> encodedStill(const io::Still& still, const std::string& name);

} // namespace bslate::helper
