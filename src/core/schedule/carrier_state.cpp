#include "core/schedule/carrier_state.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace bslate {
namespace {
constexpr double kNever = std::numeric_limits<double>::infinity();
} // namespace

int CarrierProblem::unitCount() const {
    int count = 0;
    for (const auto& kind : kinds)
        count += kind.count;
    return count;
}

int CarrierProblem::kindOf(int unit) const {
    int kind = 0;
    while (unit >= kinds[static_cast<std::size_t>(kind)].count)
        unit -= kinds[static_cast<std::size_t>(kind++)].count;
    return kind;
}

CarrierState::CarrierState(const CarrierTables& tables)
    : m_tables(&tables)
    , m_units(tables.kindOf.size(), Unit{0, -kNever, 0, false})
    , m_bays(tables.problem.lanes.size(), {-1, -1})
    , m_laneEnd(tables.problem.lanes.size(), -kNever)
    , m_servers(tables.problem.servers.size()) {}

int CarrierState::unitIn(int lane, int bay) const {
    return m_bays[static_cast<std::size_t>(lane)][static_cast<std::size_t>(bay)];
}

double CarrierState::roomOf(int unit) const {
    return m_tables->capacity(kindOf(unit)) - m_units[static_cast<std::size_t>(unit)].used;
}

bool CarrierState::isReady(int unit, Seconds time, Seconds end) const {
    const auto& state = m_units[static_cast<std::size_t>(unit)];
    return !state.inUse && state.from <= time.value() + 1e-6 &&
           m_tables->failsAt[static_cast<std::size_t>(unit)] >= end.value();
}

bool CarrierState::hasGap(int lane, const Demand& demand) const {
    return demand.start.value() - m_laneEnd[static_cast<std::size_t>(lane)] >=
           problem().change.value() - 1e-6;
}

// Whether what is in the bay may be used for this demand.
bool CarrierState::holds(int unit, const Demand& demand, std::size_t bay) const {
    return unit >= 0 && (demand.kinds[bay] >> kindOf(unit) & 1) &&
           m_tables->failsAt[static_cast<std::size_t>(unit)] >= demand.end.value();
}

// Into the first free time of the server that has it back soonest.
void CarrierState::release(int unit, double time, CarrierPlan* plan, const Demand* by) {
    auto& state = m_units[static_cast<std::size_t>(unit)];
    state.inUse = false;
    const int kind = kindOf(unit);
    const auto& of = problem().kinds[static_cast<std::size_t>(kind)];
    if (state.used <= 0) {
        state.from = time;
        return;
    }
    const double share = state.used / of.capacity.value();
    int best = -1;
    Busy slot{0, kNever};
    for (std::size_t s = 0; s < m_servers.size(); ++s) {
        const auto& server = problem().servers[s];
        if (!(server.kinds >> kind & 1))
            continue;
        const Seconds full =
            server.full.empty() ? of.renewFull : server.full[static_cast<std::size_t>(kind)];
        const double length = full.value() * share;
        double start = time;
        for (const auto& busy : m_servers[s]) {
            if (start + length <= busy.start)
                break;
            start = std::max(start, busy.end);
        }
        if (start + length < slot.end) {
            best = static_cast<int>(s);
            slot = {start, start + length};
        }
    }
    state.from = kNever;
    // Out and renewed before it fails. One that had to go because it will fail was still in there.
    const double failsAt = m_tables->failsAt[static_cast<std::size_t>(unit)];
    if (best < 0 || failsAt < slot.end || (by && failsAt < by->end.value()))
        return;
    auto& busy = m_servers[static_cast<std::size_t>(best)];
    busy.insert(std::upper_bound(busy.begin(), busy.end(), slot,
                                 [](const Busy& a, const Busy& b) { return a.start < b.start; }),
                slot);
    state.from = slot.end;
    ++state.renewals;
    if (plan)
        plan->renewals.push_back(
            {unit, best, Seconds(time), Seconds(slot.start), Seconds(slot.end), Fill(state.used)});
    state.used = 0;
}

void CarrierState::note(CarrierPlan* plan, const CarrierUse& use) const {
    if (plan && use.after > use.before)
        plan->uses.push_back(use);
}

// The unit to go on with in the middle of a demand: the largest that is at hand. One that would be
// used up again before somebody has changed it is none.
int CarrierState::readyInside(const Demand& demand, std::size_t bay, double left) {
    const double length = (demand.end - demand.start).value();
    const double time = demand.end.value() - left / demand.amount.value() * length;
    const double least = std::min(left, demand.amount.value() / length * problem().change.value()) *
                         (1 - kFillSlack);
    for (const int kind : m_tables->bySize) {
        if (m_tables->capacity(kind) < least)
            break;
        if (!(demand.kinds[bay] >> kind & 1))
            continue;
        const auto* first = &m_tables->firstUnit[static_cast<std::size_t>(kind)];
        for (int unit = first[0]; unit < first[1]; ++unit, ++m_work)
            if (m_units[static_cast<std::size_t>(unit)].used <= 0 &&
                isReady(unit, Seconds(time), demand.end))
                return unit;
    }
    return -1;
}

// Fills what is in the bays, the one in use first; gives what did not fit.
double CarrierState::fill(int lane, int index, double amount, CarrierPlan* plan) {
    const auto& of = problem().lanes[static_cast<std::size_t>(lane)];
    const auto& demand = of.demands[static_cast<std::size_t>(index)];
    auto& bays = m_bays[static_cast<std::size_t>(lane)];
    std::array<std::size_t, kMostBays> order{0, 1};
    const auto started = [&](std::size_t bay) {
        return bays[bay] >= 0 && m_units[static_cast<std::size_t>(bays[bay])].used > 0;
    };
    if (of.bays > 1 && started(1) && !started(0))
        std::swap(order[0], order[1]);
    const double perSecond = demand.amount.value() / (demand.end - demand.start).value();
    double left = amount;
    for (std::size_t i = 0; i < static_cast<std::size_t>(of.bays) && left > 0; ++i) {
        const int unit = bays[order[i]];
        if (!holds(unit, demand, order[i]))
            continue;
        const double room = roomOf(unit);
        const double take = left <= room * (1 + kFillSlack) ? left : room;
        if (take <= 0)
            continue;
        auto& used = m_units[static_cast<std::size_t>(unit)].used;
        const double begin = demand.start.value() + (demand.amount.value() - left) / perSecond;
        note(plan, {lane, index, static_cast<int>(order[i]), unit, Seconds(begin),
                    Seconds(begin + take / perSecond), Fill(used), Fill(used + take),
                    m_put[order[i]], false});
        used += take;
        left -= take;
    }
    return left > demand.amount.value() * kFillSlack ? left : 0;
}

bool CarrierState::apply(int lane, int index, const CarrierChoice& choice, CarrierPlan* plan) {
    const auto& of = problem().lanes[static_cast<std::size_t>(lane)];
    const auto& demand = of.demands[static_cast<std::size_t>(index)];
    auto& bays = m_bays[static_cast<std::size_t>(lane)];
    const double laneEnd = m_laneEnd[static_cast<std::size_t>(lane)];
    m_put = {};
    for (std::size_t bay = 0; bay < static_cast<std::size_t>(of.bays); ++bay) {
        if (choice.put[bay] < 0)
            continue;
        if (bays[bay] >= 0) {
            release(bays[bay], laneEnd, plan, &demand);
            ++m_cost.changes;
            m_put[bay] = true;
        }
        bays[bay] = choice.put[bay];
        if (!isReady(bays[bay], demand.start, demand.end))
            return false;
        m_units[static_cast<std::size_t>(bays[bay])].inUse = true;
    }
    const Seconds length = demand.end - demand.start;
    double left = demand.amount.value() > 0 ? fill(lane, index, demand.amount.value(), plan) : 0;
    const auto timeAt = [&] {
        return demand.end.value() - left / demand.amount.value() * length.value();
    };
    // Something must be in there to be changed: the first one goes in before.
    while (left > 0 && !demand.whole && bays[0] >= 0) {
        const double now = timeAt();
        const int unit = readyInside(demand, 0, left);
        if (unit < 0)
            break;
        release(bays[0], now, plan, &demand);
        ++m_cost.changes;
        ++m_cost.inside;
        bays[0] = unit;
        auto& state = m_units[static_cast<std::size_t>(unit)];
        state.inUse = true;
        const double take = std::min(left, roomOf(unit));
        const double end = now + take / demand.amount.value() * length.value();
        note(plan,
             {lane, index, 0, unit, Seconds(now), Seconds(end), Fill(0), Fill(take), true, true});
        state.used += take;
        left -= take;
        left = left > demand.amount.value() * kFillSlack ? left : 0;
    }
    if (left > 0) {
        const Seconds missing = length * (left / demand.amount.value());
        (demand.whole ? m_cost.broken : m_cost.lost) += missing;
        if (plan)
            plan->shortfalls.push_back({lane, index, demand.end - missing, Fill(left)});
    }
    if (left <= 0 && demand.whole && demand.amount.value() > 0)
        noteReserve(lane, index, plan);
    m_laneEnd[static_cast<std::size_t>(lane)] = demand.end.value();
    return true;
}

void CarrierState::noteReserve(int lane, int index, CarrierPlan* plan) {
    const auto& of = problem().lanes[static_cast<std::size_t>(lane)];
    const auto& demand = of.demands[static_cast<std::size_t>(index)];
    double spare = 0;
    for (std::size_t bay = 0; bay < static_cast<std::size_t>(of.bays); ++bay)
        if (const int unit = m_bays[static_cast<std::size_t>(lane)][bay]; holds(unit, demand, bay))
            spare += roomOf(unit);
    if (spare >= demand.amount.value() * problem().reserve - demand.amount.value() * kFillSlack)
        return;
    ++m_cost.tight;
    if (plan)
        plan->tight.push_back({lane, index, Fill(spare)});
}

void CarrierState::finish(CarrierPlan& plan) {
    std::vector<std::pair<double, int>> out;
    for (std::size_t lane = 0; lane < m_bays.size(); ++lane)
        for (const int unit : m_bays[lane])
            if (unit >= 0)
                out.emplace_back(m_laneEnd[lane], unit);
    std::sort(out.begin(), out.end());
    for (const auto& [time, unit] : out)
        release(unit, time, &plan, nullptr);
    std::stable_sort(plan.uses.begin(), plan.uses.end(),
                     [](const auto& a, const auto& b) { return a.start < b.start; });
    std::stable_sort(plan.renewals.begin(), plan.renewals.end(),
                     [](const auto& a, const auto& b) { return a.start < b.start; });
}

} // namespace bslate
