#pragma once

#include "core/shoot/shoot.h"

#include <optional>

/// What a part of the work waits for while a shoot is still empty there.
namespace bslate {

enum class Work { Scenes, Kit, Setups, Days };

enum class NextThing {
    TypeScene,   ///< a place with its light comes first
    BringCamera, ///< nothing is there to record with
    BringCurve,  ///< every camera records ready looks alone
    AddSetup,    ///< a scene waits for a camera to look at it
    PlanTakes    ///< setups wait for their day
};

/// The one thing to do before a part of the work can begin; none when it can.
[[nodiscard]] std::optional<NextThing> nextThing(const Shoot& shoot, Work work);

} // namespace bslate
