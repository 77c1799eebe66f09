#include "core/schedule/carrier_tables.h"

#include <algorithm>
#include <limits>
#include <numeric>

namespace bslate {

CarrierTables::CarrierTables(const CarrierProblem& of)
    : problem(of)
    , failsAt(static_cast<std::size_t>(of.unitCount()), std::numeric_limits<double>::infinity())
    , bySize(of.kinds.size()) {
    kindOf.reserve(failsAt.size());
    for (std::size_t kind = 0; kind < of.kinds.size(); ++kind) {
        firstUnit.push_back(static_cast<int>(kindOf.size()));
        kindOf.insert(kindOf.end(), static_cast<std::size_t>(of.kinds[kind].count),
                      static_cast<int>(kind));
    }
    firstUnit.push_back(static_cast<int>(kindOf.size()));
    for (const auto& fault : of.faults)
        if (fault.unit >= 0 && static_cast<std::size_t>(fault.unit) < failsAt.size()) {
            auto& at = failsAt[static_cast<std::size_t>(fault.unit)];
            at = std::min(at, fault.at.value());
        }
    std::iota(bySize.begin(), bySize.end(), 0);
    std::stable_sort(bySize.begin(), bySize.end(),
                     [&](int a, int b) { return capacity(a) > capacity(b); });
}

} // namespace bslate
