#pragma once

#include "core/kit/kit.h"

#include <string>
#include <vector>

/// Edits of a kit that keep its references whole.
namespace bslate {

/// `kit` with everything of `other` added. What is there already, equal and under the same id, is
/// left alone; another item under a taken id gets a new id, and what names it follows.
[[nodiscard]] Kit merged(const Kit& kit, Kit other);

/// A kit of one camera with what it needs: its profiles, fixed lens and batteries. Fails with
/// UnknownId.
[[nodiscard]] Result<Kit> extracted(const Kit& kit, std::string_view camera);

/// The camera with its recording modes replaced by one for each line (mode_line.h; blank lines are
/// skipped). A line that is an existing mode's own line keeps that mode untouched; a changed line
/// keeps id, profiles, slots and proxy of the mode at its position. `place` of an error is
/// "line 3".
[[nodiscard]] Result<Camera> withModeLines(Camera camera, const std::vector<std::string>& lines);

/// The camera with its body as the lines say (body_line.h). Where they name banks, these are
/// counted and an earlier count is forgotten.
[[nodiscard]] Result<Camera> withBodyLines(Camera camera, const std::vector<std::string>& lines);

/// Read noise that gives a sensor this many stops between clip and the floor at signal-to-noise 2:
/// `n = fullWell / 2^range`, `read^2 = n^2/4 - n`; 0 when photon noise alone is above that.
[[nodiscard]] Electrons readNoiseFor(Electrons fullWell, Stops range);

} // namespace bslate
