#pragma once

#include "core/frame/code_frame.h"
#include "core/signal/look.h"

namespace bslate {

/// Red, green and blue of one row, as long as each other.
using SignalRow = std::array<std::vector<float>, 3>;

/// What a recipe does to the colour of a picture that is recorded with it: applyColour() of every
/// pixel (signal/look.h), on signals of a display curve; not limited.
void bakeColour(const ColourLook& colour, SignalRow& row);

/// The detail of a recipe: each step adds a tenth of what luma is over its mean of 3 x 3 pixels to
/// all channels, so that edges sharpen or soften and even places stay. Our own documented model.
/// Held to what the depth has.
void bakeDetail(int steps, const LumaWeights& weights, CodeFrame& frame);

} // namespace bslate
