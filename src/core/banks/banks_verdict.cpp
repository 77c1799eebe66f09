#include "core/banks/banks_verdict.h"

#include "core/banks/bank_offers.h"

#include <algorithm>

namespace bslate {

std::vector<Finding> judgeBanks(const Shoot& shoot, const Camera& camera, const CameraPlan& plan) {
    const auto now = banks::caseOf(shoot, camera, plan, threadsOf(plan.problem, shoot));
    auto findings = banks::findingsOf(now);
    const auto all = findings;
    for (auto& finding : findings) {
        if (now.record)
            for (const auto& acceptance : now.record->accepted)
                if (acceptance.finding == finding.key())
                    finding.accepted = acceptance.reason;
        if (!finding.accepted)
            banks::offerRemedies(now, all, finding);
    }
    std::stable_sort(findings.begin(), findings.end(),
                     [](const Finding& a, const Finding& b) { return a.severity < b.severity; });
    return findings;
}

} // namespace bslate
