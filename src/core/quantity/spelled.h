#pragma once

#include "core/base/fields.h"
#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"

/// How each quantity stands in a file, as people type it, exactly; and how they read it.
namespace bslate::as {

namespace written {
template<class Q>
[[nodiscard]] std::string exactly(const Q& value) {
    return spell(value);
}
template<class Q>
[[nodiscard]] std::string forPeople(const Q& value) {
    return bslate::print(value);
}
} // namespace written

inline constexpr form::Spelled<TStop> kTStop{
    parseTStop, written::exactly<TStop>, "^T[0-9]+(\\.[0-9]+)?$",
    "T-stop 0.5 to 128; marks mean their exact powers of two", written::forPeople<TStop>};
inline constexpr form::Spelled<FNumber> kFNumber{parseFNumber, written::exactly<FNumber>,
                                                 "^f/[0-9]+(\\.[0-9]+)?$", "f-number",
                                                 written::forPeople<FNumber>};
inline constexpr form::Spelled<ExposureIndex> kIso{
    parseExposureIndex, written::exactly<ExposureIndex>, "^[0-9]+(\\.[0-9]+)?$",
    "ISO number, 1 to 10 000 000"};
inline constexpr form::Spelled<FrameRate> kRate{
    parseFrameRate, written::exactly<FrameRate>, "^[0-9]+(/[0-9]+)?$",
    "frames a second as an exact fraction, 24 or 24000/1001", written::forPeople<FrameRate>};
inline constexpr form::Spelled<Shutter> kShutter{
    parseShutter, written::exactly<Shutter>,
    "^([0-9]+(\\.[0-9]+)?°|1/[0-9]+(\\.[0-9]+)? s|[0-9]+(\\.[0-9]+)? s)$", "angle or time"};
inline constexpr form::Spelled<LightReading> kReading{
    parseLightReading, written::exactly<LightReading>,
    "^(-?[0-9]+(\\.[0-9]+)? (cd/m2|fL|lx|fc)|EV -?[0-9]+(\\.[0-9]+)?)$",
    "metered light with its unit"};
inline constexpr form::Spelled<NdLabel> kLoss{
    parseNdLabel, written::exactly<NdLabel>,
    "^(ND[0-9]+(\\.[0-9]+)?|[0-9]+(\\.[0-9]+)?x|[0-9]+(\\.[0-9]+)? stops)$",
    "filter loss: density, factor or stops", written::forPeople<NdLabel>};
inline constexpr form::Spelled<DataRate> kBitRate{parseDataRate, written::exactly<DataRate>,
                                                  "^[0-9]+(\\.[0-9]+)? (Mb/s|b/s)$",
                                                  "bits a second, above 0"};
/// Of cards and what they are emptied into, whose makers say bytes.
inline constexpr form::Spelled<DataRate> kByteRate{
    parseDataRate, written::exactly<DataRate>, kBitRate.pattern, kBitRate.about,
    [](const DataRate& rate) { return printBytes(rate); }};
inline constexpr form::Spelled<DataSize> kSize{parseDataSize, written::exactly<DataSize>,
                                               "^[0-9]+(\\.[0-9]+)? (GB|B)$", "bytes, decimal",
                                               written::forPeople<DataSize>};
inline constexpr form::Spelled<Kelvin> kKelvin{parseKelvin, written::exactly<Kelvin>,
                                               "^[0-9]+(\\.[0-9]+)?K$", "kelvin, 1000 to 40 000",
                                               written::forPeople<Kelvin>};
inline constexpr form::Spelled<Reflectance> kReflectance{
    parseReflectance, written::exactly<Reflectance>, "^[01]\\.[0-9]+$",
    "diffuse reflectance above 0 up to 1.0"};
inline constexpr form::Spelled<Millimetres> kMillimetres{
    parseMillimetres, written::exactly<Millimetres>, "^[0-9]+(\\.[0-9]+)? mm$", "millimetres",
    written::forPeople<Millimetres>};
inline constexpr form::Spelled<Metres> kMetres{parseMetres, written::exactly<Metres>,
                                               "^[0-9]+(\\.[0-9]+)? m$", "metres",
                                               written::forPeople<Metres>};
inline constexpr form::Spelled<Degrees> kDegrees{parseDegrees, written::exactly<Degrees>,
                                                 "^[0-9]+(\\.[0-9]+)?°$", "degrees, up to 180"};
inline constexpr form::Spelled<Celsius> kCelsius{
    parseCelsius, written::exactly<Celsius>, "^-?[0-9]+(\\.[0-9]+)? C$",
    "degrees Celsius, -60 to 90", written::forPeople<Celsius>};
inline constexpr form::Spelled<Hertz> kHertz{parseHertz, written::exactly<Hertz>,
                                             "^[0-9]+(\\.[0-9]+)? Hz$", "times a second"};
inline constexpr form::Spelled<Watts> kWatts{parseWatts, written::exactly<Watts>,
                                             "^[0-9]+(\\.[0-9]+)? W$", "watts",
                                             written::forPeople<Watts>};
inline constexpr form::Spelled<WattHours> kWattHours{parseWattHours, written::exactly<WattHours>,
                                                     "^[0-9]+(\\.[0-9]+)? Wh$", "watt-hours",
                                                     written::forPeople<WattHours>};
inline constexpr form::Spelled<FrameSize> kFrame{parseFrameSize, written::exactly<FrameSize>,
                                                 "^[0-9]+x[0-9]+$",
                                                 "pixels, sides from 16 to 65536"};
inline constexpr form::Spelled<Fraction> kShare{parseFraction, written::exactly<Fraction>,
                                                "^[01]\\.[0-9]+$", "a share, 0 to 1",
                                                written::forPeople<Fraction>};
inline constexpr form::Spelled<DegreesPerSecond> kPan{
    parseDegreesPerSecond, written::exactly<DegreesPerSecond>, "^[0-9]+(\\.[0-9]+)? deg/s$",
    "degrees a second"};
inline constexpr form::Spelled<Magnification> kFactor{
    parseFactor, [](const Magnification& x) { return spellFactor(x); }, "^[0-9]+(\\.[0-9]+)?x$",
    "a factor from 1"};
inline constexpr form::Spelled<Seconds> kDuration{
    parseDuration, [](const Seconds& length) { return spellDuration(length); },
    "^[0-9]+(\\.[0-9]+)? (min|s)$", "a length of time, up to 1000 h"};
inline constexpr form::Spelled<Seconds> kTimeOfDay{
    parseTimeOfDay, [](const Seconds& time) { return spellTimeOfDay(time); },
    "^[0-2][0-9]:[0-5][0-9](:[0-5][0-9])?$", "time of day"};

} // namespace bslate::as
