#pragma once

#include "core/advice/body_kind.h"
#include "core/clip/clip_modes.h"
#include "core/kit/camera_answer.h"
#include "core/kit/mode_table.h"

#include <variant>

/// A camera that is being brought in, or one of the kit that is being refined: clips it recorded,
/// lines of its manual, answers about its body, cells edited by hand. Nothing of it is in a kit
/// yet.
namespace bslate {

/// A bit rate typed into a cell, in place of what else is known of it; none: the camera does not
/// have this rate.
struct TypedCell {
    ModeLine mode; ///< the row as it stood; its rates do not matter
    FrameRate rate;
    std::optional<DataRate> bitRate;
    friend bool operator==(const TypedCell&, const TypedCell&) = default;
};

/// What recording at a rate costs besides its bit rate.
struct CellMarks {
    Magnification crop{1};
    bool sound = true;
    bool autofocus = true;
    std::optional<Seconds> clipLimit;
    friend bool operator==(const CellMarks&, const CellMarks&) = default;
};
[[nodiscard]] CellMarks marksOf(const ModeLine& mode);

/// Marks put on a cell: its rate goes to the row of its format that has them.
struct MarkedCell {
    ModeLine mode; ///< as in TypedCell
    FrameRate rate;
    CellMarks marks;
    friend bool operator==(const MarkedCell&, const MarkedCell&) = default;
};

/// A row with its rates, put there by hand; the row of just this format and marks takes its rates.
struct AddedRow {
    ModeLine mode;
    friend bool operator==(const AddedRow&, const AddedRow&) = default;
};

using LatticeEdit = std::variant<TypedCell, MarkedCell, AddedRow>;

struct OwnCamera {
    std::optional<Camera> start;  ///< of the kit, that is refined; none: a new one
    std::optional<BodyKind> kind; ///< whose modes stand while nothing else tells of any
    std::vector<ClipFacts> clips;
    std::string table;
    std::vector<LatticeEdit> edits; ///< one after the other
    std::vector<FrameRate> rates;   ///< put there by hand, whether a mode has them or not
    std::vector<CameraAnswer> answers;
    friend bool operator==(const OwnCamera&, const OwnCamera&) = default;
};

/// What a cell rests on.
struct CellGround {
    int clips = 0;
    bool table = false;
    bool camera = false; ///< the one that is refined had it
    bool kind = false;   ///< usual of such a body
    bool typed = false;  ///< and nothing else counts
    bool marked = false;
    friend bool operator==(CellGround, CellGround) = default;
};

/// All of it together.
struct OwnLattice {
    std::vector<TableRow> rows;   ///< of the table
    std::vector<SeenMode> modes;  ///< one whose last rate was taken away by hand is gone
    std::vector<FrameRate> rates; ///< of all modes and by hand, rising; none without a mode
    std::vector<std::vector<CellGround>> grounds; ///< by mode and rate
};
[[nodiscard]] OwnLattice latticeOf(const OwnCamera& own);

/// A camera of its modes, named, with its answers; what nobody told is usual of its kind, and
/// guessed. `kit` is asked for a free id and ready profiles. One that is refined keeps its id, and
/// each of its modes what the lattice does not show: profiles, slots, proxy. Fails as answered()
/// does, and with EmptyText without a mode.
[[nodiscard]] Result<Camera> cameraOf(const OwnCamera& own, const Kit& kit,
                                      const std::string& name);

} // namespace bslate
