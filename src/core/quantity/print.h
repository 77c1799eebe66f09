#pragma once

#include "core/quantity/light_reading.h"
#include "core/quantity/nd_label.h"
#include "core/quantity/quantities.h"

#include <string>

/// Writing quantities in the C locale. `print` rounds to what a person reads at arm's length;
/// `spell` is exact: parsing it gives the same value back to the last bit (files use it).
namespace bslate {

/// Fixed decimals with a point, never "-0.0"; a non-finite value prints as a dash.
[[nodiscard]] std::string fixedText(double value, int decimals);

[[nodiscard]] std::string print(Stops stops);        ///< `+1.3`, `-0.6`, `0.0`
[[nodiscard]] std::string printPlain(Stops stops);   ///< `1.3`: the size, without sign
[[nodiscard]] std::string print(Seconds time);       ///< `1/50 s`, `20.8 ms`, `2.5 s`
[[nodiscard]] std::string print(TStop iris);         ///< `T2.8`
[[nodiscard]] std::string print(FNumber iris);       ///< `f/2.8`
[[nodiscard]] std::string print(ShutterAngle angle); ///< `172.8°`
[[nodiscard]] std::string print(const Shutter& shutter);
[[nodiscard]] std::string print(FrameRate rate); ///< `24`, `23.976`, `59.94`
[[nodiscard]] std::string print(ExposureIndex ei);
[[nodiscard]] std::string print(const LightReading& reading); ///< `26 cd/m²`
[[nodiscard]] std::string print(CandelaPerM2 luminance);
[[nodiscard]] std::string print(Lux light);
[[nodiscard]] std::string
print(const NdLabel& label);                        ///< `ND0.9`, `ND0.45`, `ND8`, `1.5x`, `3 stops`
[[nodiscard]] std::string print(DataRate rate);     ///< `240 Mb/s`
[[nodiscard]] std::string print(DataSize size);     ///< `128 GB`, `1.02 TB`, `150 MB`
[[nodiscard]] std::string print(Kelvin white);      ///< `5600 K`
[[nodiscard]] std::string print(Reflectance share); ///< `18 %`
[[nodiscard]] std::string print(Level level);       ///< `52 %`

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

[[nodiscard]] std::string spell(Stops stops);
[[nodiscard]] std::string spell(TStop iris);
[[nodiscard]] std::string spell(const Shutter& shutter);
[[nodiscard]] std::string spell(FrameRate rate); ///< `24000/1001`
[[nodiscard]] std::string spell(ExposureIndex ei);
[[nodiscard]] std::string spell(const LightReading& reading);
[[nodiscard]] std::string spell(const NdLabel& label);
[[nodiscard]] std::string spell(DataRate rate);
[[nodiscard]] std::string spell(Kelvin white);
[[nodiscard]] std::string spell(Reflectance share);
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
[[nodiscard]] std::string spell(FNumber iris);
[[nodiscard]] std::string spell(FrameSize size);
[[nodiscard]] std::string spellDuration(Seconds length);
[[nodiscard]] std::string spellTimeOfDay(Seconds sinceMidnight); ///< `05:40`, `05:40:30`
[[nodiscard]] std::string spellFactor(Magnification x);

} // namespace bslate
