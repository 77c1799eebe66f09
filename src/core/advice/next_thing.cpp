#include "core/advice/next_thing.h"

#include <algorithm>

namespace bslate {

namespace {

bool readyLooksAlone(const Kit& kit) {
    return std::all_of(kit.cameras.begin(), kit.cameras.end(), [&](const Camera& camera) {
        return !camera.profiles.empty() &&
               std::all_of(camera.profiles.begin(), camera.profiles.end(),
                           [&](const std::string& id) {
                               const auto* profile = findProfile(kit, id);
                               return profile && profile->ready;
                           });
    });
}

} // namespace

std::optional<NextThing> nextThing(const Shoot& shoot, Work work) {
    const bool bare = shoot.kit.cameras.empty();
    switch (work) {
    case Work::Kit:
        return bare                         ? std::optional(NextThing::BringCamera)
               : readyLooksAlone(shoot.kit) ? std::optional(NextThing::BringCurve)
                                            : std::nullopt;
    case Work::Scenes:
        return shoot.scenes.empty() ? std::optional(NextThing::TypeScene) : std::nullopt;
    case Work::Setups:
        if (!shoot.setups.empty())
            return std::nullopt;
        return bare                   ? NextThing::BringCamera
               : shoot.scenes.empty() ? NextThing::TypeScene
                                      : NextThing::AddSetup;
    case Work::Days:
        if (const auto before = nextThing(shoot, Work::Setups))
            return before;
        if (std::any_of(shoot.plan.begin(), shoot.plan.end(),
                        [](const ShootDay& day) { return !day.takes.empty(); }))
            return std::nullopt;
        return NextThing::PlanTakes;
    }
    return std::nullopt;
}

} // namespace bslate
