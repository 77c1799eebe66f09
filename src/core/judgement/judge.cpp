#include "core/judgement/judge.h"

#include "core/facts/evaluate.h"

#include "core/judgement/rules/rules.h"
#include "core/judgement/told_once.h"

#include <algorithm>

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

// What loses less elsewhere comes first; of those that lose as much the levers keep their order.
void keepTheBest(std::vector<Finding>& findings) {
    for (auto& finding : findings) {
        auto& remedies = finding.remedies;
        std::stable_sort(remedies.begin(), remedies.end(),
                         [](const Remedy& a, const Remedy& b) { return a.worse < b.worse; });
        if (remedies.size() > kMostRemedies)
            remedies.erase(remedies.begin() + kMostRemedies, remedies.end());
    }
}

void markAccepted(const Setup& setup, std::vector<Finding>& findings) {
    for (auto& finding : findings)
        for (const auto& acceptance : setup.accepted)
            if (acceptance.finding == finding.key())
                finding.accepted = acceptance.reason;
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
    for (const auto group : rules::kGroups)
        for (const auto rule : group())
            rule(now, verdict.findings);
    markAccepted(setup, verdict.findings);
    tellOnce(verdict.findings, *verdict.evaluation);
    keepTheBest(verdict.findings);
    std::stable_sort(verdict.findings.begin(), verdict.findings.end(),
                     [](const Finding& a, const Finding& b) { return a.severity < b.severity; });
    return verdict;
}

} // namespace bslate
