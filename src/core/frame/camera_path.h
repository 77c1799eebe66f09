#pragma once

#include "core/facts/evaluation.h"
#include "core/facts/setup_context.h"
#include "core/frame/code_frame.h"

namespace bslate {

/// What became of a pixel, for each channel a bit: red 1, green 2, blue 4.
struct PixelFates {
    std::vector<std::uint8_t> clipped, drowned; ///< row by row
    friend bool operator==(const PixelFates&, const PixelFates&) = default;
};

/// A scene through the camera of a setup, from light to recorded codes.
struct Recorded {
    Image linear;    ///< behind sensor and white, in the primaries of the profile: 0.18 is mid-grey
    CodeFrame frame; ///< as the codec is given it
    PixelFates fates;
};

struct CameraPathWish {
    std::uint64_t seed = 1;
    bool noise = true;
};

/// Scene light of paintScene() through exposure, sensor, white, curve, codes and chroma:
///   electrons `n = well * 2^(s - clip)`, `s = exposureStops()` of each channel of the camera's
///   response; photon noise (Poisson), read noise (Gaussian) and pixel gain (prnu); full at the
///   well; recorded ISO and a baked white are gains, and no channel of a baked recording goes
///   beyond the recording's clip; curve, codes of the mode's depth, its chroma.
/// The same for the same seed on every machine. A pixel has drowned where its mean signal is under
/// the floor of the shoot's signal-to-noise.
[[nodiscard]] Recorded recordScene(const SetupContext& context, const Evaluation& at,
                                   const Image& light, const CameraPathWish& wish);

} // namespace bslate
