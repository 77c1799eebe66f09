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

/// The loss of marks added up, `ND0.6`, `ND 0.3 + 0.6`, `ND8 + 2 stops`; `0` is none.
[[nodiscard]] Result<Stops> parseNdTotal(std::string_view text);

/// `180Mb/s`, `180 Mbps`, `22.5MB/s`, `2.1 Gb/s`; (0, 1e12] bit/s; b is bits, B is bytes.
[[nodiscard]] Result<DataRate> parseDataRate(std::string_view text);

/// `64GB`, `1 TB`, `900 MB`, `4 GiB`; (0, 1e18] bytes.
[[nodiscard]] Result<DataSize> parseDataSize(std::string_view text);

/// `5600K`, `5600`, `178 mired`; [1000, 40000] K.
[[nodiscard]] Result<Kelvin> parseKelvin(std::string_view text);

/// `18 %`, `18`: percent unless it is at most 1 and has a decimal point (`0.18`) or is written
/// `1/5`; (0, 1].
[[nodiscard]] Result<Reflectance> parseReflectance(std::string_view text);

} // namespace bslate
