#pragma once

#include "core/signal/curve_fit.h"
#include "core/signal/gamut.h"

#include <array>
#include <optional>
#include <string>
#include <vector>

/// A colour transform somebody else wrote, and how it is asked for.
namespace bslate::io {

/// Which way a file goes. Auto looks at the neutral axis: light grows faster than signal.
enum class TransformSense { Auto, SignalToLight, LightToSignal };

/// The linear light a transform starts or ends in.
enum class LightSpace {
    Own, ///< the camera's own primaries: nothing is known of the gamut
    Ap0,
    Ap1,
    Bt709,
    Bt2020,
    Xyz ///< CIE XYZ with D65 white at Y = 1
};

struct ImportOptions {
    TransformSense sense = TransformSense::Auto;
    LightSpace space = LightSpace::Ap0;
    std::optional<Signal> grey; ///< signal of mid-grey; light is scaled so that it is 0.18
    std::string colourSpace;    ///< of a configuration file; not used for others
    CodeRange range = CodeRange::Full;
};

/// A transform as curve and matrix, with what that form misses.
struct ImportedTransform {
    std::string name; ///< the file's stem, or what the library calls it
    FittedCurve curve;
    std::optional<Gamut> gamut; ///< none in the camera's own space, or without a matrix
    double colourMiss = 0; ///< worst of the split against the transform over a grid of colours,
                           ///< relative to the larger of the light and mid-grey
    /// True when curve and matrix together give what the transform gives (to 1e-3); otherwise only
    /// the neutral curve can be trusted.
    [[nodiscard]] bool splits() const { return colourMiss < 1e-3; }
    std::vector<std::string> files; ///< read for it besides the one that was asked for
};

using Colours = std::vector<std::array<double, 3>>;

} // namespace bslate::io
