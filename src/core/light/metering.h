#pragma once

#include "core/quantity/light_reading.h"
#include "core/quantity/quantities.h"

namespace bslate {

/// Meter calibration constants of ISO 2720:1974: `N^2/t = L*S/K` reflected, `N^2/t = E*S/C`
/// incident. Valid: both > 0. Usual: K 12.5 or 14, C 250 (flat) or 330-340 (dome).
struct MeterCalibration {
    double k = 12.5;
    double c = 250.0;
    friend bool operator==(const MeterCalibration&, const MeterCalibration&) = default;
};

/// The reflectance a meter with these constants takes for the middle: pi * K / C, 15.7 % for
/// 12.5/250 and 17.6 % for 14/250. It is not 18 %; grey-card stops differ by that much.
[[nodiscard]] Reflectance impliedReflectance(const MeterCalibration& calibration);

/// L = E * rho / pi of a diffuse (Lambertian) surface.
[[nodiscard]] CandelaPerM2 luminance(Lux light, Reflectance reflectance);
/// E = pi * L / rho.
[[nodiscard]] Lux illuminance(CandelaPerM2 luminance, Reflectance reflectance);

/// L = (K / 100) * 2^EV at ISO 100; 0.125 * 2^EV with K 12.5 (ISO 2720).
[[nodiscard]] CandelaPerM2 luminanceOf(Ev ev, const MeterCalibration& calibration);
[[nodiscard]] Ev evOf(CandelaPerM2 luminance, const MeterCalibration& calibration);
/// E = (C / 100) * 2^EV at ISO 100; 2.5 * 2^EV with C 250.
[[nodiscard]] Lux illuminanceOf(Ev ev, const MeterCalibration& calibration);
[[nodiscard]] Ev evOf(Lux light, const MeterCalibration& calibration);

/// 1 fc = 10.7639 lx and 1 fL = 3.42626 cd/m2 (one lumen a square foot of 0.3048 m).
inline constexpr double kLuxPerFootCandle = 1.0 / (0.3048 * 0.3048);
inline constexpr double kCandelaPerM2PerFootLambert = kLuxPerFootCandle / 3.14159265358979323846;

/// The luminance a reading stands for. Reflectance is used by illuminance readings only.
[[nodiscard]] CandelaPerM2 luminanceOf(const LightReading& reading, Reflectance reflectance,
                                       const MeterCalibration& calibration);

/// The reading of the same subject after its light changed by `change`, in the same unit.
[[nodiscard]] LightReading shifted(const LightReading& reading, Stops change);

/// The reading to the three significant digits a meter shows (EV to a hundredth).
[[nodiscard]] LightReading roundedReading(const LightReading& reading);

/// The reading in another unit for the same luminance.
[[nodiscard]] LightReading readingIn(LightUnit unit, CandelaPerM2 luminance,
                                     Reflectance reflectance, const MeterCalibration& calibration);

/// T = N / sqrt(transmittance), transmittance in (0, 1].
[[nodiscard]] TStop tStop(FNumber geometric, double transmittance);

/// `log2(L * S * t / (K * T^2)) - ND`: 0 where a reflected meter set to S would put the patch.
/// With S the base ISO this is `sensor_stops`. Luminance, time and speed must be positive.
[[nodiscard]] Stops exposureStops(CandelaPerM2 luminance, ExposureIndex speed, Seconds time,
                                  TStop iris, Stops ndLoss, const MeterCalibration& calibration);

} // namespace bslate
