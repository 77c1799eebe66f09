#pragma once

#include "core/quantity/quantities.h"

#include <span>
#include <vector>

namespace bslate {

/// Angle and time of a shutter at a frame rate: `t = angle / (360 * rate)`.
[[nodiscard]] Seconds exposureTime(const Shutter& shutter, FrameRate rate);
[[nodiscard]] ShutterAngle shutterAngle(const Shutter& shutter, FrameRate rate);

/// log2(angle / 180): the light gained or lost against half the frame.
[[nodiscard]] Stops stopsFromHalfFrame(const Shutter& shutter, FrameRate rate);

/// False when the exposure is longer than the frame.
[[nodiscard]] bool fitsFrame(const Shutter& shutter, FrameRate rate);

/// What a camera's shutter dial offers.
struct ShutterDial {
    double angleStep = 0.0;     ///< degrees; 0 when the camera does not take angles
    std::vector<Seconds> times; ///< offered times; may be empty when angles are offered

    friend bool operator==(const ShutterDial&, const ShutterDial&) = default;
};

/// The usual third-stop times from 1/24 to 1/8000 s as cameras print them, literal:
/// common practice, no source.
[[nodiscard]] std::span<const Seconds> thirdStopTimes();

/// The usual half-stop times from 1/24 to 1/8000 s, literal: common practice, no source.
[[nodiscard]] std::span<const Seconds> halfStopTimes();

/// How many clicks of the dial `from` is longer than `to`, negative when it is shorter;
/// angle steps when the dial takes angles, else listed times. 0 for a dial that offers nothing.
[[nodiscard]] int stepsOnDial(const ShutterDial& dial, const Shutter& from, const Shutter& to,
                              FrameRate rate);

/// The setting `steps` clicks away from the nearest one: positive is longer, more light. Stays on
/// the dial and within the frame; a dial that offers nothing gives `from` back.
[[nodiscard]] Shutter stepShutter(const ShutterDial& dial, const Shutter& from, int steps,
                                  FrameRate rate);

/// The setting nearest to `by` stops more light (or less, negative), at least one click of the
/// dial away; at the end of the dial it stays.
[[nodiscard]] Shutter moveShutter(const ShutterDial& dial, const Shutter& from, Stops by,
                                  FrameRate rate);

/// The setting of the dial nearest in stops to `wanted` that fits the frame. A dial that offers
/// nothing, or nothing that fits, gives `wanted` back. An angle-taking dial keeps a typed time
/// when it offers that very time.
[[nodiscard]] Shutter nearestOnDial(const ShutterDial& dial, const Shutter& wanted, FrameRate rate);

} // namespace bslate
