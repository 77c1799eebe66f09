#pragma once

#include "core/base/result.h"
#include "io/wire/still.h"

#include <string_view>

namespace bslate::helper {

/// Whether the bytes are what a camera's sensor gathered: a picture behind a pattern of colours, or
/// one that says it is of a sensor.
[[nodiscard]] bool isOfSensor(std::string_view bytes);

/// Light in the sensor's own channels under the camera's own white, 1 where it is full; of more
/// than io::kMostKeptPixels one pixel stands for each cell of the pattern. Fails with WrongFormat
/// for what is none, or not all there.
[[nodiscard]] Result<io::Still> sensorStill(std::string_view bytes);

} // namespace bslate::helper
