#include "core/frame/meters.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

double weighed(const Image& light, std::size_t at, const MeterWeights& weights) {
    return weights[0] * static_cast<double>(light.plane[0][at]) +
           weights[1] * static_cast<double>(light.plane[1][at]) +
           weights[2] * static_cast<double>(light.plane[2][at]);
}

// How much a pixel counts, by its distance from the middle in heights of the picture.
double weightOf(MeterKind kind, double away) {
    switch (kind) {
    case MeterKind::Spot:
        return away <= 0.05 ? 1 : 0;
    case MeterKind::Centre:
        return std::exp(-0.5 * (away * 3) * (away * 3));
    case MeterKind::Whole:
        break;
    }
    return 1;
}

} // namespace

CandelaPerM2 metered(const Image& light, MeterKind kind, CandelaPerM2 most,
                     const MeterWeights& weights) {
    double sum = 0, counted = 0;
    const double high = light.size.height;
    for (int y = 0; y < light.size.height; ++y)
        for (int x = 0; x < light.size.width; ++x) {
            const double away =
                std::hypot((x + 0.5 - light.size.width / 2.0) / high, (y + 0.5) / high - 0.5);
            const double weight = weightOf(kind, away);
            if (weight <= 0)
                continue;
            sum += weight * std::min(weighed(light, light.at(x, y), weights), most.value());
            counted += weight;
        }
    return CandelaPerM2(counted > 0 ? sum / counted : 0);
}

std::array<MeterReading, kMeterKinds> meterReadings(const Image& light, CandelaPerM2 middle,
                                                    CandelaPerM2 most,
                                                    const MeterWeights& weights) {
    std::array<MeterReading, kMeterKinds> readings;
    constexpr CandelaPerM2 kLeast{1e-9}; // black asks for no end of light
    for (int i = 0; i < kMeterKinds; ++i) {
        auto& reading = readings[static_cast<std::size_t>(i)];
        reading.kind = static_cast<MeterKind>(i);
        const auto all =
            std::max(kLeast, metered(light, reading.kind, CandelaPerM2(HUGE_VAL), weights));
        const auto held = std::max(kLeast, metered(light, reading.kind, most, weights));
        reading.change = stopsBetween(middle, all);
        reading.byLamps = stopsBetween(held, all);
    }
    return readings;
}

} // namespace bslate
