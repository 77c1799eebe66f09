#pragma once

#include "core/base/result.h"
#include "io/wire/still.h"

#include <string_view>

namespace bslate::helper {

/// A TIFF in memory, striped or tiled, of grey, RGB or a palette: codes of 1 to 16 bits, or 32-bit
/// numbers. Fails with WrongFormat for what is none, is not all there, has inks or more channels
/// than colours, or is larger than a file of this size is believed to hold.
[[nodiscard]] Result<io::Still> tiffStill(std::string_view bytes);

} // namespace bslate::helper
