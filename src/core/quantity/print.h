#pragma once

#include "core/quantity/light_reading.h"
#include "core/quantity/nd_label.h"
#include "core/quantity/number_text.h"
#include "core/quantity/print_gear.h"
#include "core/quantity/quantities.h"

#include <string>

/// Writing quantities in the C locale. `print` rounds to what a person reads at arm's length;
/// `spell` is exact: parsing it gives the same value back to the last bit (files use it).
namespace bslate {

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
[[nodiscard]] std::string print(Mired shift);       ///< `134 mired`, without a sign
[[nodiscard]] std::string print(Duv offset);        ///< `+0.012`
[[nodiscard]] std::string print(Reflectance share); ///< `18 %`
[[nodiscard]] std::string print(Level level);       ///< `52 %`
[[nodiscard]] std::string print(Decibels ratio);    ///< `38.4 dB`, `no loss` when infinite

[[nodiscard]] std::string spell(Stops stops);
[[nodiscard]] std::string spell(TStop iris);
[[nodiscard]] std::string spell(FNumber iris);
[[nodiscard]] std::string spell(const Shutter& shutter);
[[nodiscard]] std::string spell(FrameRate rate); ///< `24000/1001`
[[nodiscard]] std::string spell(ExposureIndex ei);
[[nodiscard]] std::string spell(const LightReading& reading);
[[nodiscard]] std::string spell(const NdLabel& label);
[[nodiscard]] std::string spell(DataRate rate);
[[nodiscard]] std::string spell(Kelvin white);
[[nodiscard]] std::string spell(Reflectance share);

} // namespace bslate
