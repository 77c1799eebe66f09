#pragma once

#include "core/facts/evaluation.h"
#include "core/signal/exposure_series.h"

#include <optional>

namespace bslate {

/// The last step of the camera's zebra that warns before the clip a test found, as a setup at this
/// base in the measured profile would have it: the same number as its verdict and its targets.
/// Nothing when no channel clipped, the dial does not go there, or the body has no mode for it.
[[nodiscard]] std::optional<ZebraValue> clipZebraAfterTest(const Kit& kit, const Camera& camera,
                                                           const Profile& nominal,
                                                           ExposureIndex base,
                                                           const SeriesFit& fit);

} // namespace bslate
