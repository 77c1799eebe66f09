#pragma once

#include "core/facts/lattice.h"

#include <optional>
#include <vector>

namespace bslate {

/// What opens a cell that cannot be used: one change of the setup, a card to bring, or the
/// nearest cell that is open. Verified by judging the cell again.
struct Opening {
    Reason reason;
    std::optional<Setup> setup; ///< the setup that records this way; none when gear is missing
};
/// The smallest changes first; empty for a usable cell.
[[nodiscard]] std::vector<Opening> openingsOf(const LatticeCase& question, const Lattice& lattice,
                                              const ModeCell& cell);

} // namespace bslate
