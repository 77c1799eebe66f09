#pragma once

#include "core/base/compiled_once.h"
#include "core/schedule/carrier_plan.h"
#include "core/shoot/shoot.h"

#include <optional>
#include <string>
#include <vector>

/// A day worked out: when each take runs, which card and which battery is in which camera, when
/// they are copied and charged, and when everything is safe. Times count from the day's midnight.
namespace bslate {

struct DayTake {
    std::string id;
    std::string title; ///< "4A+4B", the numbers of its setups
    std::string name;
    std::vector<std::string> setups; ///< ids
    Seconds start{0}, end{0};
    bool whole = false;
    bool done = false; ///< it really ran
    friend bool operator==(const DayTake&, const DayTake&) = default;
};

/// What a lane of a carrier problem stands for, and its demands.
struct DayLane {
    std::string camera;              ///< id
    std::string title;               ///< name of the camera
    std::string place;               ///< "card in CFexpress slot", "battery"
    bool second = false;             ///< the copy in the second slot
    std::vector<int> takes;          ///< by demand: index of the take
    std::vector<std::string> setups; ///< by demand: id
    std::vector<DataRate> rates;     ///< by demand: what is written; cards only
    friend bool operator==(const DayLane&, const DayLane&) = default;
};

/// Cards, or batteries, of a day.
struct DayCarriers {
    CarrierProblem problem;
    CarrierPlan plan;
    std::vector<DayLane> lanes;          ///< as in the problem
    std::vector<std::string> unitIds;    ///< "sd-v60:2", by unit
    std::vector<std::string> unitLabels; ///< "S2", short enough for a block
    std::vector<std::string> unitNames;  ///< "SD V60 128 GB 2"
    std::vector<std::string> servers;    ///< names of readers or charger bays

    /// The unit with this id, or -1.
    [[nodiscard]] int unitOf(std::string_view id) const;
    BSLATE_COMPILED_ONCE(DayCarriers);
};

struct DayPlan {
    int day = 1;
    Seconds start{0}; ///< of the day, or of a first take that began before it
    std::vector<DayTake> takes;
    DayCarriers cards, power;
    std::vector<std::string> incomplete; ///< numbers of setups that cannot be worked out

    DataSize recorded{0};        ///< today, each recording once
    Seconds footage{0};          ///< today, each camera's
    int copies = 2;              ///< wanted
    int copiesPossible = 2;      ///< drives for them
    std::optional<Seconds> safe; ///< everything copied and checked; none: it never is
    DataSize projectBytes{0};    ///< of all days, each recording once
    Seconds projectFootage{0};
    DataSize storageShort{0}; ///< what the drives do not hold of it

    [[nodiscard]] bool optimal() const { return cards.plan.optimal && power.plan.optimal; }
    BSLATE_COMPILED_ONCE(DayPlan);
};

/// A camera waits at most this long for the next take before somebody switches it off, and its
/// battery runs so long: common practice, no source.
inline constexpr Seconds kStaysOn{600};
/// To change a card or a battery and check that it records: common practice, no source.
inline constexpr Seconds kChangeTime{60};

} // namespace bslate
