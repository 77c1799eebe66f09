#pragma once

#include "core/base/result.h"

#include <string_view>

/// What a text must be before it is taken for one of our documents. Private to io.
namespace bslate::io {

inline constexpr int kDeepestNesting = 64;
/// More keys than this in one object are no document of ours.
inline constexpr std::size_t kMostKeys = 2000;
/// So many values may stand in a text of any length; a longer one needs this many bytes for each,
/// since what each takes in memory is bounded only then.
inline constexpr std::size_t kFreeValues = 50000;
inline constexpr std::size_t kBytesAValue = 10;

/// Fails with BrokenJson or OutOfRange, `place` a line and column, for text that is not JSON, nests
/// too deep, has too many keys or values, or has the same key twice in one object.
[[nodiscard]] Outcome checkJson(std::string_view text);

} // namespace bslate::io
