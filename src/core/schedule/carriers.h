#pragma once

#include "core/quantity/quantities.h"

#include <array>
#include <cstdint>
#include <optional>
#include <string>
#include <vector>

/// Things that are used up while somebody records and are renewed afterwards: cards that fill and
/// are copied, batteries that run down and are charged. Both are the same question: which one goes
/// where, when is it changed, and is it back in time.
///
/// All times are seconds from one common zero. Amounts are bytes or watt-hours, one of them
/// throughout a problem.
namespace bslate {

namespace tag {
struct Fill : Additive {};
} // namespace tag
using Fill = Quantity<tag::Fill>; ///< what a carrier holds or gives
/// Relative to an amount or capacity: both are sums of doubles.
inline constexpr double kFillSlack = 1e-9;

/// Bit k stands for kind k.
using KindSet = std::uint64_t;
inline constexpr std::size_t kMostKinds = 64;
inline constexpr int kMostUnits = 1000;

/// Carriers that are alike.
struct CarrierKind {
    std::string id;
    Fill capacity{0}; ///< > 0
    int count = 1;    ///< units of it, numbered one after the other through all kinds
    /// To renew a full one where the server says nothing of its own; part of it in proportion.
    /// Infinite: it never comes back today.
    Seconds renewFull{0};
    friend bool operator==(const CarrierKind&, const CarrierKind&) = default;
};

/// What is known of one unit beyond its kind.
struct CarrierFault {
    int unit = 0;
    Seconds at{0}; ///< of no use to anything that ends later
    friend bool operator==(const CarrierFault&, const CarrierFault&) = default;
};

/// One stretch of recording of one lane.
struct Demand {
    Seconds start{0}, end{1};          ///< end > start
    Fill amount{0};                    ///< >= 0
    bool whole = false;                ///< must not be interrupted for a change
    int event = 0;                     ///< the caller's own number for it
    std::array<KindSet, 2> kinds{};    ///< what each bay may hold here
    std::array<int, 2> pinned{-1, -1}; ///< the unit each bay must hold here; -1: any
    friend bool operator==(const Demand&, const Demand&) = default;
};

inline constexpr int kMostBays = 2;

/// A place that holds carriers in use: a slot, two slots recording one after the other, a battery
/// plate. Demands rise in time and do not overlap.
struct CarrierLane {
    std::string id;
    int bays = 1; ///< 1 or 2; with 2 the second goes on without a break when the first is used up
    std::vector<Demand> demands;
    friend bool operator==(const CarrierLane&, const CarrierLane&) = default;
};

/// Renews one carrier at a time: a reader, a bay of a charger.
struct RenewServer {
    KindSet kinds = 0;
    std::vector<Seconds> full = {}; ///< by kind: to renew a full one here; empty: as the kind says
    friend bool operator==(const RenewServer&, const RenewServer&) = default;
};

struct CarrierProblem {
    std::vector<CarrierKind> kinds; ///< at most kMostKinds
    std::vector<CarrierLane> lanes;
    std::vector<RenewServer> servers; ///< none: what is used stays used
    std::vector<CarrierFault> faults;
    Seconds change{60}; ///< a gap shorter than this has no time for a change
    double reserve = 0; ///< to be left after a whole demand, as a share of its amount; >= 0

    [[nodiscard]] int unitCount() const;      ///< at most kMostUnits, for plans within a second
    [[nodiscard]] int kindOf(int unit) const; ///< precondition: 0 <= unit < unitCount()
    friend bool operator==(const CarrierProblem&, const CarrierProblem&) = default;
};

} // namespace bslate
