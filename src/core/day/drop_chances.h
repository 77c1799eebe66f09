#pragma once

#include "core/media/write_simulation.h"

#include <utility>
#include <vector>

namespace bslate {

/// Chances of losing a frame, each simulated once and then known. For one thread at a time; keep it
/// between two judgements of the same day, where few of them change.
class DropChances {
public:
    /// In an hour of this load on this card: of 20 h simulated, the same every time. Preconditions
    /// as simulateWriting().
    [[nodiscard]] Fraction of(const WriteLoad& load, const CardBehaviour& card);

private:
    struct Known {
        WriteLoad load;
        CardBehaviour card;
        Fraction chance;
    };
    std::vector<Known> m_known;
};

} // namespace bslate
