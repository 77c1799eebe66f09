#include "core/day/day_edit.h"

#include "core/day/plan_day.h"
#include "core/facts/evaluate.h"

#include "core/day/day_rolls.h"
#include "core/media/card_fit.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

constexpr long kTryLooks = 2000;

const DayLane& laneOf(const DayPlan& plan, CardPlace place) {
    return plan.cards.lanes[static_cast<std::size_t>(place.lane)];
}

const Demand& demandOf(const DayPlan& plan, CardPlace place) {
    return plan.cards.problem.lanes[static_cast<std::size_t>(place.lane)]
        .demands[static_cast<std::size_t>(place.demand)];
}

std::string takeId(const DayPlan& plan, CardPlace place) {
    const auto take = laneOf(plan, place).takes[static_cast<std::size_t>(place.demand)];
    return plan.takes[static_cast<std::size_t>(take)].id;
}

// The slot of a camera a card goes to in that place; null when none takes its form.
const Slot* slotFor(const SetupContext& context, const DayLane& lane, const MemoryCard& card) {
    const auto pair = slotsOf(context);
    if (lane.second)
        return pair.second && fits(card, *pair.second) ? pair.second : nullptr;
    for (const auto& slot : context.camera->cardSlots)
        if (mayUse(*context.mode, slot) && fits(card, slot))
            return &slot;
    return nullptr;
}

// Where a unit is, or on its way to, at that time.
std::optional<Reason> busyWith(const DayPlan& plan, int unit, const Demand& demand) {
    const auto& cards = plan.cards;
    for (const auto& use : cards.plan.uses)
        if (use.unit == unit && use.start < demand.end && use.end > demand.start)
            return Reason{"card-busy",
                          {{"card", cards.unitLabels[static_cast<std::size_t>(unit)]},
                           {"camera", cards.lanes[static_cast<std::size_t>(use.lane)].title}}};
    for (const auto& renewal : cards.plan.renewals)
        if (renewal.unit == unit && renewal.out <= demand.start && renewal.end > demand.start)
            return Reason{"card-copying",
                          {{"card", cards.unitLabels[static_cast<std::size_t>(unit)]},
                           {"back", ClockTime{renewal.end, true}}}};
    return std::nullopt;
}

std::optional<Reason> unfit(const Shoot& shoot, const DayPlan& plan, CardPlace place, int unit) {
    const auto& lane = laneOf(plan, place);
    const auto* setup = findSetup(shoot, lane.setups[static_cast<std::size_t>(place.demand)]);
    const auto context = setup ? resolve(shoot, *setup) : Result<SetupContext>(Error{});
    const auto kind = static_cast<std::size_t>(plan.cards.problem.kindOf(unit));
    const auto& card = shoot.kit.cards[kind];
    if (!context)
        return Reason{"card-no-setup", {}};
    const auto* slot = slotFor(*context, lane, card);
    if (!slot)
        return Reason{"card-form", {{"card", card.name}, {"camera", context->camera->name}}};
    if (!(demandOf(plan, place).kinds[0] >> kind & 1) &&
        !(demandOf(plan, place).kinds[1] >> kind & 1)) {
        const auto rate = lane.rates[static_cast<std::size_t>(place.demand)];
        return Reason{"card-too-slow",
                      {{"card", card.name},
                       {"best", CardSpeed{guaranteedIn(card, *slot)}},
                       {"need", CardSpeed{rate * context->codec->peak}}}};
    }
    return std::nullopt;
}

} // namespace

std::optional<CardPlace> cardPlace(const DayPlan& plan, std::string_view take,
                                   std::string_view setup, bool second) {
    for (std::size_t l = 0; l < plan.cards.lanes.size(); ++l) {
        const auto& lane = plan.cards.lanes[l];
        for (std::size_t d = 0; d < lane.takes.size(); ++d)
            if (lane.second == second && lane.setups[d] == setup &&
                plan.takes[static_cast<std::size_t>(lane.takes[d])].id == take)
                return CardPlace{static_cast<int>(l), static_cast<int>(d)};
    }
    return std::nullopt;
}

std::optional<Reason> cardRefusal(const Shoot& shoot, const ShootDay& day, const DayPlan& plan,
                                  CardPlace place, int unit) {
    if (auto reason = unfit(shoot, plan, place, unit))
        return reason;
    const auto& demand = demandOf(plan, place);
    const auto& kind =
        plan.cards.problem.kinds[static_cast<std::size_t>(plan.cards.problem.kindOf(unit))];
    if (demand.whole && kind.capacity < demand.amount &&
        plan.cards.problem.lanes[static_cast<std::size_t>(place.lane)].bays == 1)
        return Reason{
            "card-too-small",
            {{"size", DataSize(kind.capacity.value())}, {"need", DataSize(demand.amount.value())}}};
    const auto after =
        planDay(shoot, withCard(shoot, day, plan, place, unit), {kTryLooks, {}}, &plan);
    const bool there = std::any_of(
        after.cards.plan.uses.begin(), after.cards.plan.uses.end(), [&](const CarrierUse& use) {
            return use.unit == unit && use.lane == place.lane && use.demand == place.demand;
        });
    if (there && !(after.cards.plan.cost.broken > plan.cards.plan.cost.broken))
        return std::nullopt;
    if (auto reason = busyWith(plan, unit, demand))
        return reason;
    return Reason{"card-no-room",
                  {{"card", plan.cards.unitLabels[static_cast<std::size_t>(unit)]},
                   {"camera", laneOf(plan, place).title}}};
}

ShootDay withCard(const Shoot& shoot, ShootDay day, const DayPlan& plan, CardPlace place,
                  int unit) {
    auto* take = findTake(day, takeId(plan, place));
    const auto& lane = laneOf(plan, place);
    const auto& setupId = lane.setups[static_cast<std::size_t>(place.demand)];
    const auto* setup = findSetup(shoot, setupId);
    const auto context = setup ? resolve(shoot, *setup) : Result<SetupContext>(Error{});
    if (!take || !context)
        return day;
    const auto pair = slotsOf(*context);
    const auto inSecond = [&](const CardPin& pin) {
        return pair.second && pin.slot == pair.second->id &&
               setup->secondSlot != SecondSlot::Unused;
    };
    std::erase_if(take->cards, [&](const CardPin& pin) {
        return pin.setup == setupId && inSecond(pin) == lane.second;
    });
    if (unit < 0)
        return day;
    const auto& card = shoot.kit.cards[static_cast<std::size_t>(plan.cards.problem.kindOf(unit))];
    if (const auto* slot = slotFor(*context, lane, card))
        take->cards.push_back(
            {setupId, slot->id, plan.cards.unitIds[static_cast<std::size_t>(unit)], {}});
    return day;
}

ShootDay withHappened(const Shoot& shoot, ShootDay day, const DayPlan& plan, std::string_view take,
                      Seconds began, Seconds ran) {
    for (const auto& planned : plan.takes) {
        auto* own = findTake(day, planned.id);
        if (!own)
            continue;
        for (const auto& use : plan.cards.plan.uses) {
            const CardPlace place{use.lane, use.demand};
            if (takeId(plan, place) == planned.id && !use.inside && use.bay == 0)
                day = withCard(shoot, std::move(day), plan, place, use.unit);
        }
        own = findTake(day, planned.id);
        const bool last = planned.id == take;
        if (last || !own->ran) {
            own->began = clockOf(last ? began : planned.start);
            own->ran = last ? ran : planned.end - planned.start;
        }
        if (last)
            break;
    }
    return day;
}

ShootDay withTakeAt(ShootDay day, std::string_view id, Seconds start) {
    auto* take = findTake(day, id);
    if (!take || take->began)
        return day;
    const auto before = timesOf(day);
    take->at = clockOf(std::max(start, day.start));
    std::vector<std::pair<double, Take>> order;
    for (const auto& timed : before)
        order.emplace_back(timed.take->id == id ? start.value() - 0.5 : timed.start.value(),
                           *timed.take);
    std::stable_sort(order.begin(), order.end(),
                     [](const auto& a, const auto& b) { return a.first < b.first; });
    for (std::size_t i = 0; i < order.size(); ++i)
        day.takes[i] = std::move(order[i].second);
    return day;
}

std::vector<int> changedUses(const DayPlan& before, const DayCarriers& beforeOf, const DayPlan& now,
                             const DayCarriers& nowOf) {
    std::vector<int> changed;
    const auto key = [](const DayPlan& plan, const DayCarriers& of, const CarrierUse& use) {
        const auto& lane = of.lanes[static_cast<std::size_t>(use.lane)];
        const auto take = lane.takes[static_cast<std::size_t>(use.demand)];
        return plan.takes[static_cast<std::size_t>(take)].id + "\n" + lane.camera +
               (lane.second ? "/2\n" : "\n") + of.unitIds[static_cast<std::size_t>(use.unit)];
    };
    std::vector<std::string> known;
    for (const auto& use : beforeOf.plan.uses)
        known.push_back(key(before, beforeOf, use));
    std::sort(known.begin(), known.end());
    for (std::size_t i = 0; i < nowOf.plan.uses.size(); ++i)
        if (!std::binary_search(known.begin(), known.end(), key(now, nowOf, nowOf.plan.uses[i])))
            changed.push_back(static_cast<int>(i));
    return changed;
}

} // namespace bslate
