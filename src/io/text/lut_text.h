#pragma once

#include "core/base/result.h"

#include <string>
#include <string_view>
#include <vector>

namespace bslate::io {

enum class LutTextKind { Cube, Spi1d, Spi3d };

/// Largest tables that are accepted: a curve of 65 536 entries, a cube of 129 a side.
inline constexpr long kLargestLut1d = 65536;
inline constexpr long kLargestLut3d = 129;

/// Reads a table file's lines for what would make it useless, before an outside reader sees it:
/// a size out of range, an entry that is not a finite number, a 1D column that falls. Fails with
/// OutOfRange or NotANumber; `place` is "line 12".
[[nodiscard]] Outcome checkLutText(std::string_view text, LutTextKind kind);

/// A cube over [0, 1] as its numbers: red changes fastest, three numbers an entry.
struct CubeTable {
    long side = 0; ///< 0: the file is something else, a curve or a cube over another domain
    std::vector<float> values;
};
/// Checks a `.cube` text as above and keeps what a plain cube holds, several times faster than a
/// general reader. Fails also when entries are missing or too many.
[[nodiscard]] Result<CubeTable> readCubeText(std::string_view text);

} // namespace bslate::io
