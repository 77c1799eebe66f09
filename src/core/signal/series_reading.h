#pragma once

#include "core/quantity/quantities.h"

#include <array>
#include <cstddef>
#include <optional>

namespace bslate {

/// One frame of the series: the exposure given, what the channels read, and how much they scatter.
struct SeriesReading {
    Stops stops; ///< from the exposure that should put the card on mid-grey
    std::array<Signal, 3> rgb{};
    std::optional<Signal> noise; ///< standard deviation of the patch
    friend bool operator==(const SeriesReading&, const SeriesReading&) = default;
};

enum class ReadingFate {
    Used,
    Outlier, ///< far off what its neighbours say; left out
    Clipped  ///< at least one channel is at its end; left out
};

inline constexpr std::size_t kLeastReadings = 6;
inline constexpr std::size_t kMostReadings = 2000;

} // namespace bslate
