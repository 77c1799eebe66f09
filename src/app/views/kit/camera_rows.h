#pragma once

#include "app/document/field_rows.h"
#include "core/kit/camera.h"

namespace bslate::app {

/// The body of a camera as the lines of its sheet: what is told fact by fact, and what has lines of
/// its own spelling. Profiles, recording modes and rules are lists beside them.
[[nodiscard]] FieldRows<Camera> cameraRows();

} // namespace bslate::app
