#pragma once

#include "core/base/result.h"
#include "io/wire/still.h"

#include <string_view>

namespace bslate::helper {

/// Has the library look for what it needs of this machine's files, while they can be opened.
void prepareHeif();

/// The first picture of a HEIF (ISO/IEC 23008-12), as 8, 10 or 12 bits of red, green and blue.
/// Fails with WrongFormat for what is none, is not all there or is too large.
[[nodiscard]] Result<io::Still> heifStill(std::string_view bytes);

} // namespace bslate::helper
