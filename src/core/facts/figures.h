#pragma once

#include "core/facts/reason.h"

#include <vector>

/// A setup as a list of figures, for showing what a change brings and for putting two setups side
/// by side: the same numbers, worded the same way.
namespace bslate {

enum class FigureId {
    Recording,
    Rate,
    Playback,
    Shutter,
    Pulsing, ///< of the lamps, peak to peak, and how often
    Blur,    ///< of the scene's subject, in frame widths
    Profile,
    BitRate,
    BitsPerPixel,
    RecordTime,
    Card,
    Crop,
    View,
    Equivalent,
    Sharp,
    Hyperfocal,
    Readout,
    IsoRange,
    Rating,
    Nd,
    Iris,
    Sound,
    Focus,
    ClipLimit,
    Split, ///< how much footage goes into one file before the camera starts the next
    Heat,
    Power,
    Proxy,
    Above, ///< stops from mid-grey to the clip, as viewed
    Below, ///< stops from mid-grey to the noise floor, as viewed
    Grey   ///< where the scene's grey is recorded
};

struct Figure {
    FigureId id = FigureId::Recording;
    Reason value; ///< worded by reasonOf()
    friend bool operator==(const Figure&, const Figure&) = default;
};

/// In the order of FigureId; empty when the setup cannot be evaluated.
[[nodiscard]] std::vector<Figure> figuresOf(const Shoot& shoot, const Setup& setup);

struct Difference {
    FigureId id = FigureId::Recording;
    Reason before;
    Reason after;
    [[nodiscard]] bool differs() const { return !(before == after); }
};

/// Every figure of both in FigureId's order; empty when either cannot be evaluated.
[[nodiscard]] std::vector<Difference> compare(const Shoot& shoot, const Setup& before,
                                              const Setup& after);

/// Only what differs.
[[nodiscard]] std::vector<Difference> consequences(const Shoot& shoot, const Setup& before,
                                                   const Setup& after);

} // namespace bslate
