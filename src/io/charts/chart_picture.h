#pragma once

#include "core/base/keep_going.h"
#include "core/frame/image.h"
#include "core/light/colour_chart.h"

#include <filesystem>

/// A chart in a photograph or a clip.
namespace bslate::io {

/// Where the patches of a chart lie that fills an upright place, row by row: the middle of each,
/// two fifths as wide and as high as its share, so that borders and a slight turn do no harm.
[[nodiscard]] std::vector<PictureArea> chartPlaces(const PictureArea& chart, int columns, int rows);

struct ReadChart {
    std::vector<PatchLight> places; ///< row by row
    bool ofSensor = false;          ///< camera raw: channels as the sensor has them, without gains
};

/// Means of the places: light through the curve for recorded codes, the numbers themselves for a
/// still of light or camera raw. Of a clip the exposure that is held longest in its first frames
/// counts. Fails as readStill() and readRegions() do.
[[nodiscard]] Result<ReadChart> readChartPicture(const std::filesystem::path& picture,
                                                 std::span<const PictureArea> places,
                                                 const Curve& curve, CodeRange range,
                                                 const KeepGoing& keepGoing = {});

} // namespace bslate::io
