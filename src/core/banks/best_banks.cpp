#include "core/banks/best_banks.h"

#include "core/base/enumerated.h"

#include "core/schedule/medians.h"

#include <algorithm>
#include <map>
#include <numeric>
#include <set>

namespace bslate {
namespace {

// Things a bank may be written as, in the search; more are left out, and nothing is proven then.
constexpr std::size_t kMostThings = 400;
// What the search may cost: looks times the size of its tables.
constexpr double kMostWork = 9e8;

// Banks that are alike: what they hold and where they are.
struct Alike {
    BankPlace place;
    std::vector<std::size_t> banks;
};

std::vector<Alike> alikeBanks(const BankProblem& problem) {
    std::vector<Alike> all;
    for (std::size_t b = 0; b < problem.banks.size(); ++b) {
        const auto& bank = problem.banks[b];
        if (bank.locked)
            continue;
        const std::set<BodySetting> held(bank.holds.begin(), bank.holds.end());
        const auto known = std::find_if(all.begin(), all.end(), [&](const Alike& alike) {
            const auto& first = problem.banks[alike.banks.front()].holds;
            return alike.place == bank.place &&
                   std::set<BodySetting>(first.begin(), first.end()) == held;
        });
        if (known == all.end())
            all.push_back({bank.place, {b}});
        else
            known->banks.push_back(b);
    }
    return all;
}

// Setups that differ in what a bank could hold; the first of those that do not stands for them.
std::vector<std::size_t> thingsOf(const CameraWork& work) {
    std::vector<std::size_t> things;
    std::set<std::array<int, kBodySettings>> seen;
    for (std::size_t k = 0; k < work.setups.size(); ++k)
        if (seen.insert(work.setups[k].values).second)
            things.push_back(k);
    return things;
}

struct Tables {
    MedianProblem medians;
    std::vector<Alike> alike; // by kind
    std::vector<std::size_t> things;
    bool complete = true;
};

Tables tablesOf(const BankProblem& problem, bool withCard) {
    Tables tables;
    const auto& work = problem.work;
    tables.things = thingsOf(work);
    if (tables.things.size() > kMostThings) {
        tables.things.resize(kMostThings);
        tables.complete = false;
    }
    tables.medians.grain = 1; // all costs are whole seconds
    tables.medians.without.assign(work.setups.size(), 0);
    for (const auto& visit : work.visits)
        tables.medians.without[visit.setup] += visitCost(problem, visit, nullptr, {}).value();
    for (auto& alike : alikeBanks(problem)) {
        if (alike.place == BankPlace::Card && !withCard)
            continue;
        MedianKind kind;
        kind.places = static_cast<int>(alike.banks.size());
        const auto& bank = problem.banks[alike.banks.front()];
        for (const auto thing : tables.things) {
            kind.costs.emplace_back(work.setups.size());
            for (const auto& visit : work.visits)
                kind.costs.back()[visit.setup] += visitCost(problem, visit, &bank, thing).value();
        }
        tables.medians.kinds.push_back(std::move(kind));
        tables.alike.push_back(std::move(alike));
    }
    return tables;
}

// When each setup first comes up.
std::vector<std::size_t> firstVisits(const CameraWork& work) {
    std::vector<std::size_t> first(work.setups.size(), work.visits.size());
    for (std::size_t v = work.visits.size(); v-- > 0;)
        first[work.visits[v].setup] = v;
    return first;
}

// Which bank of its kind keeps which thing: one that was written as it, else in the order of use.
std::vector<int> banksFor(const BankProblem& problem, const Tables& tables, const MedianPlan& plan,
                          const CameraRecord* record) {
    const auto first = firstVisits(problem.work);
    std::vector<std::size_t> use(plan.kept.size(), problem.work.visits.size());
    for (std::size_t k = 0; k < plan.served.size(); ++k)
        if (plan.served[k] >= 0) {
            auto& earliest = use[static_cast<std::size_t>(plan.served[k])];
            earliest = std::min(earliest, first[k]);
        }
    std::vector<std::size_t> order(plan.kept.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    std::stable_sort(order.begin(), order.end(),
                     [&](std::size_t a, std::size_t b) { return use[a] < use[b]; });
    std::vector<int> bankOf(plan.kept.size(), -1);
    std::set<std::size_t> taken;
    const auto place = [&](std::size_t kept, std::size_t bank) {
        bankOf[kept] = static_cast<int>(bank);
        taken.insert(bank);
    };
    for (const auto kept : order)
        for (const auto bank : tables.alike[plan.kept[kept].kind].banks) {
            const auto* written =
                record ? findWritten(*record, problem.banks[bank].label) : nullptr;
            const auto& as = problem.work.setups[tables.things[plan.kept[kept].thing]].id;
            if (bankOf[kept] < 0 && written && written->setup == as && !taken.contains(bank))
                place(kept, bank);
        }
    for (const auto kept : order)
        for (const auto bank : tables.alike[plan.kept[kept].kind].banks)
            if (bankOf[kept] < 0 && !taken.contains(bank))
                place(kept, bank);
    return bankOf;
}

BestBanks searched(const BankProblem& problem, bool withCard, const CameraRecord* record,
                   const KeepGoing& keepGoing) {
    const auto tables = tablesOf(problem, withCard);
    const double size = static_cast<double>(std::max<std::size_t>(
        1, tables.things.size() * tables.medians.without.size() * tables.medians.kinds.size()));
    const auto medians = planMedians(
        tables.medians, static_cast<long>(std::clamp(kMostWork / size, 50.0, 200000.0)), keepGoing);
    const auto bankOf = banksFor(problem, tables, medians, record);
    BestBanks best;
    for (const int by : medians.served)
        best.threads.push_back(by < 0 ? -1 : bankOf[static_cast<std::size_t>(by)]);
    best.plan = planWith(problem, best.threads);
    best.plan.proven = medians.proven && tables.complete;
    best.plan.atLeast = best.plan.proven ? best.plan.cost : Seconds(medians.atLeast);
    if (!tables.complete) { // only what no bank ever holds is known to remain
        best.plan.atLeast = Seconds(0);
        for (const auto& visit : problem.work.visits)
            for (const auto setting : {BodySetting::Nd, BodySetting::Iris, BodySetting::Region})
                if (const auto s = static_cast<std::size_t>(setting);
                    problem.work.setups[visit.setup].values[s] >= 0 &&
                    (!visit.after || problem.work.setups[*visit.after].values[s] !=
                                         problem.work.setups[visit.setup].values[s]))
                    best.plan.atLeast += problem.access[s];
    }
    return best;
}

std::size_t usedInside(const BankProblem& problem, const BestBanks& best) {
    std::set<int> used;
    for (const int bank : best.threads)
        if (bank >= 0 && problem.banks[static_cast<std::size_t>(bank)].place == BankPlace::Inside)
            used.insert(bank);
    return used.size();
}

bool anyOnCard(const BankProblem& problem) {
    return std::any_of(problem.banks.begin(), problem.banks.end(), [](const Bank& bank) {
        return bank.place == BankPlace::Card && !bank.locked;
    });
}

std::string groupOf(const WorkSetup& setup, BankSchool school) {
    switch (school) {
    case BankSchool::Speed:
        return setup.settings[BodySetting::Rate].value_or("");
    case BankSchool::Look:
        return setup.settings[BodySetting::Profile].value_or("");
    case BankSchool::Scene:
        break;
    }
    return setup.scene;
}

} // namespace

BestBanks bestBanks(const BankProblem& problem, const CameraRecord* record,
                    const KeepGoing& keepGoing) {
    auto inside = searched(problem, false, record, keepGoing);
    const auto places = static_cast<std::size_t>(
        std::count_if(problem.banks.begin(), problem.banks.end(), [](const Bank& bank) {
            return bank.place == BankPlace::Inside && !bank.locked;
        }));
    if (!anyOnCard(problem) || usedInside(problem, inside) < places)
        return inside;
    auto all = searched(problem, true, record, keepGoing);
    return all.plan.cost < inside.plan.cost ? all : inside;
}

std::string_view keyOf(BankSchool school) {
    constexpr ByEnum<BankSchool, std::string_view> kNames{"speed", "look", "scene"};
    return kNames[school];
}

Threads threadsOf(const BankProblem& problem, BankSchool school) {
    std::vector<int> open;
    for (const auto place : {BankPlace::Inside, BankPlace::Card})
        for (std::size_t b = 0; b < problem.banks.size(); ++b)
            if (problem.banks[b].place == place && !problem.banks[b].locked)
                open.push_back(static_cast<int>(b));
    std::vector<std::string> groups; // in the order they come up
    std::map<std::string, int> visits;
    for (const auto& visit : problem.work.visits) {
        const auto group = groupOf(problem.work.setups[visit.setup], school);
        if (visits[group]++ == 0)
            groups.push_back(group);
    }
    auto ranked = groups;
    std::stable_sort(ranked.begin(), ranked.end(),
                     [&](const auto& a, const auto& b) { return visits[a] > visits[b]; });
    ranked.resize(std::min(ranked.size(), open.size()));
    std::map<std::string, int> bankOf;
    auto next = open.begin();
    for (const auto& group : groups)
        if (std::find(ranked.begin(), ranked.end(), group) != ranked.end())
            bankOf[group] = *next++;
    Threads threads;
    for (const auto& setup : problem.work.setups) {
        const auto found = bankOf.find(groupOf(setup, school));
        threads.push_back(found == bankOf.end() ? -1 : found->second);
    }
    return threads;
}

CameraPlan planCamera(const Shoot& shoot, const Camera& camera, const KeepGoing& keepGoing) {
    const auto* record = findRecord(shoot, camera.id);
    CameraPlan first;
    first.problem.work = workOf(shoot, camera);
    first.problem.banks = banksOf(camera);
    const auto plan = [&](CameraPlan& with) {
        with.problem.access = accessOf(camera.body, with.controls);
        with.best = bestBanks(with.problem, record, keepGoing);
    };
    first.needs = needsOf(shoot, first.problem.work);
    first.controls = controlsOf(camera.body, first.needs);
    plan(first);
    CameraPlan second{first.problem, {}, {}, {}};
    second.needs = needsOf(shoot, first.problem.work, &first.best.plan.turns);
    second.controls = controlsOf(camera.body, second.needs);
    if (accessOf(camera.body, second.controls) == first.problem.access)
        second.best = first.best; // everything is as quick by hand: the same banks
    else
        plan(second);
    return second.best.plan.cost <= first.best.plan.cost ? second : first;
}

} // namespace bslate
