#pragma once

#include "core/base/result.h"
#include "core/light/colour_temperature.h"
#include "core/light/described.h"

#include <optional>
#include <string>
#include <string_view>

/// The colour of a light as it is told.
namespace bslate {

/// By kelvin alone it stands where such light usually does (usualDuv).
struct LightColour {
    Kelvin cct{5600};
    std::optional<Duv> duv; ///< [-0.05, 0.05]
    friend bool operator==(const LightColour&, const LightColour&) = default;
};

[[nodiscard]] ColourPoint pointOf(const LightColour& colour);

/// Light nobody measured, with the temperatures it may as well have.
struct UsualColour {
    ColourPoint colour;
    Kelvin warmest{5600}, coolest{5600};
};
/// Of light described in a word (common practice, no source).
[[nodiscard]] UsualColour usualColour(DescribedLight light);

/// `4100K`, `244mired`, `4100K duv+0.012` or `x0.38 y0.377`, words in this order. 1667 K to 40000
/// K, Duv up to 0.05; a chromaticity as colourOf() takes, rounded to 0.1 K and 0.00001.
[[nodiscard]] Result<LightColour> parseLightColour(std::string_view text);

/// Words of it, exactly: `4100K duv+0.012`.
[[nodiscard]] std::string spell(const LightColour& colour);

/// `4100 K`, with `Duv +0.012` where it is beyond 0.0005 of the usual.
[[nodiscard]] std::string print(const LightColour& colour);
[[nodiscard]] std::string print(ColourPoint point);

} // namespace bslate
