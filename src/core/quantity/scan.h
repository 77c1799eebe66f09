#pragma once

#include "core/base/result.h"

#include <string>
#include <string_view>

namespace bslate {

/// A typed quantity taken apart: letters before the number, the number, the unit after it.
/// `f/2.8` is {"f", 2.8, ""}; `1/50 s` is {"", 0.02, "s", ratio}; `1 1/3 st` is 1.333 stops,
/// mixed, with the whole 1 and the rest 1/3 apart for marks that are followed by a fraction.
struct Scanned {
    std::string prefix;        ///< lower case, without spaces, ':' or a trailing '/'
    double value = 0.0;        ///< always finite
    std::string unit;          ///< spaces dropped, "²" written 2, "°" written deg; case kept
    bool ratio = false;        ///< the number was written a/b, and nothing before it
    bool mixed = false;        ///< the number was written w a/b: `value` is w + a/b
    double whole = 0.0;        ///< w of a mixed number, without its sign
    double rest = 0.0;         ///< a/b of a mixed number, in [0, 1)
    bool point = false;        ///< the number held a decimal point
    long long numerator = 0;   ///< of a ratio of two whole numbers, else 0
    long long denominator = 0; ///< likewise
};

/// Takes `text` apart in the C locale. Fails with EmptyText, or NotANumber for text without a
/// number, NaN, infinity, a decimal comma, division by zero, or a mixed number whose fraction is
/// not below one. `expected` goes into the error.
[[nodiscard]] Result<Scanned> scan(std::string_view text, std::string_view expected);

/// ASCII only, whatever the locale.
[[nodiscard]] inline bool isDigit(char c) {
    return c >= '0' && c <= '9';
}
[[nodiscard]] inline bool isSpace(char c) {
    return c == ' ' || c == '\t';
}

/// Lower-case copy, ASCII only.
[[nodiscard]] std::string lowered(std::string_view text);

} // namespace bslate
