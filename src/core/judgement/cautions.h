#pragma once

#include "core/judgement/finding.h"
#include "core/shoot/scene.h"

namespace bslate {

/// What can hurt someone in a scene, as notes: known at once, whatever else of a setup is.
[[nodiscard]] std::vector<Finding> cautionsOf(const Scene& scene);

} // namespace bslate
