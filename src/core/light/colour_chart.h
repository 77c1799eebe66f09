#pragma once

#include "core/base/result.h"
#include "core/light/white_gains.h"

#include <span>
#include <string>
#include <vector>

/// The sensor of a camera found from a chart of known patches: three by three, by least squares.
namespace bslate {

/// CIE XYZ, Y 1 for the perfect diffuser.
using Tristimulus = std::array<double, 3>;

struct ChartPatch {
    std::string id; ///< "A1", as the chart's file names it
    Tristimulus colour{};
    friend bool operator==(const ChartPatch&, const ChartPatch&) = default;
};

/// Patches with their colours under one white, row by row.
struct ColourChart {
    std::string title;
    std::vector<ChartPatch> patches; ///< columns times rows of them
    int columns = 1, rows = 1;
    friend bool operator==(const ColourChart&, const ColourChart&) = default;
};
/// What colours in files of charts are told under: D50 (ISO 13655 clause 4.3; CIE 15:2004).
inline constexpr Chromaticity kChartWhite{0.3457, 0.3585};

/// What the camera made of a patch, in its own red, green and blue.
struct PatchLight {
    std::array<SceneLinear, 3> light;
    bool ended = false; ///< a channel is at the recording's end: the patch is left out
};

/// How a chart lies in the picture, against its file.
struct ChartTurn {
    bool columnsBackward = false, rowsBackward = false;
    bool swapped = false; ///< columns of the file run down the picture; of square charts
    friend bool operator==(const ChartTurn&, const ChartTurn&) = default;
};

struct FittedPatch {
    std::string id;
    /// From what the chart says: CIE 1976 L*a*b* difference (CIE 15:2004 clause 8.2), of colours as
    /// they are under the light.
    double difference = 0;
    bool left = false;       ///< out: at the recording's end, or without light
    Chromaticity told, seen; ///< under the light; seen through the fit
};

struct SensorFit {
    Gamut primaries; ///< white is what the channels see alike
    /// That make the light on the chart neutral, green 0: by its neutral patches, or the primaries.
    PerChannel gains;
    ChartTurn turn;
    std::vector<FittedPatch> patches; ///< as they lie in the picture
    double mean = 0, most = 0;        ///< of the differences
};

/// Fewer patches than this make no sensor.
inline constexpr std::size_t kFewestPatches = 6;
/// A mean difference above it is another chart, another place or another light than was said
/// (common practice, no source).
inline constexpr double kPoorFit = 12;

/// The matrix from the camera's channels to XYZ that fits the patches best, each weighted as its
/// lightness is seen, `Y^(-4/3)` and no darker than 1 %; of the ways the chart can lie that with
/// the least mean difference. Colours of the chart are taken to the light by bradford(). `seen` has
/// a patch each, row by row, as many across as the chart has columns; a picture without gains tells
/// the sensor's own white, one with them the white it was balanced to. Fails with OutOfRange for
/// other counts, for fewer than kFewestPatches that can be used, for patches of too few colours,
/// for a fit above kPoorFit and for primaries that are none.
[[nodiscard]] Result<SensorFit> fitSensor(const ColourChart& chart,
                                          std::span<const PatchLight> seen, ColourPoint light);

} // namespace bslate
