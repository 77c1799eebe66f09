#pragma once

#include "core/base/result.h"
#include "io/stills/still.h"

#include <string>

/// Stills through the image library; only the helper does it.
namespace bslate::helper {

/// As io/stills/still_file.h says of readStill().
[[nodiscard]] Result<io::Still> decodedStill(const std::string& path);

/// The bytes of a file of that name: 16-bit PNG or TIFF, 8-bit JPEG, numbers in EXR.
[[nodiscard]] Result<std::string> encodedStill(const io::Still& still, const std::string& path);

} // namespace bslate::helper
