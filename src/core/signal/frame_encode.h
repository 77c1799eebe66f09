#pragma once

#include "core/signal/curve.h"
#include "core/signal/gamut.h"

#include <span>

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

} // namespace bslate
