#include "core/day/day_cards.h"

#include "core/media/card_fit.h"
#include "core/media/recording.h"

#include <algorithm>

namespace bslate {
namespace {

const char* letterOf(CardForm form) {
    return form == CardForm::Sd ? "S" : form == CardForm::CFast ? "F" : "C";
}

// Kinds and units: every card of the kit by itself, but of each kind no more than could be used.
void addCards(const Kit& kit, DayCarriers& cards, int most) {
    int letters[3] = {0, 0, 0};
    for (const auto& card : kit.cards) {
        if (cards.problem.kinds.size() == kMostKinds)
            break;
        const double bytes = card.capacity.value() * card.usable;
        const int units = std::min(card.count, most);
        cards.problem.kinds.push_back({card.id, Fill(bytes), units, Seconds(0)});
        int& count = letters[card.form == CardForm::Sd ? 0 : card.form == CardForm::CFast ? 1 : 2];
        for (int i = 1; i <= units; ++i) {
            cards.unitIds.push_back(card.id + ":" + std::to_string(i));
            cards.unitLabels.push_back(letterOf(card.form) + std::to_string(count + i));
            cards.unitNames.push_back(card.name + " " + std::to_string(i));
        }
        count += card.count; // a card keeps its label whatever else there is to do that day
    }
}

// Readers, and how long each kind takes through each. Drives are shared by all.
void addReaders(const Shoot& shoot, DayCarriers& cards) {
    const auto& kit = shoot.kit;
    auto drives = copyDrives(kit, shoot.brief.copies);
    const bool enough = static_cast<int>(drives.size()) >= shoot.brief.copies;
    int readers = 0;
    for (const auto& reader : kit.readers)
        readers += reader.count;
    for (auto& drive : drives) {
        drive.write = drive.write * (1.0 / std::max(1, readers));
        drive.read = drive.read * (1.0 / std::max(1, readers));
    }
    if (!enough)
        return; // without its copies a card is not used again
    for (const auto& reader : kit.readers) {
        RenewServer server;
        for (std::size_t k = 0; k < cards.problem.kinds.size(); ++k) {
            const DataSize full(cards.problem.kinds[k].capacity.value());
            server.full.push_back(offloadTime(full, offloadSpeed(kit.cards[k], reader, drives)));
            if (takes(reader, kit.cards[k].form))
                server.kinds |= KindSet{1} << k;
        }
        for (int i = 1; i <= reader.count && cards.problem.servers.size() < kMostServers; ++i) {
            cards.problem.servers.push_back(server);
            cards.servers.push_back(reader.count > 1 ? reader.name + " " + std::to_string(i)
                                                     : reader.name);
        }
    }
}

// Cards that may be used for a roll in a slot.
KindSet kindsIn(const Kit& kit, const Slot* slot, const Roll& roll) {
    KindSet kinds = 0;
    if (!slot || !mayUse(*roll.context.mode, *slot))
        return kinds;
    const DataRate peak =
        slot->most ? std::min(roll.peak, *slot->most * roll.context.codec->peak) : roll.peak;
    for (std::size_t k = 0; k < kit.cards.size() && k < kMostKinds; ++k)
        if (kit.cards[k].count > 0 &&
            cardFit(peak, guaranteedIn(kit.cards[k], *slot)) != CardFit::Drops)
            kinds |= KindSet{1} << k;
    return kinds;
}

class LaneMaker {
public:
    LaneMaker(const Shoot& shoot, const DayRolls& rolls, DayCarriers& cards)
        : m_shoot(shoot)
        , m_rolls(rolls)
        , m_cards(cards) {}

    void addCamera(const Camera& camera) {
        CarrierLane first, second;
        DayLane about{camera.id, camera.name, {}, false, {}, {}, {}};
        DayLane aboutSecond = about;
        aboutSecond.second = true;
        for (const auto& roll : m_rolls.rolls)
            if (roll.context.camera->id == camera.id)
                addRoll(roll, first, about, second, aboutSecond);
        if (first.demands.empty())
            return;
        first.id = camera.id;
        about.place = first.bays > 1 ? "cards, one after the other" : "card";
        put(std::move(first), std::move(about));
        if (!second.demands.empty()) {
            second.id = camera.id + "/2";
            aboutSecond.place = "second slot";
            put(std::move(second), std::move(aboutSecond));
        }
    }

private:
    void put(CarrierLane lane, DayLane about) {
        m_cards.problem.lanes.push_back(std::move(lane));
        m_cards.lanes.push_back(std::move(about));
    }

    void addRoll(const Roll& roll, CarrierLane& first, DayLane& about, CarrierLane& second,
                 DayLane& aboutSecond) {
        const auto slots = slotsOf(roll.context);
        const auto use = slots.second ? roll.context.setup->secondSlot : SecondSlot::Unused;
        const auto& kit = m_shoot.kit;
        const DataRate written = slots.first ? writtenInto(*slots.first, roll.rate) : roll.rate;
        Demand demand = demandOf(roll, written);
        demand.kinds[0] = kindsIn(kit, slots.first, roll);
        if (use == SecondSlot::Unused)
            for (const auto& slot : roll.context.camera->cardSlots)
                demand.kinds[0] |= kindsIn(kit, &slot, roll);
        if (use == SecondSlot::Relay) {
            first.bays = 2;
            demand.kinds[1] = kindsIn(kit, slots.second, roll);
        }
        pin(roll, demand);
        add(first, about, demand, roll, written);
        if (use != SecondSlot::Mirror && use != SecondSlot::Proxy)
            return;
        const bool mirror = use == SecondSlot::Mirror;
        Roll copy = roll;
        copy.rate = mirror ? roll.rate : roll.context.camera->proxyRate;
        copy.peak = mirror ? roll.peak : copy.rate;
        const DataRate copied = writtenInto(*slots.second, copy.rate);
        Demand other = demandOf(roll, copied);
        other.kinds[0] = mirror ? kindsIn(kit, slots.second, copy) : anyFor(*slots.second, copied);
        pinSecond(roll, *slots.second, other);
        add(second, aboutSecond, other, roll, copied);
    }

    // A proxy goes wherever its slot goes, whatever the main recording is limited to.
    [[nodiscard]] KindSet anyFor(const Slot& slot, DataRate rate) const {
        KindSet kinds = 0;
        for (std::size_t k = 0; k < m_shoot.kit.cards.size() && k < kMostKinds; ++k)
            if (m_shoot.kit.cards[k].count > 0 &&
                cardFit(rate, guaranteedIn(m_shoot.kit.cards[k], slot)) != CardFit::Drops)
                kinds |= KindSet{1} << k;
        return kinds;
    }

    static Demand demandOf(const Roll& roll, DataRate rate) {
        Demand demand;
        demand.start = roll.start;
        demand.end = roll.end;
        demand.amount = Fill(rate.value() / 8 * (roll.end - roll.start).value());
        demand.whole = roll.whole;
        demand.event = roll.take;
        return demand;
    }

    // Chosen by hand, or used by then, in any slot but the copy's.
    void pin(const Roll& roll, Demand& demand) const {
        const auto slots = slotsOf(roll.context);
        const auto use = roll.context.setup->secondSlot;
        for (const auto& pinned : roll.planned->cards) {
            if (pinned.setup != roll.context.setup->id)
                continue;
            const bool second = slots.second && pinned.slot == slots.second->id;
            if (second && (use == SecondSlot::Mirror || use == SecondSlot::Proxy))
                continue;
            const std::size_t bay = second && use == SecondSlot::Relay ? 1 : 0;
            demand.pinned[bay] = m_cards.unitOf(pinned.card);
        }
        // One card cannot be in both; the first bay has it.
        if (demand.pinned[1] == demand.pinned[0])
            demand.pinned[1] = -1;
    }
    void pinSecond(const Roll& roll, const Slot& slot, Demand& demand) const {
        for (const auto& pinned : roll.planned->cards)
            if (pinned.setup == roll.context.setup->id && pinned.slot == slot.id)
                demand.pinned[0] = m_cards.unitOf(pinned.card);
    }

    static void add(CarrierLane& lane, DayLane& about, const Demand& demand, const Roll& roll,
                    DataRate rate) {
        lane.demands.push_back(demand);
        about.takes.push_back(roll.take);
        about.setups.push_back(roll.context.setup->id);
        about.rates.push_back(rate);
    }

    const Shoot& m_shoot;
    const DayRolls& m_rolls;
    DayCarriers& m_cards;
};

} // namespace

DayCarriers cardsOf(const Shoot& shoot, const ShootDay& day, const DayRolls& rolls) {
    DayCarriers cards;
    cards.problem.change = kChangeTime;
    cards.problem.reserve = kTakeMargin;
    addCards(shoot.kit, cards, mostUnits(rolls));
    addReaders(shoot, cards);
    LaneMaker maker(shoot, rolls, cards);
    for (const auto& camera : shoot.kit.cameras)
        maker.addCamera(camera);
    for (const auto& failure : day.failures)
        if (const int unit = cards.unitOf(failure.card); unit >= 0)
            cards.problem.faults.push_back({unit, onDay(day.start, failure.at)});
    return cards;
}

} // namespace bslate
