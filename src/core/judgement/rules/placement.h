#pragma once

#include "core/facts/case.h"

#include <optional>

/// What other groups ask about the scene's place under its school.
namespace bslate::rules {

/// The scene's place under its school would clip what must be kept: both cannot be had.
struct PlaceConflict {
    const PatchPlacement* top = nullptr;
    Stops shift; ///< to the place
    Stops over;  ///< by which the brightest patch would clip there
};
[[nodiscard]] std::optional<PlaceConflict> placeConflict(const Case& now);

/// True when the scene is in its place under the setup's school, to a third of a stop.
[[nodiscard]] bool schoolSatisfied(const Case& now, const Evaluation& at);

} // namespace bslate::rules
