#pragma once

#include "core/frame/code_frame.h"
#include "io/stills/still.h"

namespace bslate::io {

/// A still as codes of the curve it was recorded in, whose range they have. Codes that span the
/// curve's own range stay as they are; others, and light as numbers, come through its signal in 16
/// bits; a sensor that is full is where the curve ends.
[[nodiscard]] CodeFrame codesOf(const Still& still, const Curve& curve, CodeRange spans);

} // namespace bslate::io
