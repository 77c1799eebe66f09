#include "core/banks/bank_plan.h"

#include "core/base/index_by_id.h"

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

// Why the hand or the eye goes to a setting that no bank brings.
HandWhy whyNotBrought(const CameraWork& work, const Visit& visit, std::size_t s, bool recalled) {
    if (visit.arrived[s] || visit.found[s])
        return HandWhy::Stands;
    if (!visit.after)
        return HandWhy::First;
    if (visit.slipped[s])
        return HandWhy::Slipped;
    const auto wanted = work.setups[visit.setup].values[s];
    if (work.setups[*visit.after].values[s] == wanted)
        return HandWhy::Stands;
    return recalled ? HandWhy::NotHeld : HandWhy::NoBank;
}

// Calls `visitor(setting, why)` for everything the hand sets or the eye looks at, at a visit.
template<class Visitor>
void eachAtVisit(const CameraWork& work, const Visit& visit, const SettingSet& held,
                 std::optional<std::size_t> content, Visitor visitor) {
    const auto& wanted = work.setups[visit.setup].values;
    for (std::size_t s = 0; s < kBodySettings; ++s) {
        if (wanted[s] < 0)
            continue;
        if (content && held[s]) {
            if (work.setups[*content].values[s] != wanted[s])
                visitor(s, HandWhy::Differs);
        } else if (const auto why = whyNotBrought(work, visit, s, content.has_value());
                   why != HandWhy::Stands || static_cast<BodySetting>(s) != BodySetting::Region) {
            visitor(s, why);
        }
    }
}

Seconds costOf(const BankProblem& problem, std::size_t s, HandWhy why) {
    return why == HandWhy::Stands ? kLook : problem.access[s];
}

Seconds costAt(const BankProblem& problem, const Visit& visit, const SettingSet& held,
               std::optional<std::size_t> content) {
    Seconds cost(0);
    eachAtVisit(problem.work, visit, held, content,
                [&](std::size_t s, HandWhy why) { cost += costOf(problem, s, why); });
    return cost;
}

bool recalls(const BankProblem& problem, int bank) {
    return bank >= 0 && bank < static_cast<int>(problem.banks.size()) &&
           !problem.banks[static_cast<std::size_t>(bank)].locked;
}

// How often each value of a setting is wanted at the visits of a bank.
struct Wanted {
    std::vector<int> byValue; // by the small number of its text
    int all = 0;

    void add(int value) {
        if (value < 0)
            return;
        if (static_cast<std::size_t>(value) >= byValue.size())
            byValue.resize(static_cast<std::size_t>(value) + 1);
        ++byValue[static_cast<std::size_t>(value)];
        ++all;
    }
    [[nodiscard]] int others(int value) const {
        const bool known = value >= 0 && static_cast<std::size_t>(value) < byValue.size();
        return all - (known ? byValue[static_cast<std::size_t>(value)] : 0);
    }
};

std::array<Wanted, kBodySettings> wantedOf(const BankProblem& problem, const Threads& threads,
                                           int bank) {
    std::array<Wanted, kBodySettings> wanted;
    for (const auto& visit : problem.work.visits)
        if (threads[visit.setup] == bank)
            for (std::size_t s = 0; s < kBodySettings; ++s)
                wanted[s].add(problem.work.setups[visit.setup].values[s]);
    return wanted;
}

std::vector<std::size_t> triedAs(const Threads& threads, int bank) {
    std::vector<std::size_t> candidates;
    for (std::size_t k = 0; k < threads.size(); ++k)
        if (threads[k] == bank)
            candidates.push_back(k);
    if (candidates.size() > kMostTried)
        candidates.resize(kMostTried);
    if (!candidates.empty() && threads.size() <= kMostTried)
        for (std::size_t k = 0; k < threads.size(); ++k)
            if (threads[k] != bank)
                candidates.push_back(k);
    return candidates;
}

// The setup a bank is best written as for those that recall it. What it does not hold costs the
// same whatever it is written as.
std::optional<std::size_t> contentOf(const BankProblem& problem, const Threads& threads, int bank) {
    const auto held = heldBy(&problem.banks[static_cast<std::size_t>(bank)]);
    const auto wanted = wantedOf(problem, threads, bank);
    std::optional<std::size_t> best;
    Seconds least(std::numeric_limits<double>::infinity());
    for (const auto content : triedAs(threads, bank)) {
        Seconds cost(0);
        for (std::size_t s = 0; s < kBodySettings; ++s)
            if (held[s])
                cost +=
                    problem.access[s] * wanted[s].others(problem.work.setups[content].values[s]);
        if (cost < least) {
            least = cost;
            best = content;
        }
    }
    return best;
}

// Each setting once: what is set at any visit is not only looked at.
void note(BankUse& use, HandSetting hand) {
    const auto same = [&](const HandSetting& one) { return one.setting == hand.setting; };
    if (std::any_of(use.byHand.begin(), use.byHand.end(), same))
        return;
    const bool looked = std::any_of(use.stands.begin(), use.stands.end(), same);
    if (hand.why != HandWhy::Stands) {
        std::erase_if(use.stands, same);
        use.byHand.push_back(std::move(hand));
    } else if (!looked) {
        use.stands.push_back(std::move(hand));
    }
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
        eachAtVisit(
            work, visit, heldBy(any ? &problem.banks[bank] : nullptr),
            any ? plan.writtenAs[bank] : std::nullopt, [&](std::size_t s, HandWhy why) {
                const auto setting = static_cast<BodySetting>(s);
                const auto cost = costOf(problem, s, why);
                use.cost += cost;
                plan.turns.byHand[s] += why == HandWhy::Stands ? 0 : 1;
                note(use, {setting, *work.setups[visit.setup].settings[setting], why, cost});
            });
    }
    for (auto& use : plan.uses) {
        plan.cost += use.cost;
        const auto inOrder = [](const auto& a, const auto& b) { return a.setting < b.setting; };
        std::sort(use.byHand.begin(), use.byHand.end(), inOrder);
        std::sort(use.stands.begin(), use.stands.end(), inOrder);
    }
    return plan;
}

Threads threadsOf(const BankProblem& problem, const Shoot& shoot) {
    Threads threads;
    const auto setups = indexById(shoot.setups);
    for (const auto& own : problem.work.setups) {
        const auto* setup = findIn(setups, own.id);
        const int bank = setup ? setup->bank - 1 : -1;
        threads.push_back(bank < static_cast<int>(problem.banks.size()) ? bank : -1);
    }
    return threads;
}

std::vector<Setup> rethreaded(const BankProblem& problem, const Shoot& shoot,
                              const Threads& threads) {
    std::vector<Setup> changed;
    const auto setups = indexById(shoot.setups);
    for (std::size_t k = 0; k < threads.size(); ++k) {
        const auto* setup = findIn(setups, problem.work.setups[k].id);
        if (!setup || setup->bank == threads[k] + 1)
            continue;
        changed.push_back(*setup);
        changed.back().bank = threads[k] + 1;
    }
    return changed;
}

} // namespace bslate
