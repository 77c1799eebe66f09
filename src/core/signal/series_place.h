#pragma once

#include "core/signal/exposure_series.h"

#include <vector>

/// Where a series stands whose exposures are known by their distances alone.
namespace bslate {

/// Moved together so that they stand on the nominal curve: by the median of how far the readings
/// that are within it lie off. What the body differs from that curve in brightness is not known
/// then, and the nominal place is kept. As they are where no reading is within it.
[[nodiscard]] std::vector<SeriesReading> placedOn(const Curve& nominal,
                                                  std::vector<SeriesReading> readings);

/// A series with the readings as they were placed.
struct PlacedFit {
    std::vector<SeriesReading> readings;
    SeriesFit fit;
};
/// As fitSeries(); `relative` ones are placed first, and their fit has no shift.
[[nodiscard]] Result<PlacedFit> fitPlaced(std::vector<SeriesReading> readings, bool relative,
                                          CodeRange range, const Curve& nominal, double snr = 2.0);

} // namespace bslate
