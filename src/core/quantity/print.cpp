#include "core/quantity/print.h"

#include "core/quantity/aperture_marks.h"
#include "core/quantity/number_text.h"

#include <charconv>
#include <cmath>

namespace bslate {
namespace {

// Three significant places or whole numbers: what a light meter shows.
std::string metered(double value) {
    const double size = std::abs(value);
    return trimmed(value, size >= 100 ? 0 : size >= 10 ? 1 : size >= 1 ? 2 : 3);
}

std::string_view unitText(LightUnit unit) {
    switch (unit) {
    case LightUnit::CandelaPerM2:
        return " cd/m\u00b2";
    case LightUnit::FootLambert:
        return " fL";
    case LightUnit::Lux:
        return " lx";
    case LightUnit::FootCandle:
        return " fc";
    case LightUnit::EvReflected:
        return "";
    }
    return "";
}

std::string aperture(double value) {
    const auto mark = markOf(value);
    return mark.empty() ? trimmed(value, 2) : std::string(mark);
}

// As engraved: one decimal, and more where the filter needs them (0.45, 0.15).
std::string densityText(double density) {
    const std::string text = trimmed(density, 3);
    return text.find('.') == std::string::npos ? text + ".0" : text;
}

// True when 1/n with whole n prints this time.
bool isUnitFraction(double seconds, double& n) {
    n = std::round(1.0 / seconds);
    return n >= 2 && std::abs(1.0 / n - seconds) < 1e-12;
}

// A time between 1/n marks prints as 1/n.n when short; people read shutter times as fractions.
std::string timeText(double seconds) {
    double n = 0;
    if (isUnitFraction(seconds, n))
        return "1/" + fixedText(n, 0) + " s";
    if (seconds < 0.5)
        return "1/" + trimmed(1.0 / seconds, 1) + " s";
    return trimmed(seconds, 2) + " s";
}

} // namespace

std::string print(Stops stops) {
    const auto text = fixedText(stops.value(), 1);
    const bool zero = text.find_first_of("123456789") == std::string::npos;
    return (stops.value() > 0 && !zero) ? "+" + text : text;
}
std::string printPlain(Stops stops) {
    return fixedText(std::abs(stops.value()), 1);
}
std::string print(Seconds time) {
    return timeText(time.value());
}
std::string print(TStop iris) {
    return "T" + aperture(iris.value());
}
std::string print(FNumber iris) {
    return "f/" + aperture(iris.value());
}
std::string print(ShutterAngle angle) {
    return trimmed(angle.value(), 1) + "\u00b0";
}
std::string print(const Shutter& shutter) {
    return std::visit([](auto set) { return print(set); }, shutter);
}
std::string print(FrameRate rate) {
    return trimmed(rate.toDouble(), rate.toDouble() < 50 ? 3 : 2);
}
std::string print(ExposureIndex ei) {
    return trimmed(ei.value(), 0);
}
std::string print(const LightReading& reading) {
    if (reading.unit == LightUnit::EvReflected)
        return "EV " + trimmed(reading.value, 1);
    return metered(reading.value) + std::string(unitText(reading.unit));
}
std::string print(CandelaPerM2 luminance) {
    return print(LightReading{luminance.value(), LightUnit::CandelaPerM2});
}
std::string print(Lux light) {
    return print(LightReading{light.value(), LightUnit::Lux});
}
std::string print(const NdLabel& label) {
    switch (label.tradition) {
    case NdTradition::Density:
        return "ND" + densityText(label.value);
    case NdTradition::Factor:
        // A point after ND would read as a density.
        return label.value == std::round(label.value) ? "ND" + trimmed(label.value, 0)
                                                      : trimmed(label.value, 2) + "x";
    case NdTradition::Stops:
        return trimmed(label.value, 2) + (label.value == 1 ? " stop" : " stops");
    }
    return {};
}
std::string print(DataRate rate) {
    const double mega = rate.value() / 1e6;
    return mega >= 10000 ? trimmed(mega / 1000, 1) + " Gb/s" : trimmed(mega, 1) + " Mb/s";
}
std::string print(DataSize size) {
    const double giga = size.value() / 1e9;
    if (giga >= 1000)
        return trimmed(giga / 1000, 2) + " TB";
    return giga < 0.9995 ? trimmed(giga * 1000, 0) + " MB" : trimmed(giga, 1) + " GB";
}
std::string print(Kelvin white) {
    return fixedText(white.value(), 0) + " K";
}
std::string print(Mired shift) {
    return fixedText(std::abs(shift.value()), 0) + " mired";
}
std::string print(Duv offset) {
    const std::string text = fixedText(offset.value(), 3);
    return (text.starts_with('-') ? "" : "+") + text;
}
std::string print(Reflectance share) {
    return trimmed(share.value() * 100, 1) + " %";
}
std::string print(Level level) {
    return fixedText(level.value(), 0) + " %";
}
std::string print(Decibels ratio) {
    return std::isinf(ratio.value()) ? "no loss" : fixedText(ratio.value(), 1) + " dB";
}

std::string spell(Stops stops) {
    return exact(stops.value()) + " stops";
}
std::string spell(TStop iris) {
    for (const auto& mark : apertureMarks())
        if (mark.exact == iris.value())
            return "T" + std::string(mark.label);
    return "T" + exact(iris.value());
}
std::string spell(FNumber iris) {
    const auto t = spell(TStop(iris.value()));
    return "f/" + t.substr(1);
}

std::string spell(const Shutter& shutter) {
    if (const auto* angle = std::get_if<ShutterAngle>(&shutter))
        return exact(angle->value()) + "\u00b0";
    const double seconds = std::get<Seconds>(shutter).value();
    const double n = std::round(1.0 / seconds);
    if (n >= 2 && 1.0 / n == seconds)
        return "1/" + exact(n) + " s";
    return exact(seconds) + " s";
}
std::string spell(FrameRate rate) {
    const auto fraction = rate.perSecond;
    std::string text = std::to_string(fraction.numerator());
    return fraction.denominator() == 1 ? text : text + "/" + std::to_string(fraction.denominator());
}
std::string spell(ExposureIndex ei) {
    return exact(ei.value());
}
std::string spell(const LightReading& reading) {
    if (reading.unit == LightUnit::EvReflected)
        return "EV " + exact(reading.value);
    return exact(reading.value) + (reading.unit == LightUnit::CandelaPerM2
                                       ? " cd/m2"
                                       : std::string(unitText(reading.unit)));
}
std::string spell(const NdLabel& label) {
    std::string number = exact(label.value);
    switch (label.tradition) {
    case NdTradition::Density:
        if (number.find('.') == std::string::npos)
            number += ".0";
        return "ND" + number;
    case NdTradition::Factor:
        return number + "x";
    case NdTradition::Stops:
        return number + " stops";
    }
    return {};
}
std::string spell(DataRate rate) {
    const double mega = rate.value() / 1e6;
    return mega * 1e6 == rate.value() ? exact(mega) + " Mb/s" : exact(rate.value()) + " b/s";
}
std::string spell(Kelvin white) {
    return exact(white.value()) + "K";
}
std::string spell(Reflectance share) {
    return spell(Fraction(share.value()));
}

} // namespace bslate
