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
    /// By camera; added when there is none yet. A writing of a bank without a moment is one of the
    /// moment at which the edit is carried out: stamped().
    std::optional<CameraRecord> record = std::nullopt;
    friend bool operator==(const Edit&, const Edit&) = default;
};

/// What it makes new in the shoot. Parts whose ids are not in it are left out.
[[nodiscard]] Revision revisionOf(const Shoot& shoot, const Edit& edit);

/// The edit with a moment, `2026-05-01 07:40`, for every writing of a bank that has none.
[[nodiscard]] Edit stamped(Edit edit, const std::string& when);

/// The edited copy: the revision, carried out.
[[nodiscard]] Shoot applied(const Shoot& shoot, const Edit& edit);

} // namespace bslate
