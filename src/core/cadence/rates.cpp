#include "core/cadence/rates.h"

#include <array>
#include <cmath>

namespace bslate {

std::span<const FrameRate> standardRates() {
    static constexpr std::array rates = {
        FrameRate{Rational(24000, 1001)},  FrameRate{Rational(24, 1)}, FrameRate{Rational(25, 1)},
        FrameRate{Rational(30000, 1001)},  FrameRate{Rational(30, 1)}, FrameRate{Rational(50, 1)},
        FrameRate{Rational(60000, 1001)},  FrameRate{Rational(60, 1)}, FrameRate{Rational(100, 1)},
        FrameRate{Rational(120000, 1001)}, FrameRate{Rational(120, 1)}};
    return rates;
}

Fraction playbackSpeed(FrameRate capture, FrameRate base) {
    return Fraction(base.toDouble() / capture.toDouble());
}

Seconds onScreen(Seconds length, FrameRate capture, FrameRate base) {
    return length * (capture.toDouble() / base.toDouble());
}

std::int64_t framesIn(Seconds length, FrameRate rate) {
    return static_cast<std::int64_t>(std::floor(length.value() * rate.toDouble() + 1e-9));
}

bool isNearMiss(FrameRate a, FrameRate b) {
    return a != b && std::abs(a.toDouble() / b.toDouble() - 1) < 0.002;
}

Seconds driftAnHour(FrameRate a, FrameRate b) {
    return Seconds(3600 * std::abs(b.toDouble() / a.toDouble() - 1));
}

} // namespace bslate
