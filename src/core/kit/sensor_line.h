#pragma once

#include "core/kit/white_dial.h"
#include "core/signal/gamut.h"

#include <vector>

/// What is known of a sensor's colour, as typed lines.
namespace bslate {

/// Primaries as CIE 1931 x and y: `R 0.708 0.292 G 0.170 0.797 B 0.131 0.046`, and `W 0.3127
/// 0.3290` for the white that makes the channels alike, D65 where it is not told. Empty: not known.
/// Fails naming the word, with OutOfRange for points that are no triangle with a white.
[[nodiscard]] Result<std::optional<Gamut>> parsePrimaries(std::string_view text);
[[nodiscard]] std::string spell(const std::optional<Gamut>& primaries);

/// Gains against green in stops at a white, more of them behind semicolons: `3200 K R 0.62 B 1.98;
/// 5600 K R 1.05 B 0.71`. Empty: none. Fails naming the word, for two at one white, for more than
/// 64.
[[nodiscard]] Result<std::vector<FoundGains>> parseGains(std::string_view text);
[[nodiscard]] std::string spell(const std::vector<FoundGains>& gains);

} // namespace bslate
