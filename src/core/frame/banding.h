#pragma once

#include "core/frame/masks.h"

namespace bslate {

/// Where a picture for a display shows steps in what was smooth light.
struct Banding {
    Fraction area;    ///< of the picture
    double step = 0;  ///< display codes of 8 bits from plateau to plateau, mean over it; 0: none
    PixelMask mask{}; ///< of the picture, row by row
};

/// Of two pictures of one size, values 0 to 1: `shown` as it is to be seen, `smooth` the light
/// itself, which says where nothing but a gradient is. A tile of 32 x 32 pixels is smooth when its
/// luma in `smooth` spans half a display code to 48, never bends by more than a quarter of one, and
/// is neither black nor white. It bands when the usual jump between neighbours that differ, of a
/// line of them at least, is a visible step of facts/precision.h once a grade has stretched it by
/// `factor`, and noise of pixels of the same light is under half of it.
[[nodiscard]] Banding bandingOf(const Image& shown, const Image& smooth, double factor = 1);

} // namespace bslate
