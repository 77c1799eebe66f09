#pragma once

#include "core/media/card.h"

/// Batteries in the cold, in use and on the charger.
namespace bslate {

/// Share of its energy a lithium-ion battery gives at this air temperature: all of it at 20
/// degrees and above, 80 % at 0, 50 % at -20 and below, straight between (common practice, no
/// source). It comes back when the battery warms up.
[[nodiscard]] Fraction coldFactor(Celsius ambient);

/// What a charged battery gives: `energy * usable * health * coldFactor`.
[[nodiscard]] WattHours energyAt(const Battery& battery, Celsius ambient);

/// `energy / draw`; infinite for a draw of zero.
[[nodiscard]] Seconds runTime(WattHours energy, Watts draw);

/// Share of the charger's power that ends up in the cell: common practice, no source.
inline constexpr double kChargeEfficiency = 0.85;

/// To put `used` back at `power` a bay; infinite for no power.
[[nodiscard]] Seconds chargeTime(WattHours used, Watts power);

/// A charger with its bays.
struct Charger {
    std::string id;
    std::string name;
    int bays = 1;                       ///< batteries it charges at once, [1, 100]
    Watts power{30};                    ///< for each bay, > 0
    std::vector<std::string> batteries; ///< ids it takes; empty: any
    int count = 1;
    ExtraKeys extra;
    friend bool operator==(const Charger&, const Charger&) = default;
};

/// Lithium batteries of more than this many watt-hours need the airline's leave in the cabin, and
/// over kForbiddenInAir may not fly with passengers. [IATA/ICAO technical instructions, from
/// memory: ask the airline]
inline constexpr WattHours kAskTheAirline{100};
inline constexpr WattHours kForbiddenInAir{160};

} // namespace bslate
