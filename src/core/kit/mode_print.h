#pragma once

#include "core/kit/mode_words.h"

#include <optional>
#include <string>
#include <string_view>

/// Numbers and units as tables print them, in the spellings of all languages. Private to
/// mode_words.
namespace bslate {

/// Signs of print as those of a keyboard; the decimal comma of a rate as a point; spaces that part
/// thousands in print left out.
[[nodiscard]] std::string plainPrint(std::string_view line);

enum class Thousands { Yes, No };
/// "1.200", "1,200", "1'200", "1 200" with its last sign parting thousands, or decimals.
[[nodiscard]] double numberAs(const std::string& text, Thousands thousands);

/// A number with its unit: bits or bytes a second, a minute, an hour. Of two readings the plausible
/// one counts; when both are, both are given. Nothing for a unit that is none, or when neither is.
[[nodiscard]] std::optional<PrintedBitRate> printedBitRate(const std::string& number,
                                                           const std::string& unit);

} // namespace bslate
