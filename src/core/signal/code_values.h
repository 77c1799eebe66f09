#pragma once

#include "core/quantity/quantities.h"

namespace bslate {

/// How a curve's 0..1 signal maps to code values (ITU-R BT.2100 table 9, SMPTE RP 2077).
enum class CodeRange {
    Full, ///< code = signal * (2^bits - 1)
    Legal ///< code = (16 + 219 * signal) * 2^(bits - 8); signal may exceed 1 up to the top code
};

/// Recording depth; 8, 10 and 12 occur, anything in [8, 16] computes.
struct BitDepth {
    int bits = 10;
    friend bool operator==(BitDepth, BitDepth) = default;
};

/// The unrounded code value; not clamped.
[[nodiscard]] double codeOf(Signal signal, CodeRange range, BitDepth depth);

/// The code value that is recorded: rounded and clamped to [0, 2^bits - 1].
[[nodiscard]] int recordedCode(Signal signal, CodeRange range, BitDepth depth);

/// Percent of the legal range, `(code - 16*2^(b-8)) / (219*2^(b-8))`, of an unrounded code.
[[nodiscard]] Level levelOfCode(double code, BitDepth depth);

/// Percent of the legal range of a signal; for full-range signals it depends on the depth by
/// under 0.5 %. Goes to about -7.3 and 109.5.
[[nodiscard]] Level levelOf(Signal signal, CodeRange range, BitDepth depth);
[[nodiscard]] Signal signalAt(Level level, CodeRange range, BitDepth depth);

/// The largest signal the code values can hold: 1 for full range, about 1.095 for legal range.
[[nodiscard]] Signal topSignal(CodeRange range, BitDepth depth);

} // namespace bslate
