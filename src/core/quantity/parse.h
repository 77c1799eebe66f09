#pragma once

#include "core/base/result.h"
#include "core/quantity/light_reading.h"
#include "core/quantity/nd_label.h"
#include "core/quantity/quantities.h"

#include <string_view>

/// Reading what people type. One function per quantity, all in the C locale (a decimal point,
/// never a comma). Each accepts every spelling listed beside it, ignores spaces and the case of
/// letters (except Mb against MB), and fails with a message that says what is accepted. NaN and
/// infinity are never numbers.
namespace bslate {

/// `+1`, `-1/3`, `1 1/3 stops`, `0.7 st`; [-40, 40].
[[nodiscard]] Result<Stops> parseStops(std::string_view text);

/// `1/50`, `0.02 s`, `20 ms`, `1/50 s`; (0, 3600] s.
[[nodiscard]] Result<Seconds> parseSeconds(std::string_view text);

/// `T2.8`, `2.8`, `T8 2/3`, and `f/2.8`, `f2.8`, `f/4⅓` for an f-number alone; [0.5, 128]. Marks of
/// the full-, half- and third-stop scales mean their exact powers of two (aperture_marks.h); other
/// numbers are literal. A fraction after a number is so many stops past it.
[[nodiscard]] Result<TStop> parseTStop(std::string_view text);
[[nodiscard]] Result<FNumber> parseFNumber(std::string_view text);

/// `172.8`, `172.8°`, `172.8 deg`; (0, 360].
[[nodiscard]] Result<ShutterAngle> parseShutterAngle(std::string_view text);

/// A ratio or a time unit is a time; a bare number, `172 1/2` or degrees is an angle.
[[nodiscard]] Result<Shutter> parseShutter(std::string_view text);

/// `24`, `23.976`, `23.98`, `24000/1001`, `29.97 fps`, `50p`; [1/100, 100000]. Decimals within
/// 0.006 of n*1000/1001 (n a multiple of 24 or 30) mean that fraction; others are exact.
[[nodiscard]] Result<FrameRate> parseFrameRate(std::string_view text);

/// `EI 400`, `ISO 800`, `800`; [1, 10 000 000], literal.
[[nodiscard]] Result<ExposureIndex> parseExposureIndex(std::string_view text);

/// `26 cd/m2`, `26 nit`, `7.6 fL`, `108 lx`, `10 fc`, `EV 7.7`; > 0 up to 1e9 (EV -20 to 40).
/// A number without a unit is refused: the unit is what gets forgotten.
[[nodiscard]] Result<LightReading> parseLightReading(std::string_view text);

/// `ND0.9` and `0.9` (density, by its decimal point), `ND8`, `8x` and `1/8` (factor), `3 stops`,
/// `1/3 stop`, `2 1/2 stops`. `ND1`, and `1/2`, `1/3`, `2/3` or `1 1/3` without a unit, are refused
/// as ambiguous. Up to 20 stops.
[[nodiscard]] Result<NdLabel> parseNdLabel(std::string_view text);

/// `180Mb/s`, `180 Mbps`, `22.5MB/s`, `2.1 Gb/s`; (0, 1e12] bit/s; b is bits, B is bytes.
[[nodiscard]] Result<DataRate> parseDataRate(std::string_view text);

/// `64GB`, `1 TB`, `900 MB`, `4 GiB`; (0, 1e18] bytes.
[[nodiscard]] Result<DataSize> parseDataSize(std::string_view text);

/// `5600K`, `5600`, `178 mired`; [1000, 40000] K.
[[nodiscard]] Result<Kelvin> parseKelvin(std::string_view text);

/// `18 %`, `18`: percent unless it is at most 1 and has a decimal point (`0.18`) or is written
/// `1/5`; (0, 1].
[[nodiscard]] Result<Reflectance> parseReflectance(std::string_view text);

// ---- optics, media and power: parse_gear.cpp

/// `35 mm`, `35`; (0, 5000] mm.
[[nodiscard]] Result<Millimetres> parseMillimetres(std::string_view text);
/// `2 m`, `180 cm`, `6 ft`, `2`; (0, 100 000] m.
[[nodiscard]] Result<Metres> parseMetres(std::string_view text);
/// `54`, `54°`; (0, 180) degrees of view.
[[nodiscard]] Result<Degrees> parseDegrees(std::string_view text);
/// `35 C`, `35 °C`, `-5`; [-60, 90] degrees Celsius.
[[nodiscard]] Result<Celsius> parseCelsius(std::string_view text);
/// `400 Hz`, `1.2 kHz`; (0, 1e6] Hz.
[[nodiscard]] Result<Hertz> parseHertz(std::string_view text);
/// `21 W`, `21`; [0, 10 000] W.
[[nodiscard]] Result<Watts> parseWatts(std::string_view text);
/// `98 Wh`, `98`; (0, 100 000] Wh.
[[nodiscard]] Result<WattHours> parseWattHours(std::string_view text);
/// A length of time people speak of: `70 min`, `70min`, `1h10`, `1 h 10 min`, `29:59`, `90 s`;
/// a bare number is minutes; (0, 1000 h].
[[nodiscard]] Result<Seconds> parseDuration(std::string_view text);
/// `05:40`, `5:40`, `17h30`, `05:40:30`; seconds since midnight, [0, 24 h).
[[nodiscard]] Result<Seconds> parseTimeOfDay(std::string_view text);
/// `3840x2160`, `UHD`, `HD`, `4K DCI`; sides from 16 to 65536 pixels.
[[nodiscard]] Result<FrameSize> parseFrameSize(std::string_view text);
/// `70 %`, `70`, `0.7`, `2/3`: percent unless it is at most 1 and has a decimal point, or is a
/// ratio; [0, 1].
[[nodiscard]] Result<Fraction> parseFraction(std::string_view text);
/// `0.25 w/s`, `0.25`; [0, 1000] frame widths a second.
[[nodiscard]] Result<WidthsPerSecond> parseWidthsPerSecond(std::string_view text);
/// `8 deg/s`, `8°/s`, `8`; (0, 3600].
[[nodiscard]] Result<DegreesPerSecond> parseDegreesPerSecond(std::string_view text);
/// `4x`, `x4`, `4`; [1, 10 000]: a factor of slowing down or cropping.
[[nodiscard]] Result<Magnification> parseFactor(std::string_view text);

} // namespace bslate
