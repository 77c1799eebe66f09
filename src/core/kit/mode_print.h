#pragma once

#include "core/quantity/quantities.h"

#include <optional>
#include <string>
#include <string_view>

/// Numbers and units as tables print them, in the spellings of all languages. Private to
/// mode_words.
namespace bslate {

/// Signs of print as those of a keyboard; the decimal comma of a rate as a point; spaces that part
/// thousands in print left out.
[[nodiscard]] std::string plainPrint(std::string_view line);

/// A bit rate, and what else its spelling may mean: "1.200" that is or is not thousands, "MBPS"
/// that is bits or bytes.
struct PrintedBitRate {
    DataRate rate;
    std::optional<DataRate> other;
};

/// Bit rates that recordings have, in Mb/s: what lies outside is a misprint or misread. Common
/// practice, no source.
inline constexpr DataRate kLeastPlausible{2e6}, kMostPlausible{2e10};

/// A number with its unit: bits or bytes a second, a minute, an hour. Of two readings the plausible
/// one counts; when both are, both are given. Nothing for a unit that is none, or when neither is.
[[nodiscard]] std::optional<PrintedBitRate> printedBitRate(const std::string& number,
                                                           const std::string& unit);

/// A number without one: Mb/s, and else MB/s; whatever it comes to.
[[nodiscard]] PrintedBitRate bareBitRate(const std::string& number);

} // namespace bslate
