#pragma once

#include "core/day/day_plan.h"
#include "core/facts/setup_context.h"

#include <algorithm>

/// A day's takes, each camera's recording by itself.
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

/// The drives copies go to, one for each copy; fewer when the kit has fewer.
[[nodiscard]] std::vector<Drive> copyDrives(const Kit& kit, int copies);

/// Recorded bytes and footage of a day without planning it.
struct DayVolume {
    DataSize recorded{0};
    Seconds footage{0};
};
[[nodiscard]] DayVolume volumeOf(const Shoot& shoot, const ShootDay& day);

} // namespace bslate
