#pragma once

#include "core/shoot/shoot.h"

#include <optional>

namespace bslate {

/// What the edited document looks like: whole values that replace those with the same id.
struct Edit {
    std::optional<Setup> setup;
    std::optional<Scene> scene;
    std::optional<ShootDay> day = std::nullopt; ///< by number; added when it is not planned yet
    std::optional<Kit> kit = std::nullopt;      ///< instead of the shoot's
};

/// The edited copy. Parts whose ids are not in the shoot are ignored.
[[nodiscard]] Shoot applied(const Shoot& shoot, const Edit& edit);

} // namespace bslate
