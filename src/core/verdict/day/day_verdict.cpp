#include "core/verdict/day/day_verdict.h"

#include "core/verdict/day/day_rules.h"

#include <algorithm>
#include <set>

namespace bslate {
namespace day {

Finding about(const Case& now, int take, std::string_view id, Severity severity, Facts facts,
              std::string_view source) {
    Finding finding;
    finding.id = id;
    finding.severity = severity;
    finding.source = source;
    finding.facts = std::move(facts);
    if (take >= 0) {
        const auto& of = now.plan.takes[static_cast<std::size_t>(take)];
        finding.subject = of.id;
        const bool named = std::any_of(finding.facts.begin(), finding.facts.end(),
                                       [](const Fact& fact) { return fact.name == "take"; });
        if (!named)
            finding.facts.push_back({"take", of.title});
    }
    return finding;
}

Findings findingsOf(const Case& now) {
    constexpr void (*kRules[])(const Case&, Findings&) = {
        shortOfCards,     cardsChangedInside, cardsMarginal,  mirrorAndProxy,      slotLowersRate,
        cardsTight,       takesInFiles,       classesUnknown, busHoldsBack,        cardFailed,
        takesOutlastMode, lightOnTheDay,      shortOfPower,   externalPowerNeeded, copiesMissing,
        backLate,         safeTonight,        storage,        takesLate,           dayWhole,
        howGood};
    Findings findings;
    for (const auto rule : kRules)
        rule(now, findings);
    // Two cameras may say the same of one take; each keeps its own place.
    std::set<std::string> keys;
    for (auto& finding : findings)
        for (int n = 2; !keys.insert(finding.key()).second; ++n)
            finding.subject += "/" + std::to_string(n);
    return findings;
}

} // namespace day

int countOf(const std::vector<Finding>& findings, Severity severity) {
    return static_cast<int>(std::count_if(findings.begin(), findings.end(), [&](const Finding& f) {
        return f.severity == severity && !f.accepted;
    }));
}

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
