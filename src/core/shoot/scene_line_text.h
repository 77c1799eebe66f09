#pragma once

#include "core/shoot/scene_line.h"

namespace bslate {

/// The line that gives this scene back: `rewritten(scene, *parseSceneLine(lineOf(scene)))` is the
/// scene. A name that would be taken for something else stands in quotes.
[[nodiscard]] std::string lineOf(const Scene& scene);

/// Gives an existing scene what a line says, keeping its id, note, patches beside the grey card
/// and unknown keys.
[[nodiscard]] Scene rewritten(const Scene& scene, const SceneLine& line);

} // namespace bslate
