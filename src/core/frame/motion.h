#pragma once

#include "core/facts/evaluation.h"
#include "core/facts/setup_context.h"

namespace bslate {

/// Where things are in a picture at a moment, in shares of its width and height, beside the moment
/// that is drawn and measured.
struct SceneMoment {
    Seconds time{0};
    double across = 0, down = 0; ///< the camera: everything else goes the other way
    double subject = 0;          ///< the person, to the right
    friend bool operator==(const SceneMoment&, const SceneMoment&) = default;
};

/// The camera pans as the scene says and is as still as its support (a swing of 0.8 % of the
/// picture in the hand, half of it on a shoulder, a slow drift on a gimbal, nothing on a tripod);
/// the subject crosses at its speed, or sways by half a per cent of the picture where none is told.
/// Swings are common practice, no source. All is as drawn at time 0.
[[nodiscard]] SceneMoment momentOf(const SetupContext& context, const Evaluation& at, Seconds time);

} // namespace bslate
