#include "core/banks/bank_plan.h"

#include <algorithm>
#include <limits>

namespace bslate {
namespace {

// Among so many setups each is tried as what a bank is written as; of more only its own.
constexpr std::size_t kMostTried = 400;

SettingSet heldBy(const Bank* bank) {
    SettingSet held;
    if (bank && !bank->locked)
        for (const auto setting : bank->holds)
            held.set(static_cast<std::size_t>(setting));
    return held;
}

// Calls `visitor(setting, why)` for everything the hand sets at a visit.
template<class Visitor>
void eachByHand(const CameraWork& work, const Visit& visit, const SettingSet& held,
                std::optional<std::size_t> content, Visitor visitor) {
    const auto& wanted = work.setups[visit.setup].values;
    const auto* before = visit.after ? &work.setups[*visit.after].values : nullptr;
    const auto* kept = content ? &work.setups[*content].values : nullptr;
    for (std::size_t s = 0; s < kBodySettings; ++s) {
        if (wanted[s] < 0)
            continue;
        if (kept && held[s]) {
            if ((*kept)[s] != wanted[s])
                visitor(s, HandWhy::Differs);
        } else if (visit.arrived[s]) {
            continue;
        } else if (!before) {
            if (!visit.found[s])
                visitor(s, HandWhy::First);
        } else if (visit.slipped[s]) {
            visitor(s, HandWhy::Slipped);
        } else if ((*before)[s] != wanted[s]) {
            visitor(s, kept ? HandWhy::NotHeld : HandWhy::NoBank);
        }
    }
}

Seconds costAt(const BankProblem& problem, const Visit& visit, const SettingSet& held,
               std::optional<std::size_t> content) {
    Seconds cost(0);
    eachByHand(problem.work, visit, held, content,
               [&](std::size_t s, HandWhy) { cost += problem.access[s]; });
    return cost;
}

bool recalls(const BankProblem& problem, int bank) {
    return bank >= 0 && bank < static_cast<int>(problem.banks.size()) &&
           !problem.banks[static_cast<std::size_t>(bank)].locked;
}

// The setup a bank is best written as for those that recall it.
std::optional<std::size_t> contentOf(const BankProblem& problem, const Threads& threads, int bank) {
    std::vector<std::size_t> candidates;
    for (std::size_t k = 0; k < threads.size(); ++k)
        if (threads[k] == bank)
            candidates.push_back(k);
    if (candidates.empty())
        return std::nullopt;
    if (candidates.size() > kMostTried)
        candidates.resize(kMostTried);
    if (threads.size() <= kMostTried)
        for (std::size_t k = 0; k < threads.size(); ++k)
            if (threads[k] != bank)
                candidates.push_back(k);
    const auto held = heldBy(&problem.banks[static_cast<std::size_t>(bank)]);
    std::optional<std::size_t> best;
    Seconds least(std::numeric_limits<double>::infinity());
    std::vector<const Visit*> visits;
    for (const auto& visit : problem.work.visits)
        if (threads[visit.setup] == bank)
            visits.push_back(&visit);
    for (const auto content : candidates) {
        Seconds cost(0);
        for (const auto* visit : visits)
            cost += costAt(problem, *visit, held, content);
        if (cost < least) {
            least = cost;
            best = content;
        }
    }
    return best;
}

} // namespace

Seconds visitCost(const BankProblem& problem, const Visit& visit, const Bank* bank,
                  std::optional<std::size_t> content) {
    return costAt(problem, visit, heldBy(bank), content);
}

BankPlan planWith(const BankProblem& problem, const Threads& threads) {
    BankPlan plan;
    const auto& work = problem.work;
    for (std::size_t b = 0; b < problem.banks.size(); ++b)
        plan.writtenAs.push_back(recalls(problem, static_cast<int>(b))
                                     ? contentOf(problem, threads, static_cast<int>(b))
                                     : std::nullopt);
    plan.uses.resize(work.setups.size());
    for (std::size_t k = 0; k < threads.size(); ++k)
        plan.uses[k].bank = recalls(problem, threads[k]) ? threads[k] : -1;
    for (const auto& visit : work.visits) {
        auto& use = plan.uses[visit.setup];
        ++use.visits;
        plan.turns.recalls += use.bank >= 0 ? 1 : 0;
        const auto bank = static_cast<std::size_t>(use.bank);
        const bool any = use.bank >= 0;
        eachByHand(
            work, visit, heldBy(any ? &problem.banks[bank] : nullptr),
            any ? plan.writtenAs[bank] : std::nullopt, [&](std::size_t s, HandWhy why) {
                const auto setting = static_cast<BodySetting>(s);
                use.cost += problem.access[s];
                ++plan.turns.byHand[s];
                const bool told =
                    std::any_of(use.byHand.begin(), use.byHand.end(),
                                [&](const HandSetting& hand) { return hand.setting == setting; });
                if (!told)
                    use.byHand.push_back({setting, *work.setups[visit.setup].settings[setting], why,
                                          problem.access[s]});
            });
    }
    for (auto& use : plan.uses) {
        plan.cost += use.cost;
        std::sort(use.byHand.begin(), use.byHand.end(),
                  [](const auto& a, const auto& b) { return a.setting < b.setting; });
    }
    return plan;
}

Threads threadsOf(const BankProblem& problem, const Shoot& shoot) {
    Threads threads;
    for (const auto& own : problem.work.setups) {
        const auto* setup = findSetup(shoot, own.id);
        const int bank = setup ? setup->bank - 1 : -1;
        threads.push_back(bank < static_cast<int>(problem.banks.size()) ? bank : -1);
    }
    return threads;
}

std::vector<Setup> rethreaded(const BankProblem& problem, const Shoot& shoot,
                              const Threads& threads) {
    std::vector<Setup> changed;
    for (std::size_t k = 0; k < threads.size(); ++k) {
        const auto* setup = findSetup(shoot, problem.work.setups[k].id);
        if (!setup || setup->bank == threads[k] + 1)
            continue;
        changed.push_back(*setup);
        changed.back().bank = threads[k] + 1;
    }
    return changed;
}

} // namespace bslate
