#pragma once

#include "core/frame/image.h"
#include "core/quantity/quantities.h"

/// How much of one picture is left in another.
namespace bslate {

struct Likeness {
    Decibels peakToNoise; ///< PSNR over red, green and blue; infinite when they are equal
    double structure = 1; ///< SSIM of luma, -1 to 1, 1 when they are equal
};

/// Of two pictures of one size for a BT.709 display, values 0 to 1. Peak to noise is
/// `10 log10(1 / mean square)`. Structure is the mean index of Wang, Bovik, Sheikh and Simoncelli
/// (2004) with K1 = 0.01 and K2 = 0.03, in flat windows of 8 x 8 every 4 pixels, variances over
/// n - 1; a side under 8 is one window. Pictures of two sizes, or of none, share nothing: no
/// decibels, structure 0.
[[nodiscard]] Likeness likenessOf(const Image& picture, const Image& reference);

} // namespace bslate
