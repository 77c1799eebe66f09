#pragma once

namespace bslate {

/// The units a light meter gives. Luminance and EV are read off the subject; illuminance is
/// read at the subject and needs its reflectance to become a luminance.
enum class LightUnit { CandelaPerM2, FootLambert, Lux, FootCandle, EvReflected };

/// A metered value kept in the unit it was typed in, so that it is shown back unchanged.
/// Valid: finite; > 0 for all units except EvReflected, which may be negative.
struct LightReading {
    double value = 26.0;
    LightUnit unit = LightUnit::CandelaPerM2;

    friend bool operator==(const LightReading&, const LightReading&) = default;
};

} // namespace bslate
