#include "core/quantity/parse.h"

#include "core/quantity/parse_gear.h"

#include "core/quantity/accept.h"
#include "core/quantity/aperture_marks.h"
#include "core/quantity/scan.h"

#include <string>

namespace bslate {
namespace {

using accept::Accepts;
using accept::contains;
using accept::read;
using accept::readAs;
using accept::refuse;

constexpr std::string_view kRateExpected =
    "a frame rate such as 24, 23.976, 24000/1001 or 59.94 fps";

// n * 1000/1001 when `value` is a usual decimal of it, for n = 24, 30, 48, 60, 96, 120 ...
long long ntscBase(double value) {
    for (const long long step : {24LL, 30LL}) {
        const auto nearest = std::llround(value * 1.001 / static_cast<double>(step)) * step;
        if (nearest > 0 && std::abs(static_cast<double>(nearest) * 1000.0 / 1001.0 - value) < 0.006)
            return nearest;
    }
    return 0;
}

Result<Rational> exactDecimal(double value, std::string_view text) {
    for (const long long scale : {1LL, 10LL, 100LL, 1000LL, 10000LL}) {
        const double scaled = value * static_cast<double>(scale);
        if (std::abs(scaled - std::round(scaled)) < 1e-7 && scaled < 2e9)
            return Rational(std::llround(scaled), scale);
    }
    return refuse(ErrorCode::OutOfRange, text, kRateExpected);
}

} // namespace

Result<Stops> parseStops(std::string_view text) {
    return readAs<Stops>(text, {"a number of stops such as +1, -1/3 or 2.5 stops, from -40 to 40",
                                {},
                                {{"", 1}, {"stop", 1}, {"stops", 1}, {"st", 1}},
                                -40,
                                40});
}

Result<Seconds> parseSeconds(std::string_view text) {
    return readAs<Seconds>(text, {"a time such as 1/50, 0.02 s or 20 ms, above 0",
                                  {},
                                  {{"", 1}, {"s", 1}, {"sec", 1}, {"ms", 1e-3}},
                                  0,
                                  3600,
                                  true});
}

namespace {
// A mark, and so many stops past it when a fraction follows: T8 2/3 is two thirds past T8.
Result<double> readAperture(std::string_view text, std::string_view letter,
                            std::string_view expected) {
    const auto typed = scan(text, expected);
    if (!typed)
        return typed.error();
    if (!contains({"", letter}, typed->prefix) || !typed->unit.empty() || typed->ratio)
        return refuse(ErrorCode::UnknownUnit, text, expected);
    const double mark = apertureMeant(typed->mixed ? typed->whole : typed->value);
    const double meant = mark * std::exp2(typed->rest / 2);
    if (typed->value < 0.5 || meant > 128)
        return refuse(ErrorCode::OutOfRange, text, expected);
    return meant;
}
// Percent, unless the number has a decimal point and is at most 1; [0, 1].
Result<double> readShare(std::string_view text, std::string_view expected) {
    const auto scanned = scan(text, expected);
    if (!scanned)
        return scanned.error();
    if (!scanned->prefix.empty() || !contains({"", "%"}, scanned->unit))
        return refuse(ErrorCode::UnknownUnit, text, expected);
    const bool fraction =
        scanned->unit.empty() && (scanned->ratio || (scanned->point && scanned->value <= 1.0));
    const double value = fraction ? scanned->value : scanned->value / 100.0;
    if (value < 0 || value > 1)
        return refuse(ErrorCode::OutOfRange, text, expected);
    return value;
}

} // namespace

Result<TStop> parseTStop(std::string_view text) {
    const auto value =
        readAperture(text, "t",
                     "a T-stop such as T2.8 or T8 2/3, from 0.5 to 128; an f-number is brighter "
                     "than it says by what the glass takes");
    if (!value)
        return value.error();
    return TStop(*value);
}

Result<FNumber> parseFNumber(std::string_view text) {
    const auto value =
        readAperture(text, "f", "an f-number such as f/2.8 or f/8 2/3, from 0.5 to 128");
    if (!value)
        return value.error();
    return FNumber(*value);
}

Result<ShutterAngle> parseShutterAngle(std::string_view text) {
    const Accepts accepts = {"an angle such as 172.8 or 172.8°, above 0 up to 360",
                             {},
                             {{"", 1}, {"deg", 1}, {"degrees", 1}},
                             0,
                             360,
                             true};
    const auto scanned = scan(text, accepts.expected);
    if (scanned && scanned->ratio) // 1/50 is a time
        return refuse(ErrorCode::UnknownUnit, text, accepts.expected);
    return readAs<ShutterAngle>(text, accepts);
}

Result<Shutter> parseShutter(std::string_view text) {
    constexpr std::string_view expected =
        "a shutter such as 172.8, 172.8° (above 0 up to 360) or 1/50, 20 ms (above 0)";
    const auto scanned = scan(text, expected);
    if (!scanned)
        return scanned.error();
    const auto unit = lowered(scanned->unit);
    const bool degrees = unit == "deg" || unit == "degrees";
    const bool time = (scanned->ratio && !degrees) || unit == "s" || unit == "sec" || unit == "ms";
    const auto reworded = [&](const Error& error) { return refuse(error.code, text, expected); };
    if (time) {
        const auto seconds = parseSeconds(text);
        return seconds ? Result<Shutter>(Shutter(*seconds)) : reworded(seconds.error());
    }
    const auto angle = parseShutterAngle(text);
    return angle ? Result<Shutter>(Shutter(*angle)) : reworded(angle.error());
}

Result<FrameRate> parseFrameRate(std::string_view text) {
    const auto scanned = scan(text, kRateExpected);
    if (!scanned)
        return scanned.error();
    const auto unit = lowered(scanned->unit);
    if (!scanned->prefix.empty() ||
        !contains({"", "p", "fps", "f/s", "/s", "hz", "frames/s"}, unit))
        return refuse(ErrorCode::UnknownUnit, text, kRateExpected);
    if (scanned->value < 0.01 || scanned->value > 100000)
        return refuse(ErrorCode::OutOfRange, text, kRateExpected);
    if (scanned->denominator > 0)
        return FrameRate{Rational(scanned->numerator, scanned->denominator)};
    if (scanned->point)
        if (const auto base = ntscBase(scanned->value); base > 0)
            return FrameRate{Rational(base * 1000, 1001)};
    const auto exact = exactDecimal(scanned->value, text);
    if (!exact)
        return exact.error();
    return FrameRate{*exact};
}

Result<ExposureIndex> parseExposureIndex(std::string_view text) {
    return readAs<ExposureIndex>(
        text,
        {"a rating such as EI 400 or ISO 800, from 1", {"ei", "iso", "asa"}, {{"", 1}}, 1, 1e7});
}

Result<LightReading> parseLightReading(std::string_view text) {
    constexpr std::string_view expected =
        "a reading with its unit, above zero: 26 cd/m2, 108 lx, 10 fc, 7.6 fL or EV 7.7";
    const auto scanned = scan(text, expected);
    if (!scanned)
        return scanned.error();
    const auto unit = lowered(scanned->unit);
    const bool ev =
        (scanned->prefix == "ev" && unit.empty()) || (scanned->prefix.empty() && unit == "ev");
    if (ev) {
        if (scanned->value < -20 || scanned->value > 40)
            return refuse(ErrorCode::OutOfRange, text, "an EV at ISO 100 from -20 to 40");
        return LightReading{scanned->value, LightUnit::EvReflected};
    }
    struct Spelling {
        std::string_view name;
        LightUnit unit;
    };
    constexpr Spelling spellings[] = {
        {"cd/m2", LightUnit::CandelaPerM2},
        {"cd/m^2", LightUnit::CandelaPerM2},
        {"cd", LightUnit::CandelaPerM2},
        {"nit", LightUnit::CandelaPerM2},
        {"nits", LightUnit::CandelaPerM2},
        {"fl", LightUnit::FootLambert},
        {"lx", LightUnit::Lux},
        {"lux", LightUnit::Lux},
        {"fc", LightUnit::FootCandle},
    };
    for (const auto& spelling : spellings) {
        if (!scanned->prefix.empty() || unit != spelling.name)
            continue;
        if (scanned->value <= 0 || scanned->value > 1e9)
            return refuse(ErrorCode::OutOfRange, text, expected);
        return LightReading{scanned->value, spelling.unit};
    }
    return refuse(ErrorCode::UnknownUnit, text, expected);
}

Result<NdLabel> parseNdLabel(std::string_view text) {
    constexpr std::string_view expected =
        "a filter such as ND0.9 (density), ND8 or 8x (factor) or 3 stops, up to 20 stops";
    const auto scanned = scan(text, expected);
    if (!scanned)
        return scanned.error();
    const auto unit = lowered(scanned->unit);
    if (!contains({"", "nd", "d"}, scanned->prefix) ||
        !contains({"", "x", "stop", "stops", "st"}, unit))
        return refuse(ErrorCode::UnknownUnit, text, expected);
    const bool bare = unit.empty();
    if (bare && (scanned->mixed || (scanned->ratio && scanned->denominator <= 3)))
        return refuse(ErrorCode::Ambiguous, text,
                      "its unit: 1/3 stop for a fraction of a stop, 3x for a factor");
    NdLabel label{NdTradition::Stops, scanned->value};
    if (unit == "x" || (bare && (scanned->ratio || !scanned->point))) {
        label.tradition = NdTradition::Factor;
        if (scanned->ratio && scanned->value > 0)
            label.value = scanned->value < 1 ? 1.0 / scanned->value : scanned->value;
    } else if (bare) {
        label.tradition = NdTradition::Density;
    }
    if (label.tradition == NdTradition::Factor && label.value == 1 && bare)
        return refuse(ErrorCode::Ambiguous, text, "ND1.0 for density 1, or ND2 for one stop");
    const bool low = label.tradition == NdTradition::Factor ? label.value < 1 : label.value < 0;
    if (low || lossOf(label).value() > 20)
        return refuse(ErrorCode::OutOfRange, text, expected);
    return label;
}

Result<Stops> parseNdTotal(std::string_view text) {
    if (const auto plain = scan(text, "an ND");
        plain && plain->prefix.empty() && plain->unit.empty() && plain->value == 0)
        return Stops(0);
    Stops total(0);
    for (std::size_t from = 0; from <= text.size();) {
        const auto to = std::min(text.find('+', from), text.size());
        const auto label = parseNdLabel(text.substr(from, to - from));
        if (!label)
            return label.error();
        total += lossOf(*label);
        from = to + 1;
    }
    return total;
}

Result<DataRate> parseDataRate(std::string_view text) {
    return readAs<DataRate>(text, {"a bit rate such as 180Mb/s or 22.5MB/s, above 0",
                                   {},
                                   {{"b/s", 1},
                                    {"kb/s", 1e3},
                                    {"Mb/s", 1e6},
                                    {"Mbps", 1e6},
                                    {"Mbit/s", 1e6},
                                    {"Gb/s", 1e9},
                                    {"Gbps", 1e9},
                                    {"B/s", 8},
                                    {"kB/s", 8e3},
                                    {"MB/s", 8e6},
                                    {"MBps", 8e6},
                                    {"GB/s", 8e9}},
                                   0,
                                   1e12,
                                   true,
                                   true});
}

Result<DataSize> parseDataSize(std::string_view text) {
    return readAs<DataSize>(text, {"a size such as 64GB or 1TB, above 0",
                                   {},
                                   {{"b", 1},
                                    {"kb", 1e3},
                                    {"mb", 1e6},
                                    {"gb", 1e9},
                                    {"tb", 1e12},
                                    {"kib", 1024.0},
                                    {"mib", 1048576.0},
                                    {"gib", 1073741824.0},
                                    {"tib", 1099511627776.0}},
                                   0,
                                   1e18,
                                   true});
}

Result<Kelvin> parseKelvin(std::string_view text) {
    constexpr std::string_view expected = "a white such as 5600K or 178 mired, 1000K to 40000K";
    const auto scanned = scan(text, expected);
    if (!scanned)
        return scanned.error();
    const auto unit = lowered(scanned->unit);
    if (unit == "mired" || unit == "mireds") {
        const double kelvin = scanned->value > 0 ? 1e6 / scanned->value : 0.0;
        if (!scanned->prefix.empty() || kelvin < 1000 || kelvin > 40000)
            return refuse(ErrorCode::OutOfRange, text, expected);
        return Kelvin(kelvin);
    }
    return readAs<Kelvin>(text, {expected, {}, {{"", 1}, {"k", 1}}, 1000, 40000});
}

Result<Reflectance> parseReflectance(std::string_view text) {
    const auto share = readShare(text, "a reflectance such as 18 % or 0.18, above 0 up to 100 %");
    if (share && *share <= 0)
        return refuse(ErrorCode::OutOfRange, text,
                      "a reflectance such as 18 % or 0.18, above 0 up to 100 %");
    return share ? Result<Reflectance>(Reflectance(*share)) : share.error();
}

Result<Fraction> parseFraction(std::string_view text) {
    const auto share = readShare(text, "a share such as 70 % or 0.7, from 0 to 100 %");
    return share ? Result<Fraction>(Fraction(*share)) : share.error();
}

} // namespace bslate
