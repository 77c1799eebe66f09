#include "core/judgement/cautions.h"

namespace bslate {

std::vector<Finding> cautionsOf(const Scene& scene) {
    std::vector<Finding> cautions;
    const auto warn = [&](bool present, FindingId id) {
        if (present)
            cautions.push_back({id, Severity::Note});
    };
    warn(scene.hazards.sun, FindingId::SafetySun);
    warn(scene.hazards.water, FindingId::SafetyWater);
    warn(scene.hazards.mains, FindingId::SafetyMains);
    warn(scene.hazards.heights, FindingId::SafetyHeights);
    return cautions;
}

} // namespace bslate
