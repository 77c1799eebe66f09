#include "core/day/rules/rules.h"
#include "core/media/card_fit.h"
#include "core/media/write_simulation.h"

#include <algorithm>
#include <cmath>
#include <map>
#include <set>

namespace bslate::day {
namespace {

const DayLane& laneOf(const Case& now, int lane) {
    return now.plan.cards.lanes[static_cast<std::size_t>(lane)];
}

int takeOf(const DayLane& lane, int demand) {
    return lane.takes[static_cast<std::size_t>(demand)];
}

const MemoryCard& cardOf(const Case& now, int unit) {
    return now.shoot.kit.cards[static_cast<std::size_t>(now.plan.cards.problem.kindOf(unit))];
}

const Roll* rollOf(const Case& now, const DayLane& lane, int demand) {
    const auto& setup = lane.setups[static_cast<std::size_t>(demand)];
    for (const auto& roll : now.rolls.rolls)
        if (roll.take == takeOf(lane, demand) && roll.context.setup->id == setup)
            return &roll;
    return nullptr;
}

// The slot a card is in: the first of its form that the recording may use.
const Slot* slotOf(const Roll& roll, const MemoryCard& card, const DayLane& lane, int bay) {
    const auto pair = slotsOf(roll.context);
    if (lane.second || bay == 1)
        return pair.second;
    for (const auto& slot : roll.context.camera->cardSlots)
        if (mayUse(*roll.context.mode, slot) && fits(card, slot))
            return &slot;
    return pair.first;
}

// Of a lost frame in an hour, with the camera's buffer and a card of the class that now and then
// pauses: simulated, the same every time. The bit rate scatters so that three deviations reach its
// peak.
Fraction dropChance(const Case& now, const Roll& roll, const MemoryCard& card,
                    DataRate guaranteed) {
    const auto tired = parseCardBehaviour(card.speedClass + ":tired");
    if (!tired)
        return Fraction(1);
    CardBehaviour behaviour = *tired;
    behaviour.sustained = std::min(behaviour.sustained, guaranteed);
    const Fraction variation(std::min(1.0, (roll.context.codec->peak - 1) / 3));
    return now.chances.of({roll.rate, variation, Seconds(0.5), roll.context.camera->buffer},
                          behaviour);
}

// The room on the largest card that fits there and is at hand when the demand begins.
DataSize mostFree(const Case& now, const Shortfall& gap) {
    const auto& cards = now.plan.cards;
    const auto& lane = cards.problem.lanes[static_cast<std::size_t>(gap.lane)];
    const auto& demand = lane.demands[static_cast<std::size_t>(gap.demand)];
    double most = 0;
    for (int unit = 0; unit < cards.problem.unitCount(); ++unit) {
        const auto kind = static_cast<std::size_t>(cards.problem.kindOf(unit));
        const bool fitting = demand.kinds[0] >> kind & 1;
        const bool failed = std::any_of(
            cards.problem.faults.begin(), cards.problem.faults.end(),
            [&](const CarrierFault& fault) { return fault.unit == unit && fault.at < demand.end; });
        if (!fitting || failed)
            continue;
        double used = 0;
        bool busy = false;
        for (const auto& use : cards.plan.uses)
            if (use.unit == unit && use.start < demand.end) {
                busy = busy || use.end > demand.start || use.lane != gap.lane;
                used = use.after.value();
            }
        for (const auto& renewal : cards.plan.renewals)
            if (renewal.unit == unit && renewal.out <= demand.start) {
                busy = renewal.end > demand.start;
                used = busy ? used : 0;
            }
        if (!busy)
            most = std::max(most, cards.problem.kinds[kind].capacity.value() - used);
    }
    return DataSize(most);
}

} // namespace

static void shortOfCards(const Case& now, Findings& out) {
    const auto& cards = now.plan.cards;
    for (const auto& gap : cards.plan.shortfalls) {
        const auto& lane = laneOf(now, gap.lane);
        if (lane.second)
            continue; // mirrorAndProxy() speaks of it
        const int take = takeOf(lane, gap.demand);
        const auto& demand = cards.problem.lanes[static_cast<std::size_t>(gap.lane)]
                                 .demands[static_cast<std::size_t>(gap.demand)];
        const Seconds lost = demand.end - gap.from;
        Facts facts = {{"camera", lane.title},
                       {"lost", Duration{lost}},
                       {"length", Duration{demand.end - demand.start}},
                       {"from", ClockTime{gap.from}},
                       {"bitRate", lane.rates[static_cast<std::size_t>(gap.demand)]},
                       {"amount", DataSize(demand.amount.value())}};
        if (demand.kinds[0] == 0) {
            const auto* roll = rollOf(now, lane, gap.demand);
            facts.push_back({"need", CardSpeed{roll ? roll->peak : DataRate(0)}});
            out.push_back(
                about(now, take, FindingId::DayNoCard, Severity::Fault, std::move(facts)));
        } else if (lost >= demand.end - demand.start && mostFree(now, gap).value() > 0) {
            facts.push_back({"most", mostFree(now, gap)});
            out.push_back(
                about(now, take, FindingId::DayCardTooSmall, Severity::Fault, std::move(facts)));
        } else if (lost >= demand.end - demand.start) {
            out.push_back(
                about(now, take, FindingId::DayCardNoneLeft, Severity::Fault, std::move(facts)));
        } else {
            out.push_back(about(now, take,
                                demand.whole ? FindingId::DayCardFullWhole : FindingId::DayCardFull,
                                Severity::Fault, std::move(facts)));
        }
    }
}

static void cardsChangedInside(const Case& now, Findings& out) {
    for (const auto& use : now.plan.cards.plan.uses) {
        if (!use.inside)
            continue;
        const auto& lane = laneOf(now, use.lane);
        out.push_back(
            about(now, takeOf(lane, use.demand), FindingId::DayChangeInside, Severity::Caution,
                  {{"camera", lane.title},
                   {"at", ClockTime{use.start}},
                   {"card", now.plan.cards.unitLabels[static_cast<std::size_t>(use.unit)]}}));
    }
}

static void cardsMarginal(const Case& now, Findings& out) {
    std::set<std::pair<std::string, std::string>> told;
    for (const auto& use : now.plan.cards.plan.uses) {
        const auto& lane = laneOf(now, use.lane);
        const auto* roll = rollOf(now, lane, use.demand);
        if (!roll || lane.second)
            continue;
        const auto& card = cardOf(now, use.unit);
        const auto* slot = slotOf(*roll, card, lane, use.bay);
        if (!slot || cardFit(roll->peak, guaranteedIn(card, *slot)) != CardFit::Marginal ||
            !told.emplace(roll->context.setup->id, card.id).second)
            continue;
        Facts facts = {{"card", card.name},
                       {"camera", lane.title},
                       {"need", CardSpeed{roll->peak}},
                       {"best", CardSpeed{guaranteedIn(card, *slot)}}};
        const bool known = roll->context.camera->buffer.value() > 0;
        if (known) {
            facts.push_back({"buffer", roll->context.camera->buffer});
            facts.push_back({"chance", dropChance(now, *roll, card, guaranteedIn(card, *slot))});
        }
        out.push_back(about(now, takeOf(lane, use.demand),
                            known ? FindingId::DayCardMarginalBuffer : FindingId::DayCardMarginal,
                            Severity::Caution, std::move(facts)));
    }
}

static void mirrorAndProxy(const Case& now, Findings& out) {
    const auto& cards = now.plan.cards;
    std::set<std::string> told;
    for (const auto& gap : cards.plan.shortfalls) {
        const auto& lane = laneOf(now, gap.lane);
        const auto* roll = lane.second ? rollOf(now, lane, gap.demand) : nullptr;
        if (!roll || !told.insert(roll->context.setup->id).second)
            continue;
        const auto& demand = cards.problem.lanes[static_cast<std::size_t>(gap.lane)]
                                 .demands[static_cast<std::size_t>(gap.demand)];
        const auto* slot = slotsOf(roll->context).second;
        DataRate best(0);
        for (const auto& card : now.shoot.kit.cards)
            if (slot && card.count > 0)
                best = std::max(best, guaranteedIn(card, *slot));
        const bool slow = demand.kinds[0] == 0;
        out.push_back(about(now, takeOf(lane, gap.demand),
                            slow ? FindingId::DayMirrorSlow : FindingId::DayMirrorFull,
                            Severity::Fault,
                            {{"camera", lane.title},
                             {"slot", slot ? slot->name : std::string()},
                             {"need", CardSpeed{roll->peak}},
                             {"best", CardSpeed{best}},
                             {"from", ClockTime{gap.from}}}));
    }
}

static void slotLowersRate(const Case& now, Findings& out) {
    std::set<std::string> told;
    for (std::size_t l = 0; l < now.plan.cards.lanes.size(); ++l) {
        const auto& lane = now.plan.cards.lanes[l];
        for (std::size_t d = 0; d < lane.takes.size(); ++d) {
            const auto* roll = rollOf(now, lane, static_cast<int>(d));
            if (!roll)
                continue;
            const auto pair = slotsOf(roll->context);
            const auto* slot = lane.second ? pair.second : pair.first;
            const bool proxy = lane.second && roll->context.setup->secondSlot == SecondSlot::Proxy;
            if (!slot || !slot->most || proxy || roll->rate <= *slot->most ||
                !told.insert(roll->context.setup->id + slot->id).second)
                continue;
            out.push_back(about(now, lane.takes[d], FindingId::DayRateLowered, Severity::Caution,
                                {{"camera", lane.title},
                                 {"slot", slot->name},
                                 {"rate", roll->rate},
                                 {"most", *slot->most}}));
        }
    }
}

// Uninterruptible takes that fit with next to nothing to spare.
static void cardsTight(const Case& now, Findings& out) {
    const auto& cards = now.plan.cards;
    for (const auto& fit : cards.plan.tight) {
        const auto& lane = laneOf(now, fit.lane);
        const auto& demand = cards.problem.lanes[static_cast<std::size_t>(fit.lane)]
                                 .demands[static_cast<std::size_t>(fit.demand)];
        const DataRate rate = lane.rates[static_cast<std::size_t>(fit.demand)];
        out.push_back(about(now, takeOf(lane, fit.demand), FindingId::DayCardTight,
                            Severity::Caution,
                            {{"camera", lane.title},
                             {"spare", Duration{Seconds(fit.spare.value() * 8 / rate.value())}},
                             {"length", Duration{demand.end - demand.start}}}));
    }
}

// What the editor will find: takes in several files, told once a setup with the take cut most.
static void takesInFiles(const Case& now, Findings& out) {
    struct Cut {
        const Roll* most = nullptr;
        FileSplit split{0, Seconds(0)};
        int takes = 0;
    };
    std::map<std::string, Cut> cuts;
    std::vector<std::string> order;
    for (const auto& roll : now.rolls.rolls) {
        const auto segment = roll.context.codec->segment.value_or(DataSize(0));
        const auto split = filesOf(roll.end - roll.start, roll.rate, segment, Seconds(0));
        if (split.files < 2)
            continue;
        auto& cut = cuts[roll.context.setup->id];
        if (cut.takes++ == 0)
            order.push_back(roll.context.setup->id);
        if (split.files > cut.split.files) {
            cut.most = &roll;
            cut.split = split;
        }
    }
    for (const auto& id : order) {
        const auto& cut = cuts[id];
        const auto& roll = *cut.most;
        out.push_back(about(now, roll.take,
                            cut.takes > 1 ? FindingId::DayFilesMore : FindingId::DayFiles,
                            Severity::Note,
                            {{"camera", roll.context.camera->name},
                             {"files", cut.split.files},
                             {"others", cut.takes - 1},
                             {"each", Duration{Seconds(std::round(cut.split.each.value()))}}}));
    }
}

// Classes that say nothing about the bus they are used on.
static void classesUnknown(const Case& now, Findings& out) {
    std::set<std::pair<std::string, std::string>> told;
    for (const auto& use : now.plan.cards.plan.uses) {
        const auto& lane = laneOf(now, use.lane);
        const auto* roll = rollOf(now, lane, use.demand);
        const auto& card = cardOf(now, use.unit);
        const auto* slot = roll ? slotOf(*roll, card, lane, use.bay) : nullptr;
        if (!slot || !isClassUnknownIn(card, *slot) ||
            !told.emplace(lane.camera + slot->id, card.id).second)
            continue;
        const DataRate peak = lane.rates[static_cast<std::size_t>(use.demand)] *
                              (lane.second ? 1.0 : roll->context.codec->peak);
        const bool easily = cardFit(peak, guaranteedIn(card, *slot)) == CardFit::Fits;
        out.push_back(about(now, -1, FindingId::CardClassUnknown,
                            easily ? Severity::Note : Severity::Caution,
                            {{"card", card.name},
                             {"slot", slot->name},
                             {"best", CardSpeed{guaranteedIn(card, *slot)}}}));
        out.back().subject = lane.camera + "/" + slot->id + "/" + card.id;
    }
}

static void busHoldsBack(const Case& now, Findings& out) {
    std::set<std::pair<std::string, std::string>> told;
    for (const auto& use : now.plan.cards.plan.uses) {
        const auto& lane = laneOf(now, use.lane);
        const auto* roll = rollOf(now, lane, use.demand);
        const auto& card = cardOf(now, use.unit);
        const auto* slot = roll ? slotOf(*roll, card, lane, use.bay) : nullptr;
        const auto own = findBus(card.bus);
        const auto host = slot ? findBus(slot->bus) : std::nullopt;
        if (!own || !host || host->ceiling >= own->ceiling ||
            !told.emplace(lane.camera + slot->id, card.id).second)
            continue;
        const auto speed = findSpeedClass(card.speedClass);
        const bool matters = speed && speed->guaranteed > host->ceiling;
        out.push_back(about(now, -1, FindingId::DayBusSlower,
                            matters ? Severity::Caution : Severity::Note,
                            {{"card", card.name},
                             {"camera", lane.title},
                             {"slot", slot->name},
                             {"bus", std::string(host->name)},
                             {"most", CardSpeed{host->ceiling}}}));
        out.back().subject = lane.camera + "/" + card.id;
    }
}

// What was on a card that failed and had not been copied by then.
static void cardFailed(const Case& now, Findings& out) {
    for (const auto& failure : now.day.failures) {
        const int unit = now.plan.cards.unitOf(failure.card);
        const Seconds at = onDay(now.day.start, failure.at);
        std::string lost;
        for (const auto& use : now.plan.cards.plan.uses) {
            const bool copied = std::any_of(
                now.plan.cards.plan.renewals.begin(), now.plan.cards.plan.renewals.end(),
                [&](const Renewal& renewal) {
                    return renewal.unit == unit && renewal.out >= use.end && renewal.end <= at;
                });
            if (use.unit != unit || use.start >= at || copied)
                continue;
            const auto& title =
                now.plan.takes[static_cast<std::size_t>(takeOf(laneOf(now, use.lane), use.demand))]
                    .title;
            lost += (lost.empty() ? "" : ", ") + title;
        }
        Facts facts = {{"card", unit >= 0 ? now.plan.cards.unitNames[static_cast<std::size_t>(unit)]
                                          : failure.card},
                       {"at", ClockTime{at}},
                       {"takes", lost}};
        out.push_back(about(now, -1,
                            lost.empty() ? FindingId::DayCardFailedEmpty : FindingId::DayCardFailed,
                            lost.empty() ? Severity::Note : Severity::Fault, std::move(facts)));
        out.back().subject = failure.card;
    }
}

std::span<const Rule> cardRules() {
    static constexpr Rule kRules[] = {
        shortOfCards, cardsChangedInside, cardsMarginal,  mirrorAndProxy, slotLowersRate,
        cardsTight,   takesInFiles,       classesUnknown, busHoldsBack,   cardFailed};
    return kRules;
}

} // namespace bslate::day
