#include "core/light/described.h"

#include <cmath>

namespace bslate {

LuxRange luxOf(DescribedLight light) {
    constexpr std::string_view daylight =
        "IES Lighting Handbook, 10th ed., daylight on the ground (from memory)";
    constexpr std::string_view practice = "common practice, no source";
    switch (light) {
    case DescribedLight::DirectSun:
        return {Lux(50000), Lux(110000), daylight};
    case DescribedLight::HazySun:
        return {Lux(20000), Lux(50000), practice};
    case DescribedLight::Overcast:
        return {Lux(2000), Lux(20000), daylight};
    case DescribedLight::OpenShade:
        return {Lux(5000), Lux(20000), practice};
    case DescribedLight::Dusk:
        return {Lux(3.4), Lux(400),
                "Explanatory Supplement to the Astronomical Almanac, civil twilight to sunset "
                "(from memory)"};
    case DescribedLight::NightStreet:
        return {Lux(2), Lux(20), "EN 13201-2:2015, classes P and C, maintained lux (from memory)"};
    case DescribedLight::Office:
        return {Lux(300), Lux(750), "EN 12464-1:2021, offices, maintained lux (from memory)"};
    case DescribedLight::Domestic:
        return {Lux(50), Lux(200), practice};
    case DescribedLight::Candle:
        return {Lux(1), Lux(11.1),
                "inverse square of one candela, 1 m to 0.3 m (definition of the lux)"};
    }
    return {Lux(300), Lux(750), practice};
}

Lux middleOf(const LuxRange& range) {
    return Lux(std::sqrt(range.low.value() * range.high.value()));
}

Stops uncertaintyOf(const LuxRange& range) {
    return stopsBetween(range.high, range.low) * 0.5;
}

} // namespace bslate
