#pragma once

#include "core/facts/body_settings.h"
#include "core/shoot/shoot.h"

#include <array>
#include <bitset>
#include <optional>
#include <string>
#include <vector>

/// What one camera has to do on its days: its setups with everything that is set for them, in the
/// order they come up.
namespace bslate {

using SettingSet = std::bitset<kBodySettings>;

[[nodiscard]] inline bool has(const SettingSet& set, BodySetting setting) {
    return set[static_cast<std::size_t>(setting)];
}

/// A setup that can be evaluated.
struct WorkSetup {
    std::string id, number, name;
    std::string scene; ///< id
    BodySettings settings;
    /// Small numbers for the texts of a setting, equal where they are; -1 where there is none.
    std::array<int, kBodySettings> values{};
};

/// One setup coming up, once or for some takes in a row.
struct Visit {
    int day = 1;
    std::size_t setup = 0;              ///< into CameraWork::setups
    std::optional<std::size_t> after{}; ///< the setup before it; none for the first
    SettingSet slipped{};               ///< what does not stay from there to here
    SettingSet arrived{};               ///< what slips to the value that is wanted here
    SettingSet found{};                 ///< of the first: what is known to be set already
};

/// How often hands turn something in all visits.
struct Turns {
    std::array<int, kBodySettings> byHand{}; ///< by setting
    int recalls = 0;                         ///< of a bank
    friend bool operator==(const Turns&, const Turns&) = default;
};

struct CameraWork {
    std::string camera, name;            ///< id and name
    std::vector<WorkSetup> setups;       ///< in the shoot's order
    std::vector<Visit> visits;           ///< in the order of the days; every setup has one at least
    std::vector<std::string> incomplete; ///< numbers of setups that cannot be worked out
};

/// Takes that are planned come in their order; setups without one on the day of their scene, by its
/// hour, else in the shoot's order.
[[nodiscard]] CameraWork workOf(const Shoot& shoot, const Camera& camera);

} // namespace bslate
