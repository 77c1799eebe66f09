#include "core/light/filters.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

constexpr std::size_t kMostFilters = 24;
constexpr double kTie = 1e-9;

// Depth-first walk over subsets; the holder keeps them small.
class StackSearch {
public:
    StackSearch(std::span<const Filter> filters, Stops wanted, int holderSlots)
        : m_filters(filters.first(std::min(filters.size(), kMostFilters)))
        , m_wanted(wanted)
        , m_slots(holderSlots) {
        for (const auto& filter : m_filters)
            m_losses.push_back(lossOf(filter.label));
    }

    FilterStack run() {
        visit(0, {}, 0);
        return m_best;
    }

private:
    void visit(std::size_t from, const FilterStack& stack, int external) {
        consider(stack);
        if ((stack.loss - m_wanted).value() > miss(m_best))
            return; // already overshoots by more than the best; adding only darkens
        for (std::size_t i = from; i < m_filters.size(); ++i) {
            const int used = external + (m_filters[i].builtIn ? 0 : 1);
            if (used > m_slots)
                continue;
            FilterStack next = stack;
            next.picks.push_back(i);
            next.loss += m_losses[i];
            visit(i + 1, next, used);
        }
    }

    [[nodiscard]] double miss(const FilterStack& stack) const {
        return std::abs((stack.loss - m_wanted).value());
    }

    void consider(const FilterStack& stack) {
        const double difference = miss(stack) - miss(m_best);
        const bool nearer = difference < -kTie;
        const bool simpler =
            std::abs(difference) <= kTie && stack.picks.size() < m_best.picks.size();
        if (nearer || simpler)
            m_best = stack;
    }

    std::span<const Filter> m_filters;
    std::vector<Stops> m_losses;
    Stops m_wanted;
    int m_slots;
    FilterStack m_best;
};

} // namespace

FilterStack nearestStack(std::span<const Filter> filters, Stops wanted, int holderSlots) {
    if (wanted <= Stops(0.0))
        return {};
    return StackSearch(filters, wanted, holderSlots).run();
}

Stops largestLoss(std::span<const Filter> filters, int holderSlots) {
    Stops total{0.0};
    std::vector<double> external;
    for (const auto& filter : filters) {
        const Stops loss = lossOf(filter.label);
        if (filter.builtIn)
            total += loss;
        else
            external.push_back(loss.value());
    }
    std::sort(external.rbegin(), external.rend());
    for (std::size_t i = 0; i < external.size() && static_cast<int>(i) < holderSlots; ++i)
        total += Stops(external[i]);
    return total;
}

} // namespace bslate
