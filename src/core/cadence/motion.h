#pragma once

#include "core/quantity/quantities.h"

/// What moving things look like at a rate and shutter.
namespace bslate {

/// How far something moves while the shutter is open, in frame widths: `speed * time`.
[[nodiscard]] Fraction blurWidth(WidthsPerSecond speed, Seconds exposure);

/// The lean of an upright edge that moves across while the rows are read one after the other:
/// `atan(speed * readout * width / height)`.
[[nodiscard]] Degrees rollingSkew(WidthsPerSecond speed, Seconds readout, FrameSize frame);

/// The shortest time in which something may cross the frame in a pan before it strobes: 7 s at 24
/// with half the frame open (common practice, no source), scaled so that the gap between the blurs
/// of two frames stays the same: `7 s * 24 / rate * (1 - angle / 360) / 0.5` [D], not under a
/// quarter of the same at half the frame, since the eye still sees single frames at 360 degrees.
[[nodiscard]] Seconds shortestCrossing(FrameRate rate, ShutterAngle angle);

/// The fastest pan with this angle of view: `view / shortestCrossing`.
[[nodiscard]] DegreesPerSecond fastestPan(FrameRate rate, ShutterAngle angle, Degrees view);

} // namespace bslate
