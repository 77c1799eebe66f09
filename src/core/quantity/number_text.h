#pragma once

#include <string>

/// How print.cpp and print_gear.cpp write bare numbers.
namespace bslate {

/// Fixed decimals with a point, never "-0.0"; a non-finite value prints as a dash.
[[nodiscard]] std::string fixedText(double value, int decimals);

/// Shortest decimal text that reads back to the same double; never an exponent.
[[nodiscard]] std::string exact(double value);

/// At most `decimals` places, trailing zeros dropped.
[[nodiscard]] std::string trimmed(double value, int decimals);

} // namespace bslate
