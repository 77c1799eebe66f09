#pragma once

#include "core/base/result.h"
#include "core/kit/camera.h"

#include <QString>

#include <vector>

namespace bslate::app {

/// The body of a camera as the texts of its sheet, without the recording modes.
struct CameraText {
    QString name, sensor, readout, fastest, bases, clip, range, white, primaries, gains, zebra,
        cardSlots, banks, draw, buffer;
    int shutter = 0; ///< into shutterChoices()
};

struct ShutterChoice {
    QString name;
    ShutterDial dial;
};
/// What shutter dials there are to choose from; the first that equals a camera's is shown, an
/// unlisted one is kept under the last entry.
[[nodiscard]] std::vector<ShutterChoice> shutterChoices();

[[nodiscard]] CameraText textOf(const Camera& camera);

/// `before` with what the texts say. The place of an error is the field's name. A changed sensor
/// size keeps the crops of the other areas.
[[nodiscard]] Result<Camera> cameraFrom(const Camera& before, const CameraText& text);

} // namespace bslate::app
