#include "core/day/plan_day.h"

#include "core/day/day_cards.h"
#include "core/day/day_power.h"
#include "core/shoot/take_line.h"

#include <algorithm>

namespace bslate {
namespace {

// An earlier plan in the numbers of the new problem: by camera, take and unit.
CarrierPlan translated(const DayCarriers& before, const DayPlan& from, const DayCarriers& now,
                       const std::vector<DayTake>& takes) {
    CarrierPlan plan;
    for (auto use : before.plan.uses) {
        const auto& lane = before.lanes[static_cast<std::size_t>(use.lane)];
        const auto demand = static_cast<std::size_t>(use.demand);
        const auto& take = from.takes[static_cast<std::size_t>(lane.takes[demand])].id;
        use.unit = now.unitOf(before.unitIds[static_cast<std::size_t>(use.unit)]);
        if (use.unit < 0)
            continue;
        for (std::size_t l = 0; l < now.lanes.size(); ++l)
            for (std::size_t d = 0; d < now.lanes[l].takes.size(); ++d)
                if (now.lanes[l].camera == lane.camera && now.lanes[l].second == lane.second &&
                    takes[static_cast<std::size_t>(now.lanes[l].takes[d])].id == take) {
                    use.lane = static_cast<int>(l);
                    use.demand = static_cast<int>(d);
                    plan.uses.push_back(use);
                }
    }
    return plan;
}

void solve(DayCarriers& carriers, const PlanEffort& effort, const DayPlan* like,
           const DayCarriers* before, const std::vector<DayTake>& takes) {
    if (!like) {
        carriers.plan = planCarriers(carriers.problem, effort);
        return;
    }
    const auto known = translated(*before, *like, carriers, takes);
    carriers.plan = planCarriers(carriers.problem, effort, &known);
}

// When everything that was recorded today is copied and checked.
std::optional<Seconds> safeTime(const DayCarriers& cards) {
    std::vector<double> recorded(cards.unitIds.size()), copied(cards.unitIds.size());
    Seconds last(0);
    for (const auto& use : cards.plan.uses)
        recorded[static_cast<std::size_t>(use.unit)] += (use.after - use.before).value();
    for (const auto& renewal : cards.plan.renewals) {
        copied[static_cast<std::size_t>(renewal.unit)] += renewal.amount.value();
        last = std::max(last, renewal.end);
    }
    for (std::size_t unit = 0; unit < recorded.size(); ++unit)
        if (copied[unit] < recorded[unit] * (1 - 1e-6))
            return std::nullopt;
    return last;
}

} // namespace

DayPlan planDay(const Shoot& shoot, const ShootDay& day, const PlanEffort& effort,
                const DayPlan* like) {
    DayPlan plan;
    plan.day = day.number;
    plan.start = day.start;
    auto rolls = rollsOf(shoot, day);
    plan.cards = cardsOf(shoot, day, rolls);
    plan.power = batteriesOf(shoot, rolls);
    plan.takes = std::move(rolls.takes);
    if (!plan.takes.empty())
        plan.start = std::min(plan.start, plan.takes.front().start);
    plan.incomplete = std::move(rolls.incomplete);
    solve(plan.cards, effort, like, like ? &like->cards : nullptr, plan.takes);
    solve(plan.power, effort, like, like ? &like->power : nullptr, plan.takes);
    plan.copies = shoot.brief.copies;
    const auto drives = copyDrives(shoot.kit, plan.copies);
    plan.copiesPossible = static_cast<int>(drives.size());
    plan.safe = safeTime(plan.cards);
    for (const int number : dayNumbers(shoot)) {
        const auto volume = volumeOf(shoot, number == day.number ? day : dayOf(shoot, number));
        plan.projectBytes += volume.recorded;
        plan.projectFootage += volume.footage;
        if (number == day.number) {
            plan.recorded = volume.recorded;
            plan.footage = volume.footage;
        }
    }
    for (const auto& drive : drives)
        plan.storageShort = std::max(plan.storageShort, plan.projectBytes - drive.capacity);
    return plan;
}

} // namespace bslate
