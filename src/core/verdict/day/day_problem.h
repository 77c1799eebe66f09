#pragma once

#include "core/verdict/day/day_plan.h"
#include "core/verdict/setup_context.h"

/// A day's cards and batteries put as carrier problems. Private to verdict/day.
namespace bslate {

/// A take of one setup, resolved.
struct Roll {
    int take = 0;
    Seconds start{0}, end{0};
    bool whole = false;
    SetupContext context;
    DataRate rate{0}; ///< written, before a slot lowers it
    DataRate peak{0};
    const Take* planned = nullptr;
};

struct DayRolls {
    std::vector<DayTake> takes;
    std::vector<Roll> rolls; ///< in the order of time
    std::vector<std::string> incomplete;
};
[[nodiscard]] DayRolls rollsOf(const Shoot& shoot, const ShootDay& day);

/// More readers or charger bays than this never help.
inline constexpr std::size_t kMostServers = 64;
/// More units of a kind than recordings, twice for second slots, are never used; a few are always
/// shown.
[[nodiscard]] inline int mostUnits(const DayRolls& rolls) {
    return std::max(12, 2 * static_cast<int>(rolls.rolls.size()));
}

/// Cards with lanes, pins, failures and readers; everything but the plan.
[[nodiscard]] DayCarriers cardsOf(const Shoot& shoot, const ShootDay& day, const DayRolls& rolls);
/// Batteries likewise. Takes on external power, and cameras of unknown draw, need none.
[[nodiscard]] DayCarriers batteriesOf(const Shoot& shoot, const DayRolls& rolls);

/// The drives copies go to, one for each copy; fewer when the kit has fewer.
[[nodiscard]] std::vector<Drive> copyDrives(const Kit& kit, int copies);

} // namespace bslate
