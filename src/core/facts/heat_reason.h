#pragma once

#include "core/facts/reason.h"

namespace bslate {

/// The clause that follows a heat limit when the air is hotter than any entry of the kit; empty
/// when it is not.
[[nodiscard]] inline ReasonList beyondHeat(const HeatTime& heat) {
    ReasonList list;
    if (heat.atTheLatest)
        list.all.push_back({"heat-beyond", {}});
    return list;
}

} // namespace bslate
