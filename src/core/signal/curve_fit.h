#pragma once

#include "core/signal/curve.h"

#include <optional>
#include <span>
#include <vector>

/// Finding the parameters of a curve from points on it: a table somebody else wrote, or readings
/// of one's own camera.
namespace bslate {

/// A point to be fitted. `weight` in [0, 1]; 0 leaves it out.
struct FitPoint {
    SceneLinear light;
    Signal signal;
    double weight = 1.0;
};

/// A camera-log curve through points, and how far it misses them.
struct CameraLogFit {
    CameraLog log;         ///< base 2, linSideSlope 1: the same curve has many spellings
    Signal rms{0};         ///< weighted root mean square of curve - point
    Signal worst{0};       ///< the largest miss of a point with weight above 0, not negative
    Stops worstAt{0};      ///< where, from mid-grey; minus infinity at or below black
    bool straight = false; ///< it has a straight part of its own slope below the break
};

/// Signal difference as 10-bit code values of a full-range signal, the unit misses are told in.
[[nodiscard]] inline double tenBitCodes(Signal difference) {
    return difference.value() * 1023.0;
}

/// Least squares over slope, offsets, break and the straight part below it: for each break and
/// each offset inside the logarithm the rest is linear regression, so only those two are searched.
/// Points must be in rising order of light. Nothing when fewer than four points have weight, or
/// they do not rise.
[[nodiscard]] std::optional<CameraLogFit> fitCameraLog(std::span<const FitPoint> points);

/// A curve in the form that suits it best.
struct FittedCurve {
    Curve curve;
    bool sampled = false; ///< the camera-log form missed by more than allowed
    Signal worst{0};      ///< of the form kept
    Signal worstAsLog{0}; ///< of the camera-log form, whether kept or not
};

/// Misses of up to half a 10-bit code count as the same curve.
inline constexpr Signal kSameCurve{0.5 / 1023.0};

/// Camera-log when it misses no point by more than `allowed`, else the points themselves, thinned
/// to at most 1024 that rise. Fails with OutOfRange when fewer than four points rise; `place` is
/// "point 7" for the first that does not rise over the one before by more than rounding.
[[nodiscard]] Result<FittedCurve> fitCurve(std::span<const FitPoint> points, CodeRange range,
                                           Signal allowed = kSameCurve);

} // namespace bslate
