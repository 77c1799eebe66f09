#pragma once

#include "core/base/result.h"
#include "core/signal/series_reading.h"

#include <array>
#include <optional>
#include <span>
#include <string>
#include <vector>

/// The readings of a series looked through before any curve is fitted. Private to signal.
namespace bslate::series {

inline constexpr double kCode = 1.0 / 1023.0; ///< of 10 bits
inline constexpr double kFlat = 2 * kCode;    ///< readings at a channel's end agree to this

/// A reading in which no channel has ended.
struct Point {
    std::size_t index;           ///< of the reading
    double stops, signal, noise; ///< noise below 0: none was given
};

[[nodiscard]] Error bad(std::string place, std::string got, std::string expected);

/// Enough readings, of finite values, over enough stops.
[[nodiscard]] Outcome checkReadings(std::span<const SeriesReading> readings);

/// Where a channel ends: the signal, the first reading that is flat and the last one below it.
struct Top {
    double signal = 0, flatFrom = 0, belowTo = 0;
};
/// None when the top of the series is not flat.
[[nodiscard]] std::optional<Top> flatTop(std::span<const SeriesReading> readings,
                                         std::size_t channel);

/// Readings of which no channel has ended, rising; the others are marked as clipped.
[[nodiscard]] std::vector<Point> unclipped(std::span<const SeriesReading> readings,
                                           const std::array<std::optional<Top>, 3>& tops,
                                           std::vector<ReadingFate>& fates);

} // namespace bslate::series
