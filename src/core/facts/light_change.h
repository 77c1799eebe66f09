#pragma once

#include "core/shoot/shoot.h"

/// The light of a scene on its way to another level.
namespace bslate {

/// The same scene with every reading moved by as many stops.
[[nodiscard]] Scene brightened(const Scene& scene, Stops by);

/// By how many stops the light of the scene changes: its LightChange against its grey card. None
/// when it does not change, has no grey card, or changes by less than a hundredth of a stop.
[[nodiscard]] std::optional<Stops> lightChangeOf(const Scene& scene, const MeterCalibration& meter);

/// How much of the change has happened after `since` of it: straight in stops, nothing before it
/// begins and all of it once it is over.
[[nodiscard]] Stops changedBy(const LightChange& change, Stops by, Seconds since);

} // namespace bslate
