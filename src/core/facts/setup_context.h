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
    ColourShift filterShift; ///< of what comes through the setup's filters
};

/// The air temperature of the scene, else of the shoot.
[[nodiscard]] inline Celsius ambientOf(const SetupContext& context) {
    return context.scene->ambient.value_or(context.shoot->brief.ambient);
}

/// What is written into a slot: the rate, unless the slot takes less and lowers it unasked.
[[nodiscard]] inline DataRate writtenInto(const Slot& slot, DataRate rate) {
    return slot.most ? std::min(rate, *slot.most) : rate;
}

/// True when the mode may record into this slot.
[[nodiscard]] bool mayUse(const RecordingMode& mode, const Slot& slot);

/// The slots that take part: the first that the mode may use, and the other one.
struct SlotPair {
    const Slot* first = nullptr;
    const Slot* second = nullptr;
};
[[nodiscard]] SlotPair slotsOf(const SetupContext& context);

} // namespace bslate
