#pragma once

#include "core/kit/kit.h"

#include <string>
#include <vector>

/// Edits of a kit's profiles that keep its references whole.
namespace bslate {

/// `kit` with a profile added to it (under a fresh id), to the cameras named, and to those of their
/// modes that name a profile of the same sort, log or ready. Fails with UnknownId for a camera that
/// is not there.
[[nodiscard]] Result<Kit> withProfile(const Kit& kit, Profile profile,
                                      const std::vector<std::string>& cameras);

/// `kit` without a profile, what was measured in it, and every mention of them; conditions that
/// name one alone stay, and checkKit() tells of them.
[[nodiscard]] Kit withoutProfile(Kit kit, const std::string& profile);

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

} // namespace bslate
