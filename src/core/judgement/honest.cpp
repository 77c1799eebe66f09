#include "core/judgement/honest.h"

#include "core/advice/offer.h"
#include "core/facts/evaluate.h"
#include "core/judgement/rules/rules.h"

#include <algorithm>
#include <deque>
#include <map>
#include <utility>

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

// What edits leave, each looked at once: one is offered by several findings.
class Outcomes {
public:
    Outcomes(const Case& now, const std::vector<Finding>& before)
        : m_now(now)
        , m_before(before) {}

    struct Outcome {
        std::vector<Finding> then;
        std::vector<Reason> adds;
    };
    /// None where it cannot be evaluated.
    const std::optional<Outcome>& of(const Edit& edit) {
        for (const auto& [known, outcome] : m_known)
            if (known == edit)
                return outcome;
        std::optional<Outcome> outcome;
        if (const auto after = tried(m_now, edit)) {
            outcome = Outcome{ruled(after->judged(&m_now.at)), {}};
            outcome->adds = addedFaults(m_before, outcome->then);
            addElsewhere(edit, outcome->adds);
        }
        return m_known.emplace_back(edit, std::move(outcome)).second;
    }

private:
    // What an edited scene adds to the faults of the other setups in it.
    void addElsewhere(const Edit& edit, std::vector<Reason>& added) {
        for (const auto& other : m_now.context.shoot->setups) {
            if (!edit.scene || other.scene != edit.scene->id || other.id == m_now.context.setup->id)
                continue;
            const auto& was = asItIs(other);
            const auto is = was ? tried(m_now, edit, &other) : std::nullopt;
            if (!is)
                continue;
            for (auto& fault : addedFaults(was->then, ruled(is->judged(&was->was.at))))
                added.push_back(
                    {"fault-in",
                     {{"setup", other.number}, {"fault", ReasonList{{std::move(fault)}}}}});
        }
    }

    struct Other {
        Tried was;
        std::vector<Finding> then;
    };
    const std::optional<Other>& asItIs(const Setup& other) {
        const auto [at, isNew] = m_others.try_emplace(&other);
        if (auto was = isNew ? tried(m_now, {}, &other) : std::nullopt) {
            auto then = ruled(was->judged());
            at->second = Other{std::move(*was), std::move(then)};
        }
        return at->second;
    }

    const Case& m_now;
    const std::vector<Finding>& m_before;
    std::deque<std::pair<Edit, std::optional<Outcome>>> m_known; ///< what is handed out stays put
    std::map<const Setup*, std::optional<Other>> m_others;
};

bool cures(const Finding& finding, const std::vector<Finding>& then) {
    return staysByNature(finding) ||
           std::none_of(then.begin(), then.end(), [&](const Finding& one) {
               return isSame(one, finding) && one.severity <= finding.severity;
           });
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
    Outcomes outcomes(now, findings);
    for (auto& finding : findings) {
        std::vector<Remedy> plain, adding;
        for (auto& remedy : finding.remedies) {
            const auto& after = outcomes.of(remedy.edit);
            if (!after || !cures(finding, after->then))
                continue;
            if (after->adds.empty()) {
                plain.push_back(std::move(remedy));
            } else if (finding.severity < Severity::Good) {
                tellFaults(remedy, after->adds);
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
