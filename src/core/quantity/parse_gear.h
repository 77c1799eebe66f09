#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"

#include <string_view>

/// Reading quantities of optics, media, power and planning; what parse.h says holds here too.
namespace bslate {

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
