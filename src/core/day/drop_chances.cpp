#include "core/day/drop_chances.h"

#include <algorithm>

namespace bslate {
namespace {
constexpr std::size_t kMostKnown = 256;
} // namespace

Fraction DropChances::of(const WriteLoad& load, const CardBehaviour& card) {
    const auto found = std::find_if(m_known.begin(), m_known.end(), [&](const Known& known) {
        return known.load == load && known.card == card;
    });
    if (found != m_known.end())
        return found->chance;
    if (m_known.size() >= kMostKnown)
        m_known.clear();
    const auto chance = simulateWriting(load, card, Seconds(20 * 3600.0), 1).dropChance;
    m_known.push_back({load, card, chance});
    return chance;
}

} // namespace bslate
