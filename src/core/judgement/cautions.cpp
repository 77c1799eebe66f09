#include "core/judgement/cautions.h"

namespace bslate {

std::vector<Finding> cautionsOf(const Scene& scene) {
    std::vector<Finding> cautions;
    const auto warn = [&](bool present, std::string_view id) {
        if (!present)
            return;
        Finding finding;
        finding.id = id;
        finding.severity = Severity::Note;
        finding.topic = Topic::Safety;
        finding.source = "usual caution; local codes and licensed practice decide";
        cautions.push_back(std::move(finding));
    };
    warn(scene.hazards.sun, "safety-sun");
    warn(scene.hazards.water, "safety-water");
    warn(scene.hazards.mains, "safety-mains");
    warn(scene.hazards.heights, "safety-heights");
    return cautions;
}

} // namespace bslate
