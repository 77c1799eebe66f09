#include "core/day/pack_list.h"

#include "core/day/plan_day.h"

#include "core/base/find_by_id.h"
#include "core/shoot/take_line.h"

#include <algorithm>
#include <map>
#include <set>

namespace bslate {
namespace {

// Different units of each kind in use.
std::map<std::string, int> countsOf(const DayCarriers& carriers) {
    std::set<int> used;
    for (const auto& use : carriers.plan.uses)
        used.insert(use.unit);
    std::map<std::string, int> counts;
    for (const int unit : used)
        ++counts[carriers.problem.kinds[static_cast<std::size_t>(carriers.problem.kindOf(unit))]
                     .id];
    return counts;
}

void raise(std::map<std::string, int>& most, const std::map<std::string, int>& counts) {
    for (const auto& [id, count] : counts)
        most[id] = std::max(most[id], count);
}

void addLabels(const DayPlan& plan, std::vector<CardLabel>& labels) {
    for (std::size_t unit = 0; unit < plan.cards.unitIds.size(); ++unit) {
        std::map<std::string, std::vector<std::string>> byCamera;
        for (const auto& use : plan.cards.plan.uses) {
            if (use.unit != static_cast<int>(unit))
                continue;
            const auto& lane = plan.cards.lanes[static_cast<std::size_t>(use.lane)];
            const auto take = lane.takes[static_cast<std::size_t>(use.demand)];
            auto& takes = byCamera[lane.title];
            const auto& title = plan.takes[static_cast<std::size_t>(take)].title;
            if (takes.empty() || takes.back() != title)
                takes.push_back(title);
        }
        if (byCamera.empty())
            continue;
        std::vector<std::string> where;
        for (const auto& [camera, takes] : byCamera) {
            where.push_back("day " + std::to_string(plan.day) + " " + camera + ":");
            for (std::size_t i = 0; i < takes.size(); ++i)
                where.back() += (i ? ", " : " ") + takes[i];
        }
        auto known = std::find_if(labels.begin(), labels.end(), [&](const CardLabel& label) {
            return label.label == plan.cards.unitLabels[unit];
        });
        if (known != labels.end())
            known->where.insert(known->where.end(), where.begin(), where.end());
        else
            labels.push_back({plan.cards.unitLabels[unit], plan.cards.unitNames[unit], where});
    }
}

} // namespace

PackList packListOf(const Shoot& shoot, const PlanEffort& effort) {
    PackList list;
    std::map<std::string, int> cards, batteries;
    std::set<std::string> cameras, lenses, filters;
    bool copies = false, charging = false;
    for (const int number : dayNumbers(shoot)) {
        const auto day = dayOf(shoot, number);
        if (day.takes.empty())
            continue;
        ++list.days;
        const auto plan = planDay(shoot, day, effort);
        raise(cards, countsOf(plan.cards));
        raise(batteries, countsOf(plan.power));
        copies = copies || !plan.cards.plan.renewals.empty();
        charging = charging || !plan.power.plan.uses.empty();
        addLabels(plan, list.labels);
        for (const auto& take : plan.takes)
            for (const auto& id : take.setups)
                if (const auto* setup = findSetup(shoot, id)) {
                    cameras.insert(setup->camera);
                    const auto* camera = findCamera(shoot.kit, setup->camera);
                    if (!camera || camera->fixedLens != setup->lens)
                        lenses.insert(setup->lens);
                    filters.insert(setup->filters.begin(), setup->filters.end());
                }
    }
    const auto add = [&](PackKind kind, const auto& items, auto needed, auto owned) {
        for (const auto& item : items)
            if (const int count = needed(item); count > 0)
                list.rows.push_back({kind, item.name, count, owned(item)});
    };
    const auto among = [](const std::set<std::string>& ids) {
        return [&ids](const auto& item) { return ids.contains(item.id) ? 1 : 0; };
    };
    const auto one = [](const auto&) { return 1; };
    const auto count = [](const auto& item) { return item.count; };
    const auto counted = [](std::map<std::string, int>& counts) {
        return [&counts](const auto& item) {
            const auto found = counts.find(item.id);
            return found == counts.end() ? 0 : found->second;
        };
    };
    const auto all = [&](bool wanted) {
        return [wanted](const auto& item) { return wanted ? item.count : 0; };
    };
    add(PackKind::Camera, shoot.kit.cameras, among(cameras), one);
    add(PackKind::Lens, shoot.kit.lenses, among(lenses), one);
    add(PackKind::Filter, shoot.kit.filters, among(filters), one);
    add(PackKind::Card, shoot.kit.cards, counted(cards), count);
    add(PackKind::Battery, shoot.kit.batteries, counted(batteries), count);
    add(PackKind::Reader, shoot.kit.readers, all(copies), count);
    add(PackKind::Drive, shoot.kit.drives, all(copies), count);
    add(PackKind::Charger, shoot.kit.chargers, all(charging), count);
    for (const auto& battery : shoot.kit.batteries)
        if (battery.energy > kAskTheAirline && batteries.contains(battery.id))
            list.overAirLimit.push_back(battery.name);
    return list;
}

} // namespace bslate
