#pragma once

#include "core/frame/code_frame.h"
#include "core/signal/rating_lut.h"

#include <functional>

namespace bslate {

/// A recording on the way back: the rating undone, to a BT.709 picture, as signal/rating_lut.h says
/// but for a look, which is left out; within a tenth of an 8-bit code. Values in [0, 1].
[[nodiscard]] Image graded(const CodeFrame& frame, const RatingLut& lut);

/// With a change of light in the display's primaries, mid-grey at 0.18, on its way: called for each
/// pixel, on many threads.
using LightChanger = std::function<void(std::array<float, 3>&)>;
[[nodiscard]] Image graded(const CodeFrame& frame, const RatingLut& lut,
                           const LightChanger& change);

/// The same of light that no camera has limited: shown as the setup would place it, `toLinear` from
/// the planes to scene light of BT.2020 with mid-grey at 0.18, whites by a gain for each channel.
struct LightShown {
    double scale = 1;                     ///< to light of mid-grey 0.18
    std::array<double, 3> white{1, 1, 1}; ///< gains in BT.2020
};
[[nodiscard]] Image shownLight(const Image& light, const LightShown& how,
                               const LightChanger& change = {});

/// Recorded codes as they are, 0 to 1 of the legal range: what a flat picture looks like.
[[nodiscard]] Image flatPicture(const CodeFrame& frame);

} // namespace bslate
