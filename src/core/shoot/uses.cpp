#include "core/shoot/uses.h"

#include <algorithm>

namespace bslate {
namespace {

bool contains(const std::vector<std::string>& ids, std::string_view id) {
    return std::find(ids.begin(), ids.end(), id) != ids.end();
}

template<class Uses>
const Setup* firstSetup(const Shoot& shoot, Uses uses) {
    const auto found = std::find_if(shoot.setups.begin(), shoot.setups.end(), uses);
    return found == shoot.setups.end() ? nullptr : &*found;
}

const Measurement* testRecordedIn(const Shoot& shoot, const Setup& setup) {
    const auto* profile = findProfile(shoot.kit, setup.profile);
    return profile && profile->measured ? &*profile->measured : nullptr;
}

bool names(const Shoot& shoot, const Setup& setup, KitPart kind, std::string_view id) {
    switch (kind) {
    case KitPart::Camera: {
        const auto* measured = testRecordedIn(shoot, setup);
        return setup.camera == id || (measured && measured->camera == id);
    }
    case KitPart::Lens:
        return setup.lens == id;
    case KitPart::Filter:
        return contains(setup.filters, id);
    default:
        return false;
    }
}

} // namespace

std::optional<User> userOf(const Shoot& shoot, KitPart kind, std::string_view id) {
    if (const auto* setup =
            firstSetup(shoot, [&](const Setup& one) { return names(shoot, one, kind, id); }))
        return User{User::Kind::Setup, setup->number};
    for (const auto& scene : shoot.scenes)
        for (const auto& lamp : scene.lamps)
            if (kind == KitPart::Gel && contains(lamp.gels, id))
                return User{User::Kind::Gear, lamp.name};
    for (const auto& camera : shoot.kit.cameras)
        if ((kind == KitPart::Lens && camera.fixedLens == id) ||
            (kind == KitPart::Battery && contains(camera.batteries, id)))
            return User{User::Kind::Gear, camera.name};
    for (const auto& charger : shoot.kit.chargers)
        if (kind == KitPart::Battery && contains(charger.batteries, id))
            return User{User::Kind::Gear, charger.name};
    return std::nullopt;
}

const Setup* setupInScene(const Shoot& shoot, std::string_view scene) {
    return firstSetup(shoot, [&](const Setup& setup) { return setup.scene == scene; });
}

const Setup* setupInProfile(const Shoot& shoot, std::string_view profile) {
    return firstSetup(shoot, [&](const Setup& setup) {
        const auto* measured = testRecordedIn(shoot, setup);
        return setup.profile == profile || (measured && measured->nominal == profile);
    });
}

} // namespace bslate
