#pragma once

#include "core/base/result.h"

#include <string>
#include <string_view>

namespace bslate::io {

enum class LutTextKind { Cube, Spi1d, Spi3d };

/// Largest tables that are accepted: a curve of 65 536 entries, a cube of 129 a side.
inline constexpr long kLargestLut1d = 65536;
inline constexpr long kLargestLut3d = 129;

/// Reads a table file's lines for what would make it useless, before an outside reader sees it:
/// a size out of range, an entry that is not a finite number, a 1D column that falls. Fails with
/// OutOfRange or NotANumber; `place` is "line 12".
[[nodiscard]] Outcome checkLutText(std::string_view text, LutTextKind kind);

} // namespace bslate::io
