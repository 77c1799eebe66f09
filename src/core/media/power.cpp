#include "core/media/power.h"

#include <algorithm>
#include <limits>

namespace bslate {

Fraction coldFactor(Celsius ambient) {
    const double t = std::clamp(ambient.value(), -20.0, 20.0);
    return Fraction(t >= 0 ? 0.8 + 0.2 * t / 20 : 0.8 + 0.3 * t / 20);
}

WattHours energyAt(const Battery& battery, Celsius ambient) {
    return battery.energy * (battery.usable * battery.health * coldFactor(ambient).value());
}

Seconds runTime(WattHours energy, Watts draw) {
    if (!(draw.value() > 0))
        return Seconds(std::numeric_limits<double>::infinity());
    return Seconds(energy.value() / draw.value() * 3600);
}

Seconds chargeTime(WattHours used, Watts power) {
    return runTime(used, power * kChargeEfficiency);
}

} // namespace bslate
