#pragma once

#include "core/facts/cell_state.h"
#include "core/facts/setup_context.h"

/// The ways of recording a camera has, as a lattice: frame rates across, codec and frame size
/// down, sensor areas as layers. Every cell says what it writes and costs, or why it cannot be
/// used.
namespace bslate {

/// What a cell is judged for. `scene` may be null: then sound is wanted and the air is the
/// brief's.
struct LatticeCase {
    const Kit* kit = nullptr;
    const Camera* camera = nullptr;
    const Setup* setup = nullptr; ///< its profile, rating, shutter, power; camera and mode ignored
    const Scene* scene = nullptr;
    const Brief* brief = nullptr;
};

/// One mode at one rate.
struct ModeCell : CellState {
    const RecordingMode* mode = nullptr;
    FrameRate rate;
    DataRate bitRate{0}; ///< 0 when the mode does not have the rate
    DataRate peak{0};
    BitsPerPixel bitsPerPixel{0};
    Magnification crop{1};
    std::optional<Seconds> recordTime; ///< on the best card at hand
    CardChoice card;
};

struct LatticeRow {
    std::string name; ///< of the codec
    const Codec* codec = nullptr;
    FrameSize frame;
    /// For each rate the cells of this row's modes, the widest area first; never empty.
    std::vector<std::vector<ModeCell>> cells;
};

struct Lattice {
    std::vector<FrameRate> rates; ///< rising
    std::vector<LatticeRow> rows; ///< in the order of the camera's modes
};

/// Every cell. Rates are those of the modes with the one the brief and the scene want; an
/// off-speed rate appears when it is wanted or is the setup's own.
[[nodiscard]] Lattice latticeOf(const LatticeCase& question);

/// One cell alone, judged the same way.
[[nodiscard]] ModeCell cellOf(const LatticeCase& question, const RecordingMode& mode,
                              FrameRate rate);

/// The cell a row shows at a rate: the first that can be used, or else the first; only those of
/// `area` when it is not empty. Null when the row has none in that area.
[[nodiscard]] const ModeCell* shownCell(const LatticeRow& row, std::size_t rate,
                                        std::string_view area = {});

/// The rate that slows the scene down as it asks: delivery rate times the factor.
[[nodiscard]] FrameRate wantedRate(const Scene& scene, const Brief& brief);

/// The question for a resolved setup.
[[nodiscard]] LatticeCase latticeCase(const SetupContext& context);

} // namespace bslate
