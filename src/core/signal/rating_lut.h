#pragma once

#include "core/signal/curve.h"
#include "core/signal/gamut.h"
#include "core/signal/look.h"

#include <array>
#include <vector>

namespace bslate {

/// The transform handed to grading: the recording to a BT.709 picture with the rating undone.
///   linear  = decode(curve, signal) * 2^gain        (gain = log2(EI / base))
///   display = gamut matrix to BT.709, then shownSignal(), or the look (look.h) when there is one
struct RatingLut {
    Curve curve;
    Gamut gamut = gamutBt709();
    Stops gain{0.0};
    std::optional<Look> look = std::nullopt;
    bool ready = false; ///< the recording is a picture already

    friend bool operator==(const RatingLut&, const RatingLut&) = default;
};

/// BT.709 with a documented highlight roll-off, in [0, 1]:
///   x <= 0.6: the BT.709 OETF (0.6 encodes to 0.774); negative light gives 0
///   above:    1 - (1 - k) * exp(-m * log2(x / 0.6) / (1 - k)), k = oetf(0.6) and m the
///             OETF's slope per stop there, so value and slope are continuous and each further
///             stop keeps about a third of the room left.
[[nodiscard]] Signal displaySignal(SceneLinear light);

/// How recorded light is shown: a recording that is graded through displaySignal(), a ready look
/// through its own curve, since it is a picture already; in [0, 1].
[[nodiscard]] Signal shownSignal(const Curve& curve, bool ready, SceneLinear light);

/// What a neutral patch shows through the LUT, percent of legal range (0 to 100).
[[nodiscard]] Level shownLevel(const Curve& curve, bool ready, Stops viewed);

/// Neutral LUT of `size` entries over signals 0..1, values in [0, 1]. size >= 2.
[[nodiscard]] std::vector<float> sampleNeutral(const RatingLut& lut, std::size_t size);

/// RGB cube of size^3 triples, red fastest as `.cube` files store it, values in [0, 1].
/// size >= 2. Within 1e-5 of the formulas above.
[[nodiscard]] std::vector<std::array<float, 3>> sampleCube(const RatingLut& lut, std::size_t size);

/// One colour through the exact transform.
[[nodiscard]] std::array<double, 3> apply(const RatingLut& lut, std::array<double, 3> signal);

} // namespace bslate
