#pragma once

#include "core/facts/lattice.h"

#include <optional>
#include <vector>

namespace bslate {

enum class OpeningKind {
    Power,   ///< from outside
    Profile, ///< another one
    Rating,  ///< one that the camera allows there
    NoProxy, ///< nothing beside it
    Card,    ///< one to bring
    Cell     ///< the nearest that is open
};

/// What opens a cell that cannot be used: one change of the setup, a card to bring, or the
/// nearest cell that is open. Verified by judging the cell again.
struct Opening {
    OpeningKind kind = OpeningKind::Cell;
    Reason reason;
    std::optional<Setup> setup; ///< the setup that records this way; none when gear is missing
};
/// The smallest changes first; empty for a usable cell.
[[nodiscard]] std::vector<Opening> openingsOf(const LatticeCase& question, const Lattice& lattice,
                                              const ModeCell& cell);

} // namespace bslate
