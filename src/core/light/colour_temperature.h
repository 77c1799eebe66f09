#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"
#include "core/signal/gamut.h"

#include <optional>

/// Colour of light as people speak of it: the temperature of the black body nearest to it in CIE
/// 1960 u, v, and how far it stands off that locus (CIE 15:2004 clause 9.5; ANSI C78.377).
namespace bslate {

/// Of a light: cct in [1667, 40000] K, duv positive above the locus, where light looks green.
struct ColourPoint {
    Kelvin cct{5600};
    Duv duv{0};
    friend bool operator==(ColourPoint, ColourPoint) = default;
};

inline constexpr Kelvin kWarmest{1667};
inline constexpr Kelvin kCoolest{40000};
/// Farther off the locus a temperature means nothing (CIE 15:2004 clause 9.5).
inline constexpr Duv kFarthest{0.05};

/// `1e6 / K`.
[[nodiscard]] inline Mired miredOf(Kelvin kelvin) {
    return Mired(1e6 / kelvin.value());
}
[[nodiscard]] inline Kelvin kelvinOf(Mired mired) {
    return Kelvin(1e6 / mired.value());
}

/// What a gel or a filter does to light that goes through it.
struct ColourShift {
    Mired mired{0}; ///< positive warms
    Duv duv{0};     ///< positive greens
    friend bool operator==(ColourShift, ColourShift) = default;
    friend ColourShift operator+(ColourShift a, ColourShift b) {
        return {a.mired + b.mired, a.duv + b.duv};
    }
    friend ColourShift operator-(ColourShift a) { return {-a.mired, -a.duv}; }
};

/// The light behind it: shifts add in mired and in Duv. Held within kWarmest to kCoolest and
/// kFarthest.
[[nodiscard]] ColourPoint shifted(ColourPoint light, ColourShift shift);

/// The black body's locus by Robertson's table of isotemperature lines (J. Opt. Soc. Am. 58, 1528,
/// 1968, as in Wyszecki and Stiles; from memory) with a smooth curve through its points in mired.
/// Beyond [1667, 40000] K the nearest end.
[[nodiscard]] Chromaticity blackBody(Kelvin temperature);

/// CIE 15:2004 clause 3.1: `y = -3x^2 + 2.87x - 0.275`, x cubic in 1/T. Beyond [4000, 25000] K the
/// nearest end.
[[nodiscard]] Chromaticity daylight(Kelvin temperature);

/// Where light stands that is told by kelvin alone: on the black body up to 4000 K, on daylight
/// from 4300 K on, straight between (common practice, no source).
[[nodiscard]] Duv usualDuv(Kelvin temperature);

[[nodiscard]] Chromaticity chromaticityOf(ColourPoint point);

/// The nearest point of the locus, by search. Fails with OutOfRange when the chromaticity is none
/// of light (outside of x, y >= 0 and x + y <= 1), farther than kFarthest from the locus, or beyond
/// its ends.
[[nodiscard]] Result<ColourPoint> colourOf(Chromaticity chromaticity);

/// Light added up.
class LightMixture {
public:
    void add(ColourPoint light, Fraction share); ///< share of the luminance, >= 0
    /// None when nothing was added; of a mixture without a temperature, that of its largest part.
    [[nodiscard]] std::optional<ColourPoint> colour() const;

private:
    double m_x = 0, m_y = 0, m_z = 0; // CIE XYZ
    ColourPoint m_largest;
    Fraction m_most{0};
};

} // namespace bslate
