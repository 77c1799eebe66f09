#pragma once

#include "core/shoot/shoot.h"

/// What new things begin as. Names are for people and left to the caller; ids too, unless said.
namespace bslate {

/// "2A" is followed by "2B", when that is free; without a letter to go on, by the count.
[[nodiscard]] std::string freshNumber(const Shoot& shoot, const std::string& after);

/// A scene with a grey card that nobody has metered.
[[nodiscard]] Scene startingScene(const std::string& id);

/// A setup that evaluates: on the camera, recording, profile and lens of the one at hand, at the
/// rate the shoot plays at and half a frame of shutter; without one, on the first camera of the kit
/// with its first profile and mode, at base. Empty when the kit has no camera.
[[nodiscard]] Setup startingSetup(const Shoot& shoot, const Setup* atHand);

/// A camera of one area, base and mode, with the ready profiles of the kit and an id free in it.
[[nodiscard]] Camera startingCamera(const Kit& kit);

} // namespace bslate
