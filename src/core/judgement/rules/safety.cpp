#include "core/judgement/cautions.h"
#include "core/judgement/rules/rules.h"

namespace bslate::rules {

static void safety(const Case& now, Findings& out) {
    const auto cautions = cautionsOf(*now.context.scene);
    out.insert(out.end(), cautions.begin(), cautions.end());
}

std::span<const Rule> safetyRules() {
    static constexpr Rule kRules[] = {safety};
    return kRules;
}

} // namespace bslate::rules
