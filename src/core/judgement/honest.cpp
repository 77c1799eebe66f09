#include "core/judgement/honest.h"

#include "core/advice/offer.h"
#include "core/facts/evaluate.h"
#include "core/judgement/rules/rules.h"

#include <algorithm>

namespace bslate {
namespace {

bool isPulsing(FindingId id) {
    return id == FindingId::PulsingVisible || id == FindingId::PulsingUnspannable ||
           id == FindingId::PulsingDrift;
}

bool isSame(const Finding& a, const Finding& b) {
    return (a.id == b.id || (isPulsing(a.id) && isPulsing(b.id))) && a.subject == b.subject;
}

void markAccepted(const Setup& setup, std::vector<Finding>& findings) {
    for (auto& finding : findings)
        for (const auto& acceptance : setup.accepted)
            if (acceptance.finding == finding.key())
                finding.accepted = acceptance.reason;
}

// Whether a remedy may leave its finding standing: the choice between the ends of a scene that is
// too wide, and what a hand does on purpose.
bool staysByNature(const Finding& finding) {
    return finding.id == FindingId::SceneWider;
}

// What an edited scene adds to the faults of the other setups in it.
void addElsewhere(const Case& now, const Edit& edit, std::vector<Reason>& added) {
    for (const auto& other : now.context.shoot->setups) {
        if (!edit.scene || other.scene != edit.scene->id || other.id == now.context.setup->id)
            continue;
        const auto was = tried(now, {}, &other), is = tried(now, edit, &other);
        if (!was || !is)
            continue;
        for (auto& fault : addedFaults(ruled(was->judged()), ruled(is->judged(&was->at))))
            added.push_back(
                {"fault-in", {{"setup", other.number}, {"fault", ReasonList{{std::move(fault)}}}}});
    }
}

struct Judged {
    bool cures = false;
    std::vector<Reason> adds;
};

std::optional<Judged> judged(const Case& now, const std::vector<Finding>& before,
                             const Finding& finding, const Edit& edit) {
    const auto after = tried(now, edit);
    if (!after)
        return std::nullopt;
    const auto then = ruled(after->judged(&now.at));
    Judged result;
    result.cures =
        staysByNature(finding) || std::none_of(then.begin(), then.end(), [&](const Finding& one) {
            return isSame(one, finding) && one.severity <= finding.severity;
        });
    result.adds = addedFaults(before, then);
    addElsewhere(now, edit, result.adds);
    return result;
}

} // namespace

std::vector<Finding> ruled(const Case& now) {
    std::vector<Finding> findings;
    for (const auto group : rules::kGroups)
        for (const auto rule : group())
            rule(now, findings);
    markAccepted(*now.context.setup, findings);
    return findings;
}

std::vector<Reason> addedFaults(const std::vector<Finding>& before,
                                const std::vector<Finding>& after) {
    std::vector<Reason> added;
    for (const auto& fault : after)
        if (fault.severity == Severity::Fault && !fault.accepted &&
            std::none_of(before.begin(), before.end(), [&](const Finding& was) {
                return was.severity == Severity::Fault && isSame(was, fault);
            }))
            added.push_back({kindOf(fault.id).key, fault.facts});
    return added;
}

std::vector<Reason> addedFaults(const Shoot& shoot, const Edit& edit) {
    const auto* setup = edit.setup ? findSetup(shoot, edit.setup->id) : nullptr;
    if (!setup)
        return {};
    const auto context = resolve(shoot, *setup);
    if (!context)
        return {};
    const auto at = evaluate(*context);
    const Case now{*context, at, false};
    const auto after = tried(now, edit);
    return after ? addedFaults(ruled(now), ruled(after->judged(&at))) : std::vector<Reason>();
}

void tellFaults(Remedy& remedy, std::vector<Reason> added) {
    remedy.faults = static_cast<int>(added.size());
    auto also = std::find_if(remedy.facts.begin(), remedy.facts.end(),
                             [](const Fact& fact) { return fact.name == "also"; });
    if (also == remedy.facts.end())
        also = remedy.facts.insert(also, {"also", ReasonList{}});
    for (auto& fault : added)
        std::get<ReasonList>(also->value)
            .all.push_back({"adds-fault", {{"fault", ReasonList{{std::move(fault)}}}}});
}

void keepHonest(const Case& now, std::vector<Finding>& findings) {
    for (auto& finding : findings) {
        std::vector<Remedy> plain, adding;
        for (auto& remedy : finding.remedies) {
            auto after = judged(now, findings, finding, remedy.edit);
            if (!after || !after->cures)
                continue;
            if (after->adds.empty()) {
                plain.push_back(std::move(remedy));
            } else if (finding.severity < Severity::Good) {
                tellFaults(remedy, std::move(after->adds));
                adding.push_back(std::move(remedy));
            }
        }
        finding.remedies = plain.empty() ? std::move(adding) : std::move(plain);
    }
    std::erase_if(findings, [](const Finding& finding) {
        return finding.id == FindingId::SchoolSuggested && finding.remedies.empty();
    });
}

} // namespace bslate
