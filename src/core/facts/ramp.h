#pragma once

#include "core/facts/precision.h"

#include <cstdint>
#include <vector>

/// The same smooth grey ramp recorded at different depths and normalised for a display: real
/// quantisation, real sensor noise.
namespace bslate {

struct RampShape {
    int width = 600; ///< pixels, at least 2
    int height = 40; ///< pixels, at least 1
    Stops low{0};    ///< recorded stops at the left edge
    Stops high{1};   ///< and at the right
};

/// The stop in which one code is the biggest step on the display without noise to hide it, kept
/// inside what the recording holds: where an 8-bit sky breaks first.
[[nodiscard]] RampShape worstRamp(const Precision& precision, const Evaluation& at);

/// 8-bit display codes, row by row. Each pixel is light with the sensor's noise (normal, from a
/// generator seeded with `seed`), encoded, rounded to a code, decoded, its rating undone, given the
/// grade's contrast about the middle of the ramp and rounded to the display.
[[nodiscard]] std::vector<std::uint8_t> rampOf(const SetupContext& context, BitDepth depth,
                                               const RampShape& shape, GradeWeight weight,
                                               std::uint32_t seed = 1);

} // namespace bslate
