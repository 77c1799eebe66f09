#include "core/judgement/judge.h"

#include "core/facts/evaluate.h"

#include "core/judgement/honest.h"
#include "core/judgement/told_once.h"

#include <algorithm>
#include <utility>

namespace bslate {

int Verdict::count(Severity severity) const {
    return countOf(findings, severity);
}

Severity Verdict::worst() const {
    for (const auto severity : {Severity::Fault, Severity::Caution})
        if (count(severity) > 0)
            return severity;
    return Severity::Good;
}

const Finding* Verdict::find(std::string_view key) const {
    return findTold(findings, key);
}

namespace {

// What adds fewer faults comes first, then what loses less elsewhere; of those that lose as much
// the levers keep their order.
void keepTheBest(std::vector<Finding>& findings) {
    for (auto& finding : findings) {
        auto& remedies = finding.remedies;
        std::stable_sort(remedies.begin(), remedies.end(), [](const Remedy& a, const Remedy& b) {
            return std::pair(a.faults, a.worse) < std::pair(b.faults, b.worse);
        });
        if (remedies.size() > kMostRemedies)
            remedies.erase(remedies.begin() + kMostRemedies, remedies.end());
    }
}

} // namespace

Verdict judge(const Shoot& shoot, const Setup& setup) {
    Verdict verdict;
    const auto context = resolve(shoot, setup);
    if (!context) {
        Finding finding{FindingId::SetupIncomplete,
                        Severity::Fault,
                        {{"where", context.error().place},
                         {"what", context.error().got},
                         {"expected", context.error().expected}}};
        verdict.findings.push_back(std::move(finding));
        return verdict;
    }
    verdict.evaluation = evaluate(*context);
    const Case now{*context, *verdict.evaluation};
    verdict.findings = ruled(now);
    keepHonest(now, verdict.findings);
    tellOnce(verdict.findings, *verdict.evaluation);
    keepTheBest(verdict.findings);
    std::stable_sort(verdict.findings.begin(), verdict.findings.end(),
                     [](const Finding& a, const Finding& b) { return a.severity < b.severity; });
    return verdict;
}

} // namespace bslate
