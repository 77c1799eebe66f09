#include "core/quantity/parse_gear.h"

#include "core/quantity/accept.h"
#include "core/quantity/scan.h"

#include <charconv>

namespace bslate {
namespace {

using accept::readAs;
using accept::refuse;

constexpr std::string_view kDurationExpected =
    "a length of time such as 70 min, 1h10, 29:59 or 90 s, above 0 up to 1000 h";
constexpr std::string_view kSizeExpected =
    "a frame size such as 3840x2160, UHD or HD, sides from 16 to 65536";

std::string packed(std::string_view text) {
    std::string result;
    for (const char c : lowered(text))
        if (c != ' ')
            result += c;
    return result;
}

// A plain decimal number at the front of `rest`, taken off it; negative when there is none.
double takeNumber(std::string_view& rest) {
    std::size_t length = 0;
    while (length < rest.size() &&
           (rest[length] == '.' || (rest[length] >= '0' && rest[length] <= '9')))
        ++length;
    if (length == 0 || length > 25)
        return -1;
    double value = 0;
    const auto read =
        std::from_chars(rest.data(), rest.data() + length, value, std::chars_format::fixed);
    if (read.ec != std::errc() || read.ptr != rest.data() + length)
        return -1;
    rest.remove_prefix(length);
    return value;
}

// Seconds of one unit at the front of `rest`, taken off it; 0 when there is none.
double takeUnit(std::string_view& rest) {
    constexpr struct {
        std::string_view name;
        double seconds;
    } units[] = {{"hours", 3600}, {"hour", 3600}, {"h", 3600}, {"minutes", 60},
                 {"min", 60},     {"sec", 1},     {"s", 1},    {"m", 60}};
    for (const auto& unit : units)
        if (rest.starts_with(unit.name)) {
            rest.remove_prefix(unit.name.size());
            return unit.seconds;
        }
    return 0;
}

} // namespace

Result<Millimetres> parseMillimetres(std::string_view text) {
    return readAs<Millimetres>(
        text,
        {"a length such as 35 mm, above 0 up to 5000", {}, {{"", 1}, {"mm", 1}}, 0, 5000, true});
}

Result<Metres> parseMetres(std::string_view text) {
    return readAs<Metres>(text, {"a distance such as 2 m, 180 cm or 6 ft, above 0",
                                 {},
                                 {{"", 1}, {"m", 1}, {"cm", 0.01}, {"ft", 0.3048}},
                                 0,
                                 100000,
                                 true});
}

Result<Degrees> parseDegrees(std::string_view text) {
    const auto angle = readAs<Degrees>(text, {"an angle of view such as 54 or 54°, under 180",
                                              {},
                                              {{"", 1}, {"deg", 1}, {"degrees", 1}},
                                              0,
                                              179.9,
                                              true});
    return angle;
}

Result<Celsius> parseCelsius(std::string_view text) {
    return readAs<Celsius>(text, {"a temperature such as 35 C, from -60 to 90",
                                  {},
                                  {{"", 1}, {"c", 1}, {"degc", 1}, {"deg", 1}},
                                  -60,
                                  90});
}

Result<Hertz> parseHertz(std::string_view text) {
    return readAs<Hertz>(text, {"a frequency such as 400 Hz or 1.2 kHz, above 0",
                                {},
                                {{"hz", 1}, {"khz", 1000}, {"", 1}},
                                0,
                                1e6,
                                true});
}

Result<WidthsPerSecond> parseWidthsPerSecond(std::string_view text) {
    return readAs<WidthsPerSecond>(text, {"frame widths a second such as 0.25 w/s, from 0 to 1000",
                                          {},
                                          {{"w/s", 1}, {"", 1}},
                                          0,
                                          1000});
}

Result<DegreesPerSecond> parseDegreesPerSecond(std::string_view text) {
    return readAs<DegreesPerSecond>(text, {"a pan such as 8 deg/s, above 0 up to 3600",
                                           {},
                                           {{"deg/s", 1}, {"", 1}, {"degrees/s", 1}},
                                           0,
                                           3600,
                                           true});
}

Result<Watts> parseWatts(std::string_view text) {
    return readAs<Watts>(text,
                         {"a power such as 21 W, up to 10000", {}, {{"", 1}, {"w", 1}}, 0, 10000});
}

Result<WattHours> parseWattHours(std::string_view text) {
    return readAs<WattHours>(
        text, {"an energy such as 98 Wh, above 0", {}, {{"", 1}, {"wh", 1}}, 0, 100000, true});
}

Result<Seconds> parseDuration(std::string_view text) {
    const std::string typed = packed(text);
    if (typed.empty())
        return refuse(ErrorCode::EmptyText, text, kDurationExpected);
    std::string_view rest = typed;
    double total = 0;
    double unit = 60; // a bare number is minutes; after hours, minutes follow
    bool clock = false;
    while (!rest.empty()) {
        const double number = takeNumber(rest);
        if (number < 0)
            return refuse(ErrorCode::NotANumber, text, kDurationExpected);
        if (clock) {
            if (number >= 60)
                return refuse(ErrorCode::OutOfRange, text, kDurationExpected);
            total += number;
            if (!rest.empty())
                return refuse(ErrorCode::UnknownUnit, text, kDurationExpected);
            break;
        }
        if (rest.starts_with(':')) {
            rest.remove_prefix(1);
            total += number * 60;
            clock = true;
            continue;
        }
        const double named = takeUnit(rest);
        if (named == 0 && !rest.empty())
            return refuse(ErrorCode::UnknownUnit, text, kDurationExpected);
        total += number * (named > 0 ? named : unit);
        unit = named == 60 ? 1 : 60;
    }
    if (!(total > 0) || total > 3600.0 * 1000)
        return refuse(ErrorCode::OutOfRange, text, kDurationExpected);
    return Seconds(total);
}

Result<Seconds> parseTimeOfDay(std::string_view text) {
    constexpr std::string_view expected =
        "a time of day such as 05:40 or 05:40:30, from 00:00 to before 24:00";
    const std::string typed = packed(text);
    if (typed.empty())
        return refuse(ErrorCode::EmptyText, text, expected);
    std::string_view rest = typed;
    const double hours = takeNumber(rest);
    if (hours < 0 || rest.empty() || (rest.front() != ':' && rest.front() != 'h'))
        return refuse(ErrorCode::NotANumber, text, expected);
    rest.remove_prefix(1);
    const double minutes = takeNumber(rest);
    double seconds = 0;
    if (rest.starts_with(':')) {
        rest.remove_prefix(1);
        seconds = takeNumber(rest);
    }
    const auto whole = [](double n, int top) {
        return n >= 0 && n < top && n == static_cast<int>(n);
    };
    const bool inMinute = seconds >= 0 && seconds < 60;
    if (!rest.empty() || !whole(hours, 24) || !whole(minutes, 60) || !inMinute)
        return refuse(ErrorCode::OutOfRange, text, expected);
    return Seconds(hours * 3600 + minutes * 60 + seconds);
}

Result<FrameSize> parseFrameSize(std::string_view text) {
    constexpr struct {
        std::string_view name;
        FrameSize size;
    } names[] = {{"hd", {1920, 1080}},    {"fhd", {1920, 1080}},   {"uhd", {3840, 2160}},
                 {"4kdci", {4096, 2160}}, {"2kdci", {2048, 1080}}, {"720", {1280, 720}},
                 {"1080", {1920, 1080}},  {"2160", {3840, 2160}},  {"uhd2", {7680, 4320}}};
    const std::string typed = packed(text);
    if (typed.empty())
        return refuse(ErrorCode::EmptyText, text, kSizeExpected);
    for (const auto& known : names)
        if (typed == known.name)
            return known.size;
    std::string_view rest = typed;
    const double width = takeNumber(rest);
    const bool cross = rest.starts_with("x") || rest.starts_with("\u00d7");
    if (width < 0 || !cross)
        return refuse(ErrorCode::NotANumber, text, kSizeExpected);
    rest.remove_prefix(rest.front() == 'x' ? 1 : 2);
    const double height = takeNumber(rest);
    const auto side = [](double n) { return n >= 16 && n <= 65536 && n == static_cast<int>(n); };
    if (!rest.empty() || !side(width) || !side(height))
        return refuse(ErrorCode::OutOfRange, text, kSizeExpected);
    return FrameSize{static_cast<int>(width), static_cast<int>(height)};
}

Result<Magnification> parseFactor(std::string_view text) {
    return readAs<Magnification>(
        text, {"a factor such as 4x, from 1 to 10000", {"x"}, {{"", 1}, {"x", 1}}, 1, 10000});
}

} // namespace bslate
