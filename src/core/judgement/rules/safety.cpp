#include "core/judgement/rules/rules.h"

namespace bslate::rules {

static void safety(const Case& now, Findings& out) {
    const auto& hazards = now.context.scene->hazards;
    const auto warn = [&](bool present, std::string_view id) {
        if (!present)
            return;
        Finding finding;
        finding.id = id;
        finding.severity = Severity::Note;
        finding.source = "usual caution; local codes and licensed practice decide";
        out.push_back(std::move(finding));
    };
    warn(hazards.sun, "safety-sun");
    warn(hazards.water, "safety-water");
    warn(hazards.mains, "safety-mains");
    warn(hazards.heights, "safety-heights");
}

std::span<const Rule> safetyRules() {
    static constexpr Rule kRules[] = {safety};
    return kRules;
}

} // namespace bslate::rules
