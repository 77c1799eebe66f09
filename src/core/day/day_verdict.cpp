#include "core/day/day_verdict.h"

#include "core/day/day_remedies.h"

#include <algorithm>

namespace bslate {
std::vector<Finding> judgeDay(const Shoot& shoot, const ShootDay& of, const DayPlan& plan,
                              const JudgeEffort& effort) {
    DropChances own;
    const day::Case now{shoot, of, plan, rollsOf(shoot, of),
                        effort.chances ? *effort.chances : own};
    auto findings = day::findingsOf(now);
    for (auto& finding : findings)
        for (const auto& acceptance : of.accepted)
            if (acceptance.finding == finding.key())
                finding.accepted = acceptance.reason;
    if (effort.remedies == DayRemedies::Verified) {
        const auto all = findings;
        day::Trials trials{effort.keepGoing};
        for (auto& finding : findings)
            if (!finding.accepted && finding.severity < Severity::Good)
                day::offerRemedies(now, all, finding, trials);
    }
    std::stable_sort(findings.begin(), findings.end(),
                     [](const Finding& a, const Finding& b) { return a.severity < b.severity; });
    return findings;
}

} // namespace bslate
