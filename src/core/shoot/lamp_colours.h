#pragma once

#include "core/kit/kit.h"
#include "core/shoot/scene.h"

#include <span>
#include <vector>

/// The lights of a scene by their colour.
namespace bslate {

/// Of light nobody measured (common practice, no source): bulbs 2600 to 3200 K, tubes 3500 to
/// 4500 K and green by 0.008, panels and dimmed strips 3000 to 6500 K, steady light as described.
[[nodiscard]] UsualColour usualColour(LampKind kind, const Scene& scene);

struct SceneLight {
    static constexpr std::size_t kNoLamp = static_cast<std::size_t>(-1);
    std::size_t lamp = kNoLamp;     ///< place in the scene; kNoLamp: the light as a whole
    ColourPoint bare;               ///< before its gels
    ColourPoint colour;             ///< on the scene
    std::optional<ColourPoint> end; ///< where it goes to during the take, behind its gels
    Kelvin warmest, coolest;        ///< it may as well have, before its gels
    bool usual = false;             ///< nobody measured it
    Fraction share;                 ///< of the light on the subject
    Fraction behind;                ///< of the light on the background
    Stops loss{0};                  ///< to its gels
    friend bool operator==(const SceneLight&, const SceneLight&) = default;
};

/// Every lamp, or the light as a whole where there are none; empty when nothing is told of it.
/// Lamps that tell no share divide what the others leave; where none tells what it gives to the
/// background, those of that side do, else all as on the subject. A gel takes its light off the
/// share. Gels that are not in the kit do nothing.
[[nodiscard]] std::vector<SceneLight> colouredLights(const Scene& scene, const Kit& kit);

/// All of them together, by share or by what they give to the background; none without lights or
/// where all their shares are 0.
[[nodiscard]] std::optional<ColourPoint> mixtureOf(std::span<const SceneLight> lights,
                                                   Fraction SceneLight::*share);

} // namespace bslate
