#include "core/light/sensor.h"

#include <algorithm>
#include <cmath>

namespace bslate {

Electrons signalAt(const SensorModel& sensor, Stops s) {
    const double electrons = sensor.fullWell.value() * ratio(s - sensor.clip);
    return Electrons(std::min(electrons, sensor.fullWell.value()));
}

double snrAt(const SensorModel& sensor, Stops s) {
    const double n = signalAt(sensor, s).value();
    const double read = sensor.readNoise.value();
    const double uneven = sensor.prnu * n;
    return n / std::sqrt(n + read * read + uneven * uneven);
}

Electrons floorSignal(const SensorModel& sensor, double snr) {
    // n^2 = q (n + r^2 + p^2 n^2), q = snr^2, solved for the positive root.
    const double q = snr * snr;
    const double lead = 1.0 - q * sensor.prnu * sensor.prnu;
    if (lead <= 0)
        return sensor.fullWell;
    const double read = sensor.readNoise.value();
    const double n = (q + std::sqrt(q * q + 4.0 * lead * q * read * read)) / (2.0 * lead);
    return Electrons(std::min(n, sensor.fullWell.value()));
}

Stops noiseFloor(const SensorModel& sensor, double snr) {
    return sensor.clip - dynamicRange(sensor, snr);
}

Stops dynamicRange(const SensorModel& sensor, double snr) {
    return stopsBetween(sensor.fullWell, floorSignal(sensor, snr));
}

} // namespace bslate
