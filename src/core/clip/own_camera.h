#pragma once

#include "core/clip/clip_modes.h"
#include "core/kit/mode_table.h"

/// A camera that is being brought in: clips it recorded, lines of its manual, cells typed by hand.
/// More of each refine it; nothing of it is in a kit yet.
namespace bslate {

/// A bit rate typed into a cell, in place of what clips and table say of it; none: the camera does
/// not have this rate.
struct TypedCell {
    ModeLine mode; ///< its format and crop; rates do not matter
    FrameRate rate;
    std::optional<DataRate> bitRate;
    friend bool operator==(const TypedCell&, const TypedCell&) = default;
};

struct OwnCamera {
    std::vector<ClipFacts> clips;
    std::string table;
    std::vector<TypedCell> typed; ///< later ones count
    friend bool operator==(const OwnCamera&, const OwnCamera&) = default;
};

/// What a cell rests on.
struct CellGround {
    int clips = 0;
    bool table = false;
    bool typed = false; ///< and nothing else counts
    friend bool operator==(CellGround, CellGround) = default;
};

/// All of it together.
struct OwnLattice {
    std::vector<TableRow> rows;   ///< of the table
    std::vector<SeenMode> modes;  ///< one whose last rate was taken away by hand is gone
    std::vector<FrameRate> rates; ///< of all modes, rising
    std::vector<std::vector<CellGround>> grounds; ///< by mode and rate
};
[[nodiscard]] OwnLattice latticeOf(const OwnCamera& own);

/// A camera of its modes, named, with everything else as startingCamera() has it; `kit` is asked
/// for a free id and ready profiles.
[[nodiscard]] Camera cameraOf(const OwnCamera& own, const Kit& kit, const std::string& name);

} // namespace bslate
