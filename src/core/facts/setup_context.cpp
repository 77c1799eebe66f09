#include "core/facts/setup_context.h"

#include <algorithm>

namespace bslate {

bool mayUse(const RecordingMode& mode, const Slot& slot) {
    return mode.slotIds.empty() ||
           std::find(mode.slotIds.begin(), mode.slotIds.end(), slot.id) != mode.slotIds.end();
}

SlotPair slotsOf(const SetupContext& context) {
    SlotPair pair;
    for (const auto& slot : context.camera->cardSlots)
        if (!pair.first && mayUse(*context.mode, slot))
            pair.first = &slot;
    for (const auto& slot : context.camera->cardSlots)
        if (!pair.second && &slot != pair.first)
            pair.second = &slot;
    return pair;
}

} // namespace bslate
