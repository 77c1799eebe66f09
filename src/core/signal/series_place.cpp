#include "core/signal/series_place.h"

#include <algorithm>
#include <cmath>

namespace bslate {

std::vector<SeriesReading> placedOn(const Curve& nominal, std::vector<SeriesReading> readings) {
    // Neither lifted by flare and noise nor near the end.
    constexpr Stops kLowest{-3}, kUnderTheEnd{1};
    const Stops end = endStops(nominal, BitDepth{10}) - kUnderTheEnd;
    std::vector<double> off;
    for (const auto& reading : readings) {
        auto middle = reading.rgb;
        std::sort(middle.begin(), middle.end());
        const auto light = decode(nominal, middle[1]);
        if (!(light.value() > 0))
            continue;
        const Stops stops = stopsOf(light);
        if (stops >= kLowest && stops <= end)
            off.push_back((stops - reading.stops).value());
    }
    if (off.empty())
        return readings;
    std::sort(off.begin(), off.end());
    const std::size_t half = off.size() / 2;
    const Stops shift(off.size() % 2 == 1 ? off[half] : (off[half - 1] + off[half]) / 2);
    for (auto& reading : readings)
        reading.stops = Stops(std::round((reading.stops + shift).value() * 1e4) / 1e4);
    return readings;
}

Result<PlacedFit> fitPlaced(std::vector<SeriesReading> readings, bool relative, CodeRange range,
                            const Curve& nominal, double snr) {
    if (relative)
        readings = placedOn(nominal, std::move(readings));
    auto fitted = fitSeries(readings, range, nominal, snr);
    if (!fitted)
        return fitted.error();
    SeriesFit fit = *std::move(fitted);
    fit.relative = relative;
    if (relative)
        fit.shift = Stops(0);
    return PlacedFit{std::move(readings), std::move(fit)};
}

} // namespace bslate
