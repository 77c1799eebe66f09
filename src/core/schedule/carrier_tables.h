#pragma once

#include "core/schedule/carriers.h"

namespace bslate {

/// What every state of a search asks of its problem, looked up once.
struct CarrierTables {
    explicit CarrierTables(const CarrierProblem& problem);

    const CarrierProblem& problem; ///< must outlive this
    std::vector<int> kindOf;       ///< by unit
    std::vector<double> failsAt;   ///< by unit, seconds; infinite for one that does not
    std::vector<int> firstUnit;    ///< by kind, and one more: all of them
    std::vector<int> bySize;       ///< kinds, the largest capacity first

    [[nodiscard]] double capacity(int kind) const {
        return problem.kinds[static_cast<std::size_t>(kind)].capacity.value();
    }
};

} // namespace bslate
