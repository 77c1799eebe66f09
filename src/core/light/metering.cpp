#include "core/light/metering.h"

#include <cmath>
#include <numbers>

namespace bslate {

using std::numbers::pi;

Reflectance impliedReflectance(const MeterCalibration& calibration) {
    return Reflectance(pi * calibration.k / calibration.c);
}

CandelaPerM2 luminance(Lux light, Reflectance reflectance) {
    return CandelaPerM2(light.value() * reflectance.value() / pi);
}

Lux illuminance(CandelaPerM2 luminance, Reflectance reflectance) {
    return Lux(pi * luminance.value() / reflectance.value());
}

CandelaPerM2 luminanceOf(Ev ev, const MeterCalibration& calibration) {
    return CandelaPerM2(calibration.k / 100.0 * std::exp2(ev.value()));
}

Ev evOf(CandelaPerM2 luminance, const MeterCalibration& calibration) {
    return Ev(std::log2(luminance.value() * 100.0 / calibration.k));
}

Lux illuminanceOf(Ev ev, const MeterCalibration& calibration) {
    return Lux(calibration.c / 100.0 * std::exp2(ev.value()));
}

Ev evOf(Lux light, const MeterCalibration& calibration) {
    return Ev(std::log2(light.value() * 100.0 / calibration.c));
}

CandelaPerM2 luminanceOf(const LightReading& reading, Reflectance reflectance,
                         const MeterCalibration& calibration) {
    switch (reading.unit) {
    case LightUnit::CandelaPerM2:
        return CandelaPerM2(reading.value);
    case LightUnit::FootLambert:
        return CandelaPerM2(reading.value * kCandelaPerM2PerFootLambert);
    case LightUnit::Lux:
        return luminance(Lux(reading.value), reflectance);
    case LightUnit::FootCandle:
        return luminance(Lux(reading.value * kLuxPerFootCandle), reflectance);
    case LightUnit::EvReflected:
        return luminanceOf(Ev(reading.value), calibration);
    }
    return {};
}

LightReading shifted(const LightReading& reading, Stops change) {
    if (reading.unit == LightUnit::EvReflected)
        return {reading.value + change.value(), reading.unit};
    return {reading.value * ratio(change), reading.unit};
}

LightReading roundedReading(const LightReading& reading) {
    if (reading.unit == LightUnit::EvReflected)
        return {std::round(reading.value * 100) / 100, reading.unit};
    const double scale = std::pow(10.0, 3 - std::ceil(std::log10(reading.value)));
    return {std::round(reading.value * scale) / scale, reading.unit};
}

LightReading readingIn(LightUnit unit, CandelaPerM2 luminance, Reflectance reflectance,
                       const MeterCalibration& calibration) {
    switch (unit) {
    case LightUnit::CandelaPerM2:
        return {luminance.value(), unit};
    case LightUnit::FootLambert:
        return {luminance.value() / kCandelaPerM2PerFootLambert, unit};
    case LightUnit::Lux:
        return {illuminance(luminance, reflectance).value(), unit};
    case LightUnit::FootCandle:
        return {illuminance(luminance, reflectance).value() / kLuxPerFootCandle, unit};
    case LightUnit::EvReflected:
        return {evOf(luminance, calibration).value(), unit};
    }
    return {};
}

TStop tStop(FNumber geometric, double transmittance) {
    return TStop(geometric.value() / std::sqrt(transmittance));
}

Stops exposureStops(CandelaPerM2 luminance, ExposureIndex speed, Seconds time, TStop iris,
                    Stops ndLoss, const MeterCalibration& calibration) {
    const double exposure = luminance.value() * speed.value() * time.value() /
                            (calibration.k * iris.value() * iris.value());
    return Stops(std::log2(exposure)) - ndLoss;
}

} // namespace bslate
