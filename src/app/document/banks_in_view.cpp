#include "app/document/banks_in_view.h"

#include "core/day/plan_day.h"
#include "core/shoot/take_line.h"

namespace bslate::app {
namespace {

constexpr long kDayLooks = 150'000; // as the Media step plans it

// The day of the chosen setup when it has takes.
std::optional<ShootDay> plannedDay(const BanksInView& view) {
    const auto* setup = findSetup(*view.shoot, view.setup);
    const auto* scene = setup ? findScene(*view.shoot, setup->scene) : nullptr;
    if (!scene)
        return std::nullopt;
    auto day = dayOf(*view.shoot, scene->day);
    return day.takes.empty() ? std::nullopt : std::optional(std::move(day));
}

void indexSetups(BanksInView& view) {
    view.index.clear();
    const auto& setups = view.plan.problem.work.setups;
    for (std::size_t k = 0; k < setups.size(); ++k)
        view.index.emplace(setups[k].id, k);
}

void readThreads(BanksInView& view) {
    const auto& problem = view.plan.problem;
    view.threads = threadsOf(problem, *view.shoot);
    view.now = planWith(problem, view.threads);
    for (const auto school : kBankSchools)
        view.schools[static_cast<std::size_t>(school)] =
            planWith(problem, threadsOf(problem, school)).cost;
}

void readChosen(BanksInView& view) {
    view.costs.clear();
    view.checks.clear();
    const auto at = view.index.find(view.setup);
    if (at == view.index.end())
        return;
    auto threads = view.threads;
    const auto banks = static_cast<int>(view.plan.problem.banks.size());
    for (int bank = -1; bank < banks; ++bank) {
        threads[at->second] = bank;
        view.costs.push_back(planWith(view.plan.problem, threads).cost);
    }
    const auto* setup = findSetup(*view.shoot, view.setup);
    const auto* scene = setup ? findScene(*view.shoot, setup->scene) : nullptr;
    const bool fits = view.day && scene && view.day->day == scene->day;
    if (setup)
        view.checks =
            prerollOf(*view.shoot, *setup, view.plan, view.now, fits ? &*view.day : nullptr);
}

} // namespace

BanksInView lookedAt(std::shared_ptr<const Shoot> shoot, const std::string& camera,
                     const std::string& setup, const BanksInView& before) {
    const auto* own = findCamera(shoot->kit, camera);
    BanksInView view;
    if (before.shoot == shoot && before.camera == own) {
        view = before;
        view.setup = setup;
        if (own)
            readChosen(view);
        return view;
    }
    view.shoot = std::move(shoot);
    view.camera = own;
    view.setup = setup;
    if (!own)
        return view;
    auto& plan = view.plan;
    plan.problem.work = workOf(*view.shoot, *own);
    plan.problem.banks = banksOf(*own);
    if (before.camera && before.camera->id == own->id &&
        before.plan.controls.uses.size() == own->body.controls.size()) {
        plan.needs = before.plan.needs;
        plan.controls = before.plan.controls;
        plan.best = before.plan.best;
        view.findings = before.findings;
        view.day = before.day;
    } else { // of another camera the hands' way is not known yet
        plan.needs = needsOf(*view.shoot, plan.problem.work);
        plan.controls = controlsOf(own->body, plan.needs);
    }
    plan.problem.access = accessOf(own->body, plan.controls);
    indexSetups(view);
    readThreads(view);
    readChosen(view);
    return view;
}

BanksInView settledView(BanksInView view, const KeepGoing& keepGoing) {
    if (!view.camera)
        return view;
    const auto goesOn = [&] { return !keepGoing || keepGoing(0); };
    if (!view.settled) {
        view.plan = planCamera(*view.shoot, *view.camera, keepGoing);
        view.findings = judgeBanks(*view.shoot, *view.camera, view.plan, keepGoing);
        view.day.reset();
        indexSetups(view);
        readThreads(view);
        view.settled = true;
    }
    if (const auto day = plannedDay(view); day && goesOn())
        view.day = planDay(*view.shoot, *day, {kDayLooks, keepGoing});
    readChosen(view);
    return view;
}

bool isWhole(const BanksInView& view) {
    if (!view.camera)
        return true;
    const auto day = view.settled ? plannedDay(view) : std::nullopt;
    return view.settled && (!day || (view.day && view.day->day == day->number));
}

} // namespace bslate::app
