#pragma once

#include "core/quantity/quantities.h"

#include <string>

/// Writing quantities of optics, media, power and planning; what print.h says holds here too.
namespace bslate {

[[nodiscard]] std::string print(Millimetres length); ///< `35 mm`, `25.6 mm`
[[nodiscard]] std::string print(Metres distance);    ///< `1.86 m`, `35.8 m`, `120 m`
[[nodiscard]] std::string print(Degrees angle);      ///< `54°`, `39.6°` under 10 with a decimal
[[nodiscard]] std::string print(Celsius air);        ///< `35 °C`
[[nodiscard]] std::string print(Hertz pulses);       ///< `400 Hz`
[[nodiscard]] std::string print(Fraction share);     ///< `3.95 %`
[[nodiscard]] std::string print(WidthsPerSecond speed); ///< `0.25 w/s`
[[nodiscard]] std::string print(DegreesPerSecond pan);  ///< `7.7°/s`
[[nodiscard]] std::string print(Watts power);           ///< `21 W`, `7.5 W`
[[nodiscard]] std::string print(WattHours energy);      ///< `98 Wh`
[[nodiscard]] std::string print(BitsPerPixel bits);     ///< `0.28`
[[nodiscard]] std::string print(Magnification x);       ///< `1.4`, `4.17`, `2`
[[nodiscard]] std::string print(FrameSize size);        ///< `3840 × 2160`
/// `2 h 28 min`, `68 min`, `5 min 44 s`, `8.3 s`: never longer than it really is.
[[nodiscard]] std::string printDuration(Seconds length);
/// `22:40`, on a later day `+00:20`; rounded down to the minute, or up.
[[nodiscard]] std::string printClock(Seconds sinceMidnight, bool roundUp = false);
/// `22.5 MB/s`: how cards are rated.
[[nodiscard]] std::string printBytes(DataRate rate);

[[nodiscard]] std::string spell(Millimetres length);
[[nodiscard]] std::string spell(Metres distance);
[[nodiscard]] std::string spell(Degrees angle);
[[nodiscard]] std::string spell(Celsius air);
[[nodiscard]] std::string spell(Hertz pulses);
[[nodiscard]] std::string spell(Fraction share);
[[nodiscard]] std::string spell(WidthsPerSecond speed);
[[nodiscard]] std::string spell(DegreesPerSecond pan);
[[nodiscard]] std::string spell(Watts power);
[[nodiscard]] std::string spell(WattHours energy);
[[nodiscard]] std::string spell(DataSize size);
[[nodiscard]] std::string spell(FrameSize size);
[[nodiscard]] std::string spellDuration(Seconds length);
[[nodiscard]] std::string spellTimeOfDay(Seconds sinceMidnight); ///< `05:40`, `05:40:30`
[[nodiscard]] std::string spellFactor(Magnification x);

} // namespace bslate
