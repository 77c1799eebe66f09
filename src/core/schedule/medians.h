#pragma once

#include "core/base/keep_going.h"

#include <cstddef>
#include <vector>

/// Which of many things to keep ready in a few places, so that everybody is served cheapest: what a
/// camera's few banks hold, for all setups of a shoot. A p-median problem with places of several
/// kinds.
namespace bslate {

/// Places that are alike; each keeps one thing.
struct MedianKind {
    int places = 1;                         ///< >= 0
    std::vector<std::vector<double>> costs; ///< [thing][client], all >= 0 and finite
};

struct MedianProblem {
    std::vector<double> without; ///< by client: what it costs with no place at all
    std::vector<MedianKind> kinds;
    double grain = 0; ///< all costs are multiples of it; 0: they are not
};

/// A thing kept in a place of a kind.
struct Kept {
    std::size_t kind = 0, thing = 0;
    friend bool operator==(const Kept&, const Kept&) = default;
};

struct MedianPlan {
    std::vector<Kept> kept;  ///< those that serve somebody, by kind and thing
    std::vector<int> served; ///< by client: into kept, or -1; a place where it costs as little
    double cost = 0;
    double atLeast = 0; ///< nothing can be cheaper
    bool proven = false;
    long looks = 0; ///< steps of the search, which counts them and never time
};

/// Branch and bound over what is kept, pruned by the Lagrangean relaxation of "everybody is served"
/// (Fisher 1981; Cornuejols, Fisher, Nemhauser 1977), its multipliers moved along subgradients.
/// Stops after `most` looks with the best it has and the bound that holds by then. The same
/// problem gives the same plan everywhere. `keepGoing` is asked now and then, and stops it as well.
[[nodiscard]] MedianPlan planMedians(const MedianProblem& problem, long most = 20000,
                                     const KeepGoing& keepGoing = {});

} // namespace bslate
