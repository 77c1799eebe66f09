#pragma once

#include "core/advice/starting.h"
#include "core/kit/gear.h"
#include "core/shoot/scene_line.h"

/// Shoots and kits with something new in them. Ids and numbers are chosen here, names are given.
namespace bslate {

struct Added {
    Shoot shoot;
    std::string scene, setup; ///< ids of what is new; empty: none of it
};

/// A scene from its line; with a setup of its number when it has one that is free and the kit has
/// a camera.
[[nodiscard]] Added withScene(Shoot shoot, const SceneLine& line, const Setup* atHand);

/// A setup in the scene of the one at hand, else in the first; in `fallback` when there is no
/// scene. Precondition: the kit has a camera.
[[nodiscard]] Added withSetup(Shoot shoot, const Setup* atHand, const std::string& name,
                              const Scene& fallback);

/// A copy behind a setup, with nothing accepted; the shoot as it was when there is no such setup.
[[nodiscard]] Added withSetupCopied(Shoot shoot, const std::string& setup);

/// A patch to keep the highlights of, at the grey card's light when the scene has one; its id.
[[nodiscard]] std::string addPatch(Scene& scene, const std::string& name);
/// A copy behind a patch, when it is there.
void copyPatch(Scene& scene, const std::string& patch);

/// The id of a new item: a camera that evaluates, an ND of two stops, a reader of the usual cards.
[[nodiscard]] std::string addGear(Kit& kit, KitPart kind, const std::string& name);

} // namespace bslate
