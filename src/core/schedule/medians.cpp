#include "core/schedule/medians.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numeric>
#include <utility>

namespace bslate {
namespace {

constexpr double kSlack = 1e-7;
constexpr int kStepsAtRoot = 400, kStepsBelow = 15; // of the prices, at one node
constexpr int kMostPasses = 20;                     // of exchanges
constexpr int kNoteEvery = 5;                       // of the steps its choice is priced
constexpr long kAskEvery = 64;                      // looks whether it is still wanted
constexpr int kPatience = 8;                        // steps without a better bound

enum class State : char { Free, Kept, Out };

// A thing in a kind of place, as one row of the tables.
struct Site {
    std::size_t kind, thing;
    const std::vector<double>* costs;
    double gain = 0; // at the prices of the moment
};

// What somebody who pays these prices would save at these costs: never above 0. In four sums, which
// the processor does side by side.
double savedAt(const std::vector<double>& costs, const std::vector<double>& prices) {
    const std::size_t count = prices.size();
    const double* cost = costs.data();
    const double* price = prices.data();
    double sums[4] = {};
    std::size_t i = 0;
    for (; i + 4 <= count; i += 4)
        for (std::size_t k = 0; k < 4; ++k)
            sums[k] += std::min(0.0, cost[i + k] - price[i + k]);
    for (; i < count; ++i)
        sums[0] += std::min(0.0, cost[i] - price[i]);
    return sums[0] + sums[1] + sums[2] + sums[3];
}

class MedianSearch {
public:
    MedianSearch(const MedianProblem& problem, long most, const KeepGoing& keepGoing)
        : m_problem(problem)
        , m_most(most)
        , m_keepGoing(keepGoing)
        , m_clients(problem.without.size()) {
        for (std::size_t kind = 0; kind < problem.kinds.size(); ++kind)
            for (std::size_t thing = 0; thing < problem.kinds[kind].costs.size(); ++thing)
                addSite(kind, thing);
        m_state.assign(m_sites.size(), State::Free);
    }

    MedianPlan run() {
        m_best = greedy();
        m_bestCost = costOf(m_best);
        const std::vector<double> start = startingPrices();
        m_lowest = std::numeric_limits<double>::infinity();
        branch(start, 0, kStepsAtRoot);
        MedianPlan plan = planOf(m_best);
        plan.looks = m_looks;
        plan.atLeast = std::min(plan.cost, m_lowest);
        plan.proven = !m_stopped;
        if (plan.proven)
            plan.atLeast = plan.cost;
        return plan;
    }

private:
    using Chosen = std::vector<std::size_t>; // into m_sites, rising

    // Of things that cost the same everywhere the first is enough.
    void addSite(std::size_t kind, std::size_t thing) {
        const auto& costs = m_problem.kinds[kind].costs[thing];
        for (const auto& known : m_sites)
            if (known.kind == kind && *known.costs == costs)
                return;
        m_sites.push_back({kind, thing, &costs});
    }

    [[nodiscard]] double costOf(const Chosen& chosen) const {
        const auto served = servedBut(chosen, chosen.size());
        return std::accumulate(served.begin(), served.end(), 0.0);
    }
    [[nodiscard]] std::vector<int> placesLeft(const Chosen& chosen) const {
        std::vector<int> left;
        for (const auto& kind : m_problem.kinds)
            left.push_back(kind.places);
        for (const auto site : chosen)
            --left[m_sites[site].kind];
        return left;
    }

    // What everybody pays with the places of a choice but one; `but` may be none of them.
    [[nodiscard]] std::vector<double> servedBut(const Chosen& chosen, std::size_t but) const {
        auto least = m_problem.without;
        for (std::size_t c = 0; c < chosen.size(); ++c)
            for (std::size_t i = 0; c != but && i < m_clients; ++i)
                least[i] = std::min(least[i], (*m_sites[chosen[c]].costs)[i]);
        return least;
    }
    [[nodiscard]] double costBeside(const std::vector<double>& served, std::size_t site) const {
        double sum = 0;
        for (std::size_t i = 0; i < m_clients; ++i)
            sum += std::min(served[i], (*m_sites[site].costs)[i]);
        return sum;
    }

    // The site that saves most, again and again; then single exchanges while they save.
    [[nodiscard]] Chosen greedy() const {
        Chosen chosen;
        auto served = m_problem.without;
        for (;;) {
            const auto left = placesLeft(chosen);
            double best = std::accumulate(served.begin(), served.end(), 0.0) - kSlack;
            std::size_t found = m_sites.size();
            for (std::size_t site = 0; site < m_sites.size(); ++site)
                if (left[m_sites[site].kind] > 0)
                    if (const double cost = costBeside(served, site); cost < best) {
                        best = cost;
                        found = site;
                    }
            if (found == m_sites.size())
                return exchanged(std::move(chosen));
            chosen.push_back(found);
            served = servedBut(chosen, chosen.size());
        }
    }
    [[nodiscard]] Chosen exchanged(Chosen chosen) const {
        double cost = costOf(chosen);
        bool better = true;
        for (int pass = 0; better && pass < kMostPasses; ++pass) {
            better = false;
            for (std::size_t c = 0; c < chosen.size(); ++c) {
                const auto served = servedBut(chosen, c);
                const auto kind = m_sites[chosen[c]].kind;
                for (std::size_t site = 0; site < m_sites.size(); ++site)
                    if (m_sites[site].kind == kind)
                        if (const double now = costBeside(served, site); now < cost - kSlack) {
                            cost = now;
                            chosen[c] = site;
                            better = true;
                        }
            }
        }
        std::sort(chosen.begin(), chosen.end());
        return chosen;
    }

    // What each client would pay: between its cheapest and what it costs without a place.
    [[nodiscard]] std::vector<double> startingPrices() const {
        std::vector<double> prices(m_clients);
        for (std::size_t i = 0; i < m_clients; ++i) {
            double first = m_problem.without[i], second = first;
            for (const auto& site : m_sites) {
                const double cost = (*site.costs)[i];
                if (cost < first)
                    second = std::exchange(first, cost);
                else
                    second = std::min(second, cost);
            }
            prices[i] = second;
        }
        return prices;
    }

    struct Relaxed {
        double bound = 0;
        Chosen kept;
    };
    [[nodiscard]] Relaxed relaxed(const std::vector<double>& prices) {
        Relaxed result;
        result.bound =
            std::accumulate(prices.begin(), prices.end(), 0.0) + savedAt(m_problem.without, prices);
        auto& open = m_open;
        open.assign(m_problem.kinds.size(), {});
        std::vector<int> left;
        for (const auto& kind : m_problem.kinds)
            left.push_back(kind.places);
        for (std::size_t site = 0; site < m_sites.size(); ++site) {
            if (m_state[site] == State::Out)
                continue;
            const auto kind = m_sites[site].kind;
            const double gain = m_sites[site].gain = savedAt(*m_sites[site].costs, prices);
            if (m_state[site] == State::Kept) {
                result.bound += gain;
                result.kept.push_back(site);
                --left[kind];
            } else if (gain < 0) {
                open[kind].emplace_back(gain, site);
            }
        }
        for (std::size_t kind = 0; kind < left.size(); ++kind) {
            auto& best = open[kind];
            const auto most = static_cast<std::ptrdiff_t>(
                std::min(best.size(), static_cast<std::size_t>(std::max(0, left[kind]))));
            std::partial_sort(best.begin(), best.begin() + most, best.end());
            for (auto at = best.begin(); at != best.begin() + most; ++at) {
                result.bound += at->first;
                result.kept.push_back(at->second);
            }
        }
        return result;
    }

    [[nodiscard]] bool isUnwanted() const {
        return m_keepGoing && m_looks % kAskEvery == 0 &&
               !m_keepGoing(static_cast<double>(m_looks) / static_cast<double>(m_most));
    }
    [[nodiscard]] bool canBeat(double bound) const {
        if (m_problem.grain > 0)
            bound = std::ceil(bound / m_problem.grain - 1e-6) * m_problem.grain;
        return bound < m_bestCost - kSlack;
    }

    void note(Chosen chosen) {
        const double cost = costOf(chosen);
        if (cost < m_bestCost - kSlack) {
            std::sort(chosen.begin(), chosen.end());
            m_best = exchanged(std::move(chosen));
            m_bestCost = costOf(m_best);
        }
    }

    // `floor`: nothing below this node is cheaper.
    void branch(std::vector<double> prices, double floor, int steps) {
        auto best = prices;
        Relaxed top{-std::numeric_limits<double>::infinity(), {}};
        double scale = 1.5;
        int stuck = 0;
        for (int step = 0; step < steps; ++step) {
            if (m_stopped || m_looks >= m_most || isUnwanted()) {
                m_stopped = true;
                m_lowest = std::min(m_lowest, floor);
                return;
            }
            ++m_looks;
            auto now = relaxed(prices);
            if (step % kNoteEvery == 0)
                note(now.kept);
            if (now.bound > top.bound + kSlack) {
                top = now;
                best = prices;
                floor = std::max(floor, top.bound);
                stuck = 0;
            } else if (++stuck == kPatience) {
                scale /= 2;
                stuck = 0;
                prices = best;
                now = top;
            }
            if (!canBeat(floor))
                return;
            if (!follow(prices, now, scale)) {
                note(now.kept); // everybody is served once: it costs what its bound says
                break;
            }
        }
        note(top.kept);
        const auto fixed = fix(best);
        const auto site = divide(top);
        if (site == m_sites.size()) {
            note(keptNow());
        } else {
            for (const auto state : {State::Kept, State::Out}) {
                m_state[site] = state;
                branch(best, floor, kStepsBelow);
            }
            m_state[site] = State::Free;
        }
        for (const auto one : fixed)
            m_state[one] = State::Free;
    }

    // Decides what the bound decides at these prices: a site is out when having it, in place of the
    // least of those kept, cannot be cheaper than the best that is known; it is kept when the next
    // one in its place cannot. What was decided is given back, to be free again behind this node.
    std::vector<std::size_t> fix(const std::vector<double>& prices) {
        std::vector<std::size_t> fixed;
        const auto now = relaxed(prices);
        std::vector<bool> kept(m_sites.size());
        for (const auto site : now.kept)
            kept[site] = true;
        for (std::size_t kind = 0; kind < m_problem.kinds.size(); ++kind) {
            // The least gain among the free ones kept, the greatest of the others, and room.
            double last = -std::numeric_limits<double>::infinity(), next = 0;
            int room = m_problem.kinds[kind].places;
            for (std::size_t site = 0; site < m_sites.size(); ++site) {
                if (m_sites[site].kind != kind || m_state[site] == State::Out)
                    continue;
                room -= kept[site] ? 1 : 0;
                if (m_state[site] == State::Free && kept[site])
                    last = std::max(last, m_sites[site].gain);
                else if (m_state[site] == State::Free)
                    next = std::min(next, m_sites[site].gain);
            }
            if (room > 0)
                last = next = 0; // one more has room anyway
            for (std::size_t site = 0; site < m_sites.size(); ++site) {
                if (m_sites[site].kind != kind || m_state[site] != State::Free)
                    continue;
                const double gain = m_sites[site].gain;
                const double other = kept[site] ? now.bound - gain + next : now.bound - last + gain;
                if (canBeat(other))
                    continue;
                m_state[site] = kept[site] ? State::Kept : State::Out;
                fixed.push_back(site);
            }
        }
        return fixed;
    }

    // Moves the prices along the subgradient; false when everybody is served exactly once.
    bool follow(std::vector<double>& prices, const Relaxed& now, double scale) const {
        std::vector<double> slope(m_clients, 1);
        double square = 0;
        for (std::size_t i = 0; i < m_clients; ++i) {
            slope[i] -= m_problem.without[i] < prices[i] ? 1 : 0;
            for (const auto site : now.kept)
                slope[i] -= (*m_sites[site].costs)[i] < prices[i] ? 1 : 0;
            square += slope[i] * slope[i];
        }
        if (square <= 0)
            return false;
        const double length = scale * (m_bestCost - now.bound + 1e-6) / square;
        for (std::size_t i = 0; i < m_clients; ++i)
            prices[i] = std::max(0.0, prices[i] + length * slope[i]);
        return true;
    }

    // The free site the relaxation wants most, else one that has room; m_sites.size() when
    // everything is decided.
    [[nodiscard]] std::size_t divide(const Relaxed& top) const {
        const auto left = placesLeft(keptNow());
        std::size_t found = m_sites.size();
        double most = std::numeric_limits<double>::infinity();
        for (const auto site : top.kept)
            if (m_state[site] == State::Free && m_sites[site].gain < most) {
                most = m_sites[site].gain;
                found = site;
            }
        if (found != m_sites.size())
            return found;
        for (std::size_t site = 0; site < m_sites.size(); ++site)
            if (m_state[site] == State::Free && left[m_sites[site].kind] > 0)
                return site;
        return found;
    }
    [[nodiscard]] Chosen keptNow() const {
        Chosen kept;
        for (std::size_t site = 0; site < m_sites.size(); ++site)
            if (m_state[site] == State::Kept)
                kept.push_back(site);
        return kept;
    }

    [[nodiscard]] MedianPlan planOf(const Chosen& chosen) const {
        MedianPlan plan;
        std::vector<int> at(chosen.size(), -1);
        plan.served.assign(m_clients, -1);
        for (std::size_t i = 0; i < m_clients; ++i) {
            double least = m_problem.without[i];
            std::size_t by = chosen.size();
            for (std::size_t c = 0; c < chosen.size(); ++c)
                if (const double cost = (*m_sites[chosen[c]].costs)[i];
                    cost < least || (by == chosen.size() && cost <= least)) {
                    least = cost;
                    by = c;
                }
            plan.cost += least;
            if (by == chosen.size())
                continue;
            if (at[by] < 0) {
                at[by] = static_cast<int>(plan.kept.size());
                plan.kept.push_back({m_sites[chosen[by]].kind, m_sites[chosen[by]].thing});
            }
            plan.served[i] = at[by];
        }
        return plan;
    }

    const MedianProblem& m_problem;
    long m_most;
    const KeepGoing& m_keepGoing;
    std::size_t m_clients;
    std::vector<Site> m_sites;
    std::vector<State> m_state;
    std::vector<std::vector<std::pair<double, std::size_t>>> m_open; // by kind, to be reused
    Chosen m_best;
    double m_bestCost = 0;
    double m_lowest = 0; // bound of what was left when the search stopped
    long m_looks = 0;
    bool m_stopped = false;
};

} // namespace

MedianPlan planMedians(const MedianProblem& problem, long most, const KeepGoing& keepGoing) {
    return MedianSearch(problem, most, keepGoing).run();
}

} // namespace bslate
