#pragma once

#include "core/quantity/quantities.h"

namespace bslate {

/// The three traditions of marking a neutral-density filter.
enum class NdTradition { Density, Factor, Stops };

/// A filter's mark kept in its own tradition: density 0.9, factor 8 and 3 stops are nearly but
/// not exactly the same filter (2.990, 3 and 3 stops).
struct NdLabel {
    NdTradition tradition = NdTradition::Density;
    double value = 0.0; ///< density >= 0, factor >= 1, or stops >= 0

    friend bool operator==(const NdLabel&, const NdLabel&) = default;
};

/// Light lost: D / log10(2) for a density (ISO 5 optical density, 10^-D passes), log2 of a
/// factor, the value itself for stops.
[[nodiscard]] Stops lossOf(const NdLabel& label);

/// True for a whole factor that hardly any filter has: ND3 or ND6, where a density or stops may
/// have been meant. Factors of usual filters are powers of two, and from 10 up.
[[nodiscard]] bool isUnusualFactor(const NdLabel& label);

/// log10(2) * stops.
[[nodiscard]] Density densityOf(Stops loss);

} // namespace bslate
