#pragma once

#include "core/base/extra_keys.h"
#include "core/light/colour_temperature.h"
#include "core/quantity/nd_label.h"

#include <cstdint>
#include <span>
#include <string>
#include <vector>

namespace bslate {

/// One filter the user owns (or the camera has built in).
struct Filter {
    std::string id;
    std::string name;
    NdLabel label;
    bool irCut = false;   ///< cuts infrared too, so strong stacks stay neutral
    bool builtIn = false; ///< sits in the camera: free to stack, needs no holder
    ColourShift shift;    ///< of what comes through, mired in [-500, 500], Duv in [-0.05, 0.05]
    ExtraKeys extra;

    friend bool operator==(const Filter&, const Filter&) = default;
};

/// Choice of filters by position in the user's list.
struct FilterStack {
    std::vector<std::size_t> picks; ///< ascending positions
    Stops loss{0.0};
};

/// The stack whose loss is nearest to `wanted`, of at most `holderSlots` external filters plus
/// any built-in ones. Ties go to fewer filters, then to the earlier ones. A wanted loss of zero
/// or less gives the empty stack. At most 24 filters are considered (the first ones).
[[nodiscard]] FilterStack nearestStack(std::span<const Filter> filters, Stops wanted,
                                       int holderSlots);

/// The strongest stack the holder takes.
[[nodiscard]] Stops largestLoss(std::span<const Filter> filters, int holderSlots);

/// Density from which plain ND may pass infrared and tint blacks: common practice, no source.
inline constexpr Density kInfraredDensity{1.8};

} // namespace bslate
