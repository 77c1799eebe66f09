#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"

#include <vector>

/// A curve known only at points: measured on one's own camera, or imported from a table.
namespace bslate {

struct CurvePoint {
    Stops stops; ///< of scene light from mid-grey
    Signal signal;
    friend bool operator==(const CurvePoint&, const CurvePoint&) = default;
};

/// Points rising strictly in both, at least two. Between them a monotone cubic in stops
/// (Fritsch and Carlson's condition with the harmonic mean of the neighbouring slopes), so the
/// curve never overshoots; above the last a straight line in stops; below the first a straight
/// line in light, as camera-log curves have.
struct Sampled {
    std::vector<CurvePoint> points;
    friend bool operator==(const Sampled&, const Sampled&) = default;
};

/// Fails with OutOfRange; `place` is "point 3", counted from 1, for a point that is not finite or
/// does not rise over the one before, and for fewer than two points.
[[nodiscard]] Outcome checkSampled(const Sampled& curve);

/// The signal of scene light, and its inverse to 1e-9 relative in light. The curve must be checked.
[[nodiscard]] Signal encodeSampled(const Sampled& curve, SceneLinear light);
[[nodiscard]] SceneLinear decodeSampled(const Sampled& curve, Signal signal);

} // namespace bslate
