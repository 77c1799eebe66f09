#include "core/quantity/print_gear.h"

#include "core/quantity/number_text.h"

#include <cmath>

namespace bslate {
namespace {

std::string whole(double value) {
    return fixedText(value, 0);
}

std::string twoDigits(int n) {
    return (n < 10 ? "0" : "") + std::to_string(n);
}

constexpr double kDay = 24 * 3600.0;

} // namespace

std::string print(Millimetres length) {
    return trimmed(length.value(), 1) + " mm";
}
std::string print(Metres distance) {
    if (!std::isfinite(distance.value()))
        return "\u221e";
    const double size = distance.value();
    return trimmed(size, size < 10 ? 2 : size < 100 ? 1 : 0) + " m";
}
std::string print(Degrees angle) {
    return trimmed(angle.value(), angle.value() < 10 ? 1 : 0) + "\u00b0";
}
std::string print(Celsius air) {
    return trimmed(air.value(), 1) + " \u00b0C";
}
std::string print(Hertz pulses) {
    return trimmed(pulses.value(), 1) + " Hz";
}
std::string print(Fraction share) {
    const double percent = share.value() * 100;
    return trimmed(percent, std::abs(percent) < 10 ? 2 : 1) + " %";
}
std::string print(WidthsPerSecond speed) {
    return trimmed(speed.value(), 3) + " w/s";
}
std::string print(DegreesPerSecond pan) {
    return trimmed(pan.value(), pan.value() < 10 ? 1 : 0) + "\u00b0/s";
}
std::string print(Watts power) {
    return trimmed(power.value(), 1) + " W";
}
std::string print(WattHours energy) {
    return trimmed(energy.value(), 1) + " Wh";
}
std::string print(BitsPerPixel bits) {
    return fixedText(bits.value(), bits.value() < 10 ? 2 : 1);
}
std::string print(Magnification x) {
    return trimmed(x.value(), 2);
}
std::string print(FrameSize size) {
    return std::to_string(size.width) + " \u00d7 " + std::to_string(size.height);
}

std::string printDuration(Seconds length) {
    const double seconds = length.value();
    if (!std::isfinite(seconds))
        return "\u2013";
    if (seconds < 60)
        return trimmed(std::floor(seconds * 10 + 1e-9) / 10, 1) + " s";
    const double minutes = std::floor(seconds / 60 + 1e-9);
    if (minutes < 30) {
        const double rest = std::floor(seconds - minutes * 60 + 1e-6);
        return whole(minutes) + " min" + (rest >= 1 ? " " + whole(rest) + " s" : "");
    }
    if (minutes < 100)
        return whole(minutes) + " min";
    const double hours = std::floor(minutes / 60);
    const double rest = minutes - hours * 60;
    return whole(hours) + " h" + (rest >= 1 ? " " + whole(rest) + " min" : "");
}

std::string printBytes(DataRate rate) {
    return trimmed(rate.value() / 8e6, 1) + " MB/s";
}

std::string spell(Millimetres length) {
    return exact(length.value()) + " mm";
}
std::string spell(Metres distance) {
    return exact(distance.value()) + " m";
}
std::string spell(Degrees angle) {
    return exact(angle.value()) + "\u00b0";
}
std::string spell(Celsius air) {
    return exact(air.value()) + " C";
}
std::string spell(Hertz pulses) {
    return exact(pulses.value()) + " Hz";
}
std::string spell(Fraction share) {
    const std::string number = exact(share.value());
    return number.find('.') == std::string::npos ? number + ".0" : number;
}
std::string spell(WidthsPerSecond speed) {
    return exact(speed.value()) + " w/s";
}
std::string spell(DegreesPerSecond pan) {
    return exact(pan.value()) + " deg/s";
}
std::string spell(Watts power) {
    return exact(power.value()) + " W";
}
std::string spell(WattHours energy) {
    return exact(energy.value()) + " Wh";
}
std::string spell(DataSize size) {
    const double giga = size.value() / 1e9;
    return giga * 1e9 == size.value() ? exact(giga) + " GB" : exact(size.value()) + " B";
}
std::string spell(FrameSize size) {
    return std::to_string(size.width) + "x" + std::to_string(size.height);
}
std::string spellDuration(Seconds length) {
    const double minutes = length.value() / 60;
    return minutes == std::floor(minutes) ? exact(minutes) + " min" : exact(length.value()) + " s";
}

std::string spellTimeOfDay(Seconds sinceMidnight) {
    const double ofDay = std::fmod(sinceMidnight.value(), kDay);
    const int minutes = static_cast<int>(ofDay / 60);
    const double seconds = ofDay - minutes * 60.0; // exact: both are multiples of the same unit
    const std::string clock = twoDigits(minutes / 60) + ":" + twoDigits(minutes % 60);
    return seconds == 0 ? clock : clock + ":" + (seconds < 10 ? "0" : "") + exact(seconds);
}
std::string printClock(Seconds sinceMidnight, bool roundUp) {
    if (!std::isfinite(sinceMidnight.value()))
        return "\u2013";
    const double exact = sinceMidnight.value() / 60;
    const auto minutes =
        static_cast<long>(roundUp ? std::ceil(exact - 1e-6) : std::floor(exact + 1e-6));
    const std::string clock = spellTimeOfDay(Seconds(static_cast<double>(minutes) * 60));
    return minutes >= 24 * 60 ? "+" + clock : clock;
}
std::string spellFactor(Magnification x) {
    return exact(x.value()) + "x";
}

} // namespace bslate
