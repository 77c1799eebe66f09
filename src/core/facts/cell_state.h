#pragma once

#include "core/facts/reason.h"

#include <algorithm>
#include <utility>
#include <vector>

namespace bslate {

/// What a usable way of recording costs, in the order the marks are drawn.
enum class CostKind { Crop, Sound, Focus, ClipLimit, Heat, Power, Card, Region, OffSpeed };

/// Whether one mode at one rate can be recorded, and what for.
struct CellState {
    std::vector<Reason> reasons; ///< why it cannot be used; empty: it can
    std::vector<std::pair<CostKind, Reason>> costs;

    [[nodiscard]] bool available() const { return reasons.empty(); }
    [[nodiscard]] bool hasCost(CostKind kind) const {
        return std::any_of(costs.begin(), costs.end(),
                           [&](const auto& cost) { return cost.first == kind; });
    }
    friend bool operator==(const CellState&, const CellState&) = default;
};

} // namespace bslate
