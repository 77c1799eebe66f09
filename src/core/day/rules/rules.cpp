#include "core/day/rules/rules.h"

#include <algorithm>
#include <set>

namespace bslate::day {

Finding about(const Case& now, int take, FindingId id, Severity severity, Facts facts) {
    Finding finding{id, severity, std::move(facts)};
    if (take >= 0) {
        const auto& of = now.plan.takes[static_cast<std::size_t>(take)];
        finding.subject = of.id;
        finding.take = static_cast<std::size_t>(take);
        const bool named = std::any_of(finding.facts.begin(), finding.facts.end(),
                                       [](const Fact& fact) { return fact.name == "take"; });
        if (!named)
            finding.facts.push_back({"take", of.title});
    }
    return finding;
}

Findings findingsOf(const Case& now) {
    Findings findings;
    for (const auto& rules : {cardRules(), bodyRules(), copyRules()})
        for (const auto rule : rules)
            rule(now, findings);
    // Two cameras may say the same of one take; each keeps its own place.
    std::set<std::string> keys;
    for (auto& finding : findings)
        for (int n = 2; !keys.insert(finding.key()).second; ++n)
            finding.subject += "/" + std::to_string(n);
    return findings;
}

} // namespace bslate::day
