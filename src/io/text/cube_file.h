#pragma once

#include "core/signal/rating_lut.h"

#include <string>

namespace bslate::io {

/// What a LUT file says about itself in its title and comments.
struct LutNote {
    std::string title;                 ///< quotes and line breaks are dropped
    std::vector<std::string> comments; ///< one line each
};

/// A 1D `.cube` text of the neutral transform, `size` lines over 0..1.
[[nodiscard]] std::string cube1d(const RatingLut& lut, std::size_t size, const LutNote& note);

/// A 3D `.cube` text, red fastest, values with six decimals.
[[nodiscard]] std::string cube3d(const RatingLut& lut, std::size_t size, const LutNote& note);

} // namespace bslate::io
