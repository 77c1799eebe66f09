#include "core/schedule/lane_bound.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

// The most one unit of these kinds holds; 0 when there is none.
double largestOf(const CarrierProblem& problem, KindSet kinds) {
    double largest = 0;
    for (std::size_t k = 0; k < problem.kinds.size(); ++k)
        if (kinds >> k & 1 && problem.kinds[k].count > 0)
            largest = std::max(largest, problem.kinds[k].capacity.value());
    return largest;
}

} // namespace

LaneBound::LaneBound(const CarrierProblem& problem, const CarrierLane& lane)
    : m_lane(lane)
    , m_sum(lane.demands.size() + 1)
    , m_hopeless(lane.demands.size() + 1)
    , m_fresh(lane.demands.size() + 1)
    , m_refused(problem.kinds.size(), std::vector<std::size_t>(lane.demands.size() + 1)) {
    const auto& demands = lane.demands;
    const std::size_t n = demands.size();
    std::vector<double> amount(n);
    m_fluid = lane.bays > 1;
    for (std::size_t i = 0; i < n; ++i) {
        const auto& demand = demands[i];
        double most = 0;
        for (int bay = 0; bay < lane.bays; ++bay) {
            const double one = largestOf(problem, demand.kinds[static_cast<std::size_t>(bay)]);
            most += one;
            m_largest = std::max(m_largest, one);
        }
        amount[i] = demand.amount.value();
        const double over = amount[i] - most * (1 + kFillSlack);
        if (demand.whole && over <= 0 && amount[i] > 0 &&
            amount[i] * (1 + problem.reserve - kFillSlack) > most * (1 + kFillSlack))
            m_hopeless[i].tight = 1;
        if (over <= 0)
            continue;
        const Seconds length = demand.end - demand.start;
        if (demand.whole) {
            m_hopeless[i].broken = length * (over / amount[i]);
            amount[i] = 0; // whatever is put in for it may as well serve the others
        } else if (most <= 0) {
            m_hopeless[i].lost = length;
            amount[i] = 0;
        } else if (lane.bays == 1) {
            m_hopeless[i].inside = static_cast<int>(std::ceil(amount[i] / most - 1e-6)) - 1;
            m_fluid = true;
        }
    }
    for (std::size_t i = 0; i < n; ++i)
        m_sum[i + 1] = m_sum[i] + amount[i];
    for (std::size_t i = n; i-- > 0;)
        m_hopeless[i] = m_hopeless[i] + m_hopeless[i + 1];
    for (std::size_t k = 0; k < problem.kinds.size(); ++k) {
        m_refused[k][n] = n;
        for (std::size_t i = n; i-- > 0;)
            m_refused[k][i] =
                amount[i] > 0 && !(demands[i].kinds[0] >> k & 1) ? i : m_refused[k][i + 1];
    }
    if (m_fluid)
        return;
    for (std::size_t i = n; i-- > 0;) {
        if (amount[i] <= 0) {
            m_fresh[i] = m_fresh[i + 1];
            continue;
        }
        int least = static_cast<int>(n);
        for (std::size_t k = 0; k < problem.kinds.size(); ++k) {
            if (!(demands[i].kinds[0] >> k & 1) || problem.kinds[k].count <= 0)
                continue;
            const auto beyond =
                firstBeyond(i, static_cast<int>(k), problem.kinds[k].capacity.value());
            if (beyond > i)
                least = std::min(least, beyond == n ? 0 : 1 + m_fresh[beyond]);
        }
        m_fresh[i] = least;
    }
}

// The first demand that a unit with this much room cannot serve any more.
std::size_t LaneBound::firstBeyond(std::size_t next, int kind, double room) const {
    const double most = m_sum[next] + room * (1 + kFillSlack) + kFillSlack;
    const auto full =
        std::upper_bound(m_sum.begin() + static_cast<std::ptrdiff_t>(next) + 1, m_sum.end(), most);
    const auto byRoom = static_cast<std::size_t>(full - m_sum.begin()) - 1;
    return std::min(byRoom, m_refused[static_cast<std::size_t>(kind)][next]);
}

PlanCost LaneBound::from(std::size_t next, std::span<const Bay> bays) const {
    PlanCost cost = m_hopeless[next];
    const std::size_t n = m_lane.demands.size();
    if (next == n || m_sum[n] - m_sum[next] <= 0)
        return cost;
    if (m_fluid) {
        double room = 0;
        for (const auto& bay : bays)
            room += bay.kind < 0 ? m_largest : bay.room;
        const double rest = m_sum[n] - m_sum[next] - room;
        if (rest > 0 && m_largest > 0)
            cost.changes += static_cast<int>(std::ceil(rest / m_largest - 1e-6));
        cost.changes = std::max(cost.changes, cost.inside);
        return cost;
    }
    if (bays[0].kind < 0) {
        cost.changes += m_fresh[next];
        return cost;
    }
    const auto beyond = firstBeyond(next, bays[0].kind, bays[0].room);
    if (beyond < n)
        cost.changes += 1 + m_fresh[beyond];
    return cost;
}

} // namespace bslate
