#include "core/schedule/medians.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numeric>
#include <utility>

namespace bslate {
namespace {

constexpr double kSlack = 1e-7;
constexpr int kStepsAtRoot = 300, kStepsBelow = 40; // of the prices, at one node
constexpr int kMostPasses = 20;                     // of exchanges
constexpr int kPatience = 8;                        // steps without a better bound

enum class State : char { Free, Kept, Out };

// A thing in a kind of place, as one row of the tables.
struct Site {
    std::size_t kind, thing;
    const std::vector<double>* costs;
};

class MedianSearch {
public:
    MedianSearch(const MedianProblem& problem, long most)
        : m_problem(problem)
        , m_most(most)
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

    // What a site, always kept or not, brings at these prices: never above 0.
    [[nodiscard]] double reduced(const std::vector<double>& costs,
                                 const std::vector<double>& prices) const {
        double sum = 0;
        for (std::size_t i = 0; i < m_clients; ++i)
            sum += std::min(0.0, costs[i] - prices[i]);
        return sum;
    }

    struct Relaxed {
        double bound = 0;
        Chosen kept;
    };
    [[nodiscard]] Relaxed relaxed(const std::vector<double>& prices) const {
        Relaxed result;
        result.bound =
            std::accumulate(prices.begin(), prices.end(), 0.0) + reduced(m_problem.without, prices);
        std::vector<int> left;
        for (const auto& kind : m_problem.kinds)
            left.push_back(kind.places);
        std::vector<std::pair<double, std::size_t>> open;
        for (std::size_t site = 0; site < m_sites.size(); ++site) {
            if (m_state[site] == State::Out)
                continue;
            const double gain = reduced(*m_sites[site].costs, prices);
            if (m_state[site] == State::Kept) {
                result.bound += gain;
                result.kept.push_back(site);
                --left[m_sites[site].kind];
            } else if (gain < 0) {
                open.emplace_back(gain, site);
            }
        }
        std::sort(open.begin(), open.end());
        for (const auto& [gain, site] : open)
            if (left[m_sites[site].kind]-- > 0) {
                result.bound += gain;
                result.kept.push_back(site);
            }
        return result;
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
            if (m_looks >= m_most) {
                m_stopped = true;
                m_lowest = std::min(m_lowest, floor);
                return;
            }
            ++m_looks;
            auto now = relaxed(prices);
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
            if (!follow(prices, now, scale))
                break;
        }
        const auto site = divide(top, best);
        if (site == m_sites.size())
            return;
        for (const auto state : {State::Kept, State::Out}) {
            m_state[site] = state;
            branch(best, floor, kStepsBelow);
        }
        m_state[site] = State::Free;
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

    // The free site the relaxation wants most; m_sites.size() when everything is decided.
    [[nodiscard]] std::size_t divide(const Relaxed& at, const std::vector<double>& prices) const {
        std::size_t found = m_sites.size();
        double most = std::numeric_limits<double>::infinity();
        for (const auto site : at.kept)
            if (m_state[site] == State::Free)
                if (const double gain = reduced(*m_sites[site].costs, prices); gain < most) {
                    most = gain;
                    found = site;
                }
        if (found != m_sites.size())
            return found;
        const auto left = placesLeft(keptNow());
        for (std::size_t site = 0; site < m_sites.size(); ++site)
            if (m_state[site] == State::Free && left[m_sites[site].kind] > 0)
                return site;
        return m_sites.size();
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
    std::size_t m_clients;
    std::vector<Site> m_sites;
    std::vector<State> m_state;
    Chosen m_best;
    double m_bestCost = 0;
    double m_lowest = 0; // bound of what was left when the search stopped
    long m_looks = 0;
    bool m_stopped = false;
};

} // namespace

MedianPlan planMedians(const MedianProblem& problem, long most) {
    return MedianSearch(problem, most).run();
}

} // namespace bslate
