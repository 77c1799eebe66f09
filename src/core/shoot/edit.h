#pragma once

#include "core/shoot/revision.h"

#include <optional>

namespace bslate {

/// A change that is proposed: whole values that replace those with the same id.
struct Edit {
    std::optional<Setup> setup = std::nullopt;
    std::optional<Scene> scene = std::nullopt;
    std::optional<ShootDay> day = std::nullopt; ///< by number; added when it is not planned yet
    std::optional<Kit> kit = std::nullopt;      ///< instead of the shoot's, from now on inside it
    std::vector<Setup> setups = {};             ///< more of them
    friend bool operator==(const Edit&, const Edit&) = default;
};

/// What it makes new in the shoot. Parts whose ids are not in it are left out.
[[nodiscard]] Revision revisionOf(const Shoot& shoot, const Edit& edit);

/// The edited copy: the revision, carried out.
[[nodiscard]] Shoot applied(const Shoot& shoot, const Edit& edit);

} // namespace bslate
