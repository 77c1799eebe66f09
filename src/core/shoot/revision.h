#pragma once

#include "core/shoot/shoot.h"

#include <optional>
#include <string>
#include <vector>

/// What one value of the document has that another has not, as whole parts. An undo step is two of
/// them, so that what did not change is held once; a change is told as one.
namespace bslate {

/// Parts of one list, found again by id (days by their number).
template<class Part>
struct PartsRevision {
    std::vector<Part> put; ///< changed and new ones
    /// All ids in their order; none where they are the same ones in the same order as before.
    std::optional<std::vector<std::string>> order;
    [[nodiscard]] bool empty() const { return put.empty() && !order; }
};

/// What is said of the shoot as a whole.
struct ShootHead {
    std::string title, note;
    int days = 1;
    double snrFloor = 2.0;
    MeterCalibration meter;
    std::optional<std::string> kitFile;
    ExtraKeys extra;
    friend bool operator==(const ShootHead&, const ShootHead&) = default;
};

struct Revision {
    std::optional<ShootHead> head;
    std::optional<Brief> brief;
    std::optional<Kit> kit;
    PartsRevision<Scene> scenes;
    PartsRevision<Setup> setups;
    PartsRevision<ShootDay> plan;
    PartsRevision<CameraRecord> records;
    [[nodiscard]] bool empty() const;
};

[[nodiscard]] ShootHead headOf(const Shoot& shoot);

/// What `after` has that `before` has not. Precondition: no id stands twice in a list of either.
[[nodiscard]] Revision revisionBetween(const Shoot& before, const Shoot& after);

/// `revised(before, revisionBetween(before, after)) == after`. Parts that an order names and nobody
/// has are left out.
[[nodiscard]] Shoot revised(const Shoot& before, const Revision& revision);

/// The first part of a revision that no file could hold or nobody could open again: too long a list
/// or text, a value out of its range. `place` names the part and its field.
[[nodiscard]] Outcome checkRevision(const Shoot& after, const Revision& revision);

} // namespace bslate
