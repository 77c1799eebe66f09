#include "core/signal/series_readings.h"

#include <algorithm>
#include <cmath>

namespace bslate::series {
namespace {

constexpr double kThird = 0.3; // stops; two readings this far apart are two

double middle(std::array<Signal, 3> rgb) {
    std::sort(rgb.begin(), rgb.end());
    return rgb[1].value();
}

} // namespace

Error bad(std::string place, std::string got, std::string expected) {
    return {ErrorCode::OutOfRange, {}, std::move(place), std::move(got), std::move(expected)};
}

Outcome checkReadings(std::span<const SeriesReading> readings) {
    if (readings.size() > kMostReadings)
        return bad({}, std::to_string(readings.size()),
                   "at most " + std::to_string(kMostReadings) + " readings");
    std::vector<double> steps;
    for (std::size_t i = 0; i < readings.size(); ++i) {
        const auto& reading = readings[i];
        bool finite = std::isfinite(reading.stops.value()) && std::abs(reading.stops.value()) < 40;
        for (const auto value : reading.rgb)
            finite = finite && std::isfinite(value.value()) && std::abs(value.value()) < 4;
        if (!finite || (reading.noise && !(reading.noise->value() >= 0)))
            return bad("reading " + std::to_string(i + 1), {},
                       "stops within 40 of mid-grey, a signal that can be recorded and noise of 0 "
                       "or more");
        steps.push_back(reading.stops.value());
    }
    std::sort(steps.begin(), steps.end());
    steps.erase(std::unique(steps.begin(), steps.end()), steps.end());
    if (steps.size() < kLeastReadings)
        return bad({}, std::to_string(steps.size()),
                   "at least " + std::to_string(kLeastReadings) + " different exposures");
    if (steps.back() - steps.front() < 3)
        return bad({}, {}, "exposures that span three stops or more");
    return Done{};
}

std::optional<Top> flatTop(std::span<const SeriesReading> readings, std::size_t channel) {
    double top = -1, lowest = 1e9, highest = -1e9;
    for (const auto& reading : readings)
        top = std::max(top, reading.rgb[channel].value());
    for (const auto& reading : readings)
        if (reading.rgb[channel].value() > top - kFlat) {
            lowest = std::min(lowest, reading.stops.value());
            highest = std::max(highest, reading.stops.value());
        }
    if (highest - lowest < kThird)
        return std::nullopt;
    Top end{top, lowest, -40};
    for (const auto& reading : readings)
        if (reading.stops.value() < lowest)
            end.belowTo = std::max(end.belowTo, reading.stops.value());
    return end;
}

std::vector<Point> unclipped(std::span<const SeriesReading> readings,
                             const std::array<std::optional<Top>, 3>& tops,
                             std::vector<ReadingFate>& fates) {
    std::vector<Point> points;
    for (std::size_t i = 0; i < readings.size(); ++i) {
        for (std::size_t c = 0; c < 3; ++c)
            if (tops[c] && readings[i].rgb[c].value() > tops[c]->signal - kFlat)
                fates[i] = ReadingFate::Clipped;
        if (fates[i] == ReadingFate::Used)
            points.push_back({i, readings[i].stops.value(), middle(readings[i].rgb),
                              readings[i].noise ? readings[i].noise->value() : -1});
    }
    std::stable_sort(points.begin(), points.end(),
                     [](const Point& a, const Point& b) { return a.stops < b.stops; });
    return points;
}

} // namespace bslate::series
