#pragma once

#include "core/frame/code_frame.h"
#include "io/wire/still.h"

#include <optional>

namespace bslate::io {

/// A still as codes of the curve it was recorded in, whose range they have. Codes that span the
/// curve's own range stay as they are; others, and light as numbers, come through its signal in 16
/// bits. A sensor of camera raw is full at `full` stops over mid-grey; unless told, where the curve
/// ends.
[[nodiscard]] CodeFrame codesOf(const Still& still, const Curve& curve, CodeRange spans,
                                std::optional<Stops> full = {});

/// The highest signal of the curve that such a still can hold: where its codes end, or its sensor.
/// Infinite for light as numbers.
[[nodiscard]] Signal endOf(const Still& still, const Curve& curve, CodeRange spans,
                           std::optional<Stops> full = {});

} // namespace bslate::io
