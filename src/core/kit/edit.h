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

/// `kit` with a profile added to it (under a fresh id), to the cameras named, and to those of their
/// modes that name a profile of the same sort, log or ready. Fails with UnknownId for a camera that
/// is not there.
[[nodiscard]] Result<Kit> withProfile(const Kit& kit, Profile profile,
                                      const std::vector<std::string>& cameras);

/// What a test found, still without the body, profile and base it belongs to.
[[nodiscard]] Measurement measurementOf(const SeriesFit& fit, std::vector<SeriesReading> readings,
                                        double snr);

/// `kit` with a measured profile standing beside the nominal one it names: on the same body,
/// wherever modes, ISO rules and constraints speak of the nominal one. An earlier measurement of
/// the same body, profile and base is replaced and keeps its id. Fails with UnknownId when the
/// body, the profile or a base of that ISO is not in the kit.
[[nodiscard]] Result<Kit> withMeasured(const Kit& kit, const Measurement& measurement,
                                       const Curve& curve);

/// `kit` with a recipe put into a profile slot: what the slot takes of it (recipe.h).
[[nodiscard]] Result<Kit> withRecipeIn(const Kit& kit, std::string_view profile,
                                       std::string_view recipe);

/// The camera with its recording modes replaced by one for each line (mode_line.h; blank lines are
/// skipped). A line that is an existing mode's own line keeps that mode untouched; a changed line
/// keeps id, profiles, slots and proxy of the mode at its position. `place` of an error is
/// "line 3".
[[nodiscard]] Result<Camera> withModeLines(Camera camera, const std::vector<std::string>& lines);

/// Read noise that gives a sensor this many stops between clip and the floor at signal-to-noise 2:
/// `n = fullWell / 2^range`, `read^2 = n^2/4 - n`; 0 when photon noise alone is above that.
[[nodiscard]] Electrons readNoiseFor(Electrons fullWell, Stops range);

} // namespace bslate
