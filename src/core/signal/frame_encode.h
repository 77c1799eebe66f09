#pragma once

#include "core/signal/curve.h"
#include "core/signal/gamut.h"

#include <cstdint>
#include <span>
#include <vector>

/// Whole frames through a matrix and a recording curve: what a scope or a simulated frame needs of
/// millions of pixels at once.
namespace bslate {

/// Scene-linear RGB to recorded signal: the matrix first, then the curve on each channel. A
/// camera-log curve runs on polynomials, within 2e-6 of encode() for light up to 10 000; any other
/// curve pixel by pixel through encode() itself. Values are not limited at the curve's end; NaN
/// stays NaN.
/// `light` and `signal` are interleaved RGB of the same size, a multiple of three; they may be the
/// same memory.
void encodeFrame(const Curve& curve, const Matrix3& matrix, std::span<const float> light,
                 std::span<float> signal);

/// One curve for many values. A camera-log curve as encodeFrame() has it; any other from a table of
/// 512 steps an octave between 2^-14 and 2^10, straight between them, within a tenth of a 12-bit
/// code but in the step of a bend, and through encode() outside of it.
class CurveEncoder {
public:
    explicit CurveEncoder(const Curve& curve);
    /// Scene light to signal, in place; not limited at the curve's end.
    void operator()(std::span<float> values) const;

private:
    static constexpr std::uint32_t kFirstBits = 113u << 23; // of 2^-14 as a float
    static constexpr std::uint32_t kSteps = 512, kOctaves = 24;
    static constexpr std::uint32_t kStepBits = (1u << 23) / kSteps;
    Curve m_curve;
    std::vector<float> m_table; ///< empty for a camera-log curve
};

} // namespace bslate
