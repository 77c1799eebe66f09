#include "core/advice/additions.h"

#include "core/facts/evaluate.h"

#include <algorithm>

namespace bslate {
namespace {

// White for the key of the scene, where its light is told; in a scene that has setups already, as
// the one at hand, so that they cut together.
void startWhite(Shoot& shoot, const std::string& id, const Setup* atHand) {
    auto* setup = findSetup(shoot, id);
    if (atHand && atHand->scene == setup->scene) {
        setup->white = atHand->white;
        setup->tint = atHand->tint;
        return;
    }
    const auto context = resolve(shoot, *setup);
    if (!context)
        return;
    if (const auto key = whiteChoices(*context, evaluate(*context).white).key) {
        setup->white = key->kelvin;
        setup->tint = key->tint;
    }
}

} // namespace

Added withScene(Shoot shoot, const SceneLine& line, const Setup* atHand) {
    Added added;
    Scene scene = line.scene;
    scene.id = added.scene = freshId(shoot.scenes, "scene");
    shoot.days = std::max(shoot.days, scene.day);
    const bool taken =
        std::any_of(shoot.setups.begin(), shoot.setups.end(),
                    [&](const Setup& setup) { return setup.number == scene.number; });
    if (!scene.number.empty() && !taken && !shoot.kit.cameras.empty()) {
        Setup setup = startingSetup(shoot, atHand);
        setup.id = added.setup = freshId(shoot.setups, "setup");
        setup.number = scene.number;
        setup.name = scene.name;
        setup.scene = scene.id;
        shoot.setups.push_back(std::move(setup));
    }
    shoot.scenes.push_back(std::move(scene));
    if (!added.setup.empty())
        startWhite(shoot, added.setup, nullptr);
    added.shoot = std::move(shoot);
    return added;
}

Added withSetup(Shoot shoot, const Setup* atHand, const std::string& name, const Scene& fallback) {
    Added added;
    Setup setup = startingSetup(shoot, atHand);
    setup.id = added.setup = freshId(shoot.setups, "setup");
    setup.number = freshNumber(shoot, atHand ? atHand->number : std::string());
    setup.name = name;
    if (shoot.scenes.empty()) {
        shoot.scenes.push_back(fallback);
        added.scene = fallback.id;
    }
    setup.scene = atHand ? atHand->scene : shoot.scenes.front().id;
    shoot.setups.push_back(std::move(setup));
    startWhite(shoot, added.setup, atHand);
    added.shoot = std::move(shoot);
    return added;
}

Added withSetupCopied(Shoot shoot, const std::string& setup) {
    Added added;
    if (const auto* own = findSetup(shoot, setup)) {
        Setup copy = *own;
        copy.id = added.setup = freshId(shoot.setups, "setup");
        copy.number = freshNumber(shoot, own->number);
        copy.accepted.clear();
        shoot.setups.insert(shoot.setups.begin() + (own - shoot.setups.data()) + 1,
                            std::move(copy));
    }
    added.shoot = std::move(shoot);
    return added;
}

std::string addPatch(Scene& scene, const std::string& name) {
    Patch patch;
    patch.id = freshId(scene.patches, "patch");
    patch.name = name;
    patch.role = PatchRole::Highlight;
    for (const auto& other : scene.patches)
        if (other.role == PatchRole::Grey)
            patch.reading = other.reading;
    scene.patches.push_back(patch);
    return patch.id;
}

void copyPatch(Scene& scene, const std::string& patch) {
    const auto* own = findById(scene.patches, patch);
    if (!own)
        return;
    Patch copy = *own;
    copy.id = freshId(scene.patches, "patch");
    scene.patches.insert(scene.patches.begin() + (own - scene.patches.data()) + 1, std::move(copy));
}

std::string addGear(Kit& kit, KitPart kind, const std::string& name) {
    const Camera starting = startingCamera(kit);
    return withPart(kit, kind, [&](auto& items) {
        using Item = typename std::decay_t<decltype(items)>::value_type;
        Item item;
        if constexpr (std::is_same_v<Item, Camera>)
            item = starting;
        if constexpr (std::is_same_v<Item, Filter>)
            item.label = {NdTradition::Density, 0.6};
        if constexpr (std::is_same_v<Item, CardReader>)
            item.forms = {CardForm::Sd};
        item.id = freshId(items, kIdPrefix[kind]);
        item.name = name;
        items.push_back(item);
        return item.id;
    });
}

} // namespace bslate
