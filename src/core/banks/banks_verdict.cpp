#include "core/banks/banks_verdict.h"

#include "core/banks/bank_offers.h"
#include "core/day/plan_day.h"
#include "core/shoot/take_line.h"

#include <algorithm>

namespace bslate {
namespace {

// The day on which a card may be emptied between takes; planned only where that costs a bank.
std::optional<DayPlan> firstDay(const Shoot& shoot, const CameraPlan& plan, const Threads& threads,
                                const KeepGoing& keepGoing) {
    const auto& banks = plan.problem.banks;
    const bool onCard = std::any_of(threads.begin(), threads.end(), [&](int bank) {
        return bank >= 0 && banks[static_cast<std::size_t>(bank)].place == BankPlace::Card;
    });
    if (!onCard || plan.problem.work.visits.empty())
        return std::nullopt;
    const auto day = dayOf(shoot, dayNumbers(shoot).front());
    if (day.takes.empty())
        return std::nullopt;
    PlanEffort effort;
    effort.keepGoing = keepGoing;
    return planDay(shoot, day, effort);
}

} // namespace

std::vector<Finding> judgeBanks(const Shoot& shoot, const Camera& camera, const CameraPlan& plan,
                                const KeepGoing& keepGoing) {
    const auto threads = threadsOf(plan.problem, shoot);
    const auto day = firstDay(shoot, plan, threads, keepGoing);
    const auto formats = cardFormatsOf(shoot, plan.problem.work, day ? &*day : nullptr);
    const auto now = banks::caseOf(shoot, camera, plan, threads, formats);
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
