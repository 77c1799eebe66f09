#pragma once

#include "core/shoot/shoot.h"

namespace bslate {

/// The pieces a setup refers to, found. Pointers live as long as the shoot they came from.
struct SetupContext {
    const Shoot* shoot = nullptr;
    const Setup* setup = nullptr;
    const Scene* scene = nullptr;
    const Camera* camera = nullptr;
    const Profile* profile = nullptr;
    const RecordingMode* mode = nullptr;
    const Codec* codec = nullptr;
    const SensorArea* area = nullptr;
    IsoDial iso; ///< of the profile in this codec
    const BaseIso* base = nullptr;
    const Measurement* measured = nullptr; ///< of this body at this base; null: nominal numbers
    const Lens* lens = nullptr;            ///< null when the setup names none
    Stops ndLoss;
};

/// The air temperature of the scene, else of the shoot.
[[nodiscard]] inline Celsius ambientOf(const SetupContext& context) {
    return context.scene->ambient.value_or(context.shoot->brief.ambient);
}

} // namespace bslate
