#pragma once

#include "core/kit/gear.h"
#include "core/shoot/shoot.h"

#include <optional>
#include <string>

/// Who would be left without a part that goes.
namespace bslate {

struct User {
    enum class Kind { Setup, Gear } kind;
    std::string name; ///< number of the setup, name of the camera, charger or lamp
    friend bool operator==(const User&, const User&) = default;
};

/// The first setup, lamp, camera or charger that names it, or records in what was measured on it;
/// nothing when it may go.
[[nodiscard]] std::optional<User> userOf(const Shoot& shoot, KitPart kind, std::string_view id);

/// The first setup in a scene, or recording in a profile or in what was measured in it; null when
/// there is none.
[[nodiscard]] const Setup* setupInScene(const Shoot& shoot, std::string_view scene);
[[nodiscard]] const Setup* setupInProfile(const Shoot& shoot, std::string_view profile);

} // namespace bslate
