#pragma once

#include "core/quantity/quantities.h"

/// What a lens sees and holds sharp on a given recorded area. Thin-lens formulas of any optics
/// handbook, focused at infinity for angles; all lengths must be above 0.
namespace bslate {

/// `2 atan(width / 2f)`: horizontal angle for a width, vertical for a height.
[[nodiscard]] Degrees angleOfView(Millimetres side, Millimetres focal);

/// How much tighter `area` frames than `whole`: ratio of widths, 1 when equal.
[[nodiscard]] Magnification cropFactor(Millimetres whole, Millimetres area);

/// The width people compare focal lengths on: a 36 x 24 mm frame.
inline constexpr Millimetres kReferenceWidth{36};

/// The focal length that frames on a 36 mm wide frame as `focal` does on an area of this width.
[[nodiscard]] Millimetres equivalentFocal(Millimetres focal, Millimetres width);

/// The focal length that sees `angle` on `side`: the inverse of angleOfView.
[[nodiscard]] Millimetres focalFor(Millimetres side, Degrees angle);

/// Largest blur that still reads as sharp: a 1500th of the recorded diagonal (common practice,
/// no source).
[[nodiscard]] Millimetres circleOfConfusion(Millimetres width, Millimetres height);

/// `f^2 / (N c) + f`.
[[nodiscard]] Metres hyperfocal(Millimetres focal, FNumber iris, Millimetres circle);

struct SharpRange {
    Metres nearest;
    Metres farthest; ///< infinite from the hyperfocal distance on
    friend bool operator==(const SharpRange&, const SharpRange&) = default;
};

/// Sharp from `s(H-f)/(H+s-2f)` to `s(H-f)/(H-s)` when focused at `s`, H the hyperfocal distance.
/// A distance not beyond the focal length gives an empty range at that distance.
[[nodiscard]] SharpRange sharpRange(Millimetres focal, FNumber iris, Millimetres circle,
                                    Metres focus);

} // namespace bslate
