#include "core/kit/sensor_line.h"

#include "core/quantity/accept.h"
#include "core/quantity/line_words.h"
#include "core/quantity/number_text.h"
#include "core/quantity/parse.h"
#include "core/quantity/scan.h"

#include <algorithm>

namespace bslate {
namespace {

constexpr std::size_t kMostGains = 64;
constexpr std::string_view kPrimariesExpected =
    "x and y of the primaries, R 0.708 0.292 G 0.170 0.797 B 0.131 0.046, and W 0.3127 0.3290";
constexpr std::string_view kGainsExpected =
    "a white and its gains in stops against green, 3200 K R 0.62 B 1.98, more behind ;";

// Letters with their numbers behind them: `R 0.7 0.3`.
struct Lettered {
    std::vector<LineWord> words;
    std::size_t at = 0;
    std::string_view expected;

    [[nodiscard]] bool done() const { return at >= words.size(); }
    std::string letter() { return lowered(words[at++].text); }
    Result<double> number(double low, double high) {
        if (done())
            return accept::refuse(ErrorCode::OutOfRange, "nothing", expected);
        return accept::read(words[at++].text, {expected, {}, {{"", 1}}, low, high});
    }
};

Result<FoundGains> gainsFrom(std::string_view text) {
    const auto r = lowered(text).find('r');
    const auto kelvin = parseKelvin(text.substr(0, r));
    if (!kelvin)
        return kelvin.error();
    if (r == std::string::npos)
        return accept::refuse(ErrorCode::EmptyText, text, kGainsExpected);
    FoundGains gains;
    gains.kelvin = *kelvin;
    Lettered read{lineWords(text.substr(r)), 0, kGainsExpected};
    bool red = false, blue = false;
    while (!read.done()) {
        const auto letter = read.letter();
        bool& told = letter == "r" ? red : blue;
        if ((letter != "r" && letter != "b") || std::exchange(told, true))
            return accept::refuse(ErrorCode::OutOfRange, letter, kGainsExpected);
        const auto value = read.number(-8, 8);
        if (!value)
            return value.error();
        (letter == "r" ? gains.red : gains.blue) = Stops(*value);
    }
    if (!red || !blue)
        return accept::refuse(ErrorCode::EmptyText, text, kGainsExpected);
    return gains;
}

} // namespace

Result<std::optional<Gamut>> parsePrimaries(std::string_view text) {
    Lettered read{lineWords(text), 0, kPrimariesExpected};
    if (read.done())
        return std::optional<Gamut>();
    Gamut gamut;
    std::string told;
    while (!read.done()) {
        const auto letter = read.letter();
        auto* point = letter == "r"   ? &gamut.red
                      : letter == "g" ? &gamut.green
                      : letter == "b" ? &gamut.blue
                      : letter == "w" ? &gamut.white
                                      : nullptr;
        if (!point || told.find(letter) != std::string::npos)
            return accept::refuse(ErrorCode::OutOfRange, letter, kPrimariesExpected);
        told += letter;
        const auto x = read.number(-2, 2);
        const auto y = x ? read.number(-2, 2) : x;
        if (!y)
            return y.error();
        *point = {*x, *y};
    }
    for (const char letter : {'r', 'g', 'b'})
        if (told.find(letter) == std::string::npos)
            return accept::refuse(ErrorCode::EmptyText, text, kPrimariesExpected);
    if (!isValid(gamut))
        return accept::refuse(ErrorCode::OutOfRange, text,
                              "three points that span a triangle, and a white");
    return std::optional(gamut);
}

std::string spell(const std::optional<Gamut>& primaries) {
    if (!primaries)
        return {};
    std::string text;
    const auto add = [&](const char* letter, Chromaticity point) {
        text += (text.empty() ? "" : " ") + std::string(letter) + " " + exact(point.x) + " " +
                exact(point.y);
    };
    add("R", primaries->red);
    add("G", primaries->green);
    add("B", primaries->blue);
    if (primaries->white != Gamut{}.white)
        add("W", primaries->white);
    return text;
}

Result<std::vector<FoundGains>> parseGains(std::string_view text) {
    std::vector<FoundGains> all;
    while (!text.empty()) {
        const auto end = std::min(text.find(';'), text.size());
        const auto piece = text.substr(0, end);
        text.remove_prefix(std::min(end + 1, text.size()));
        if (lineWords(piece).empty())
            continue;
        auto gains = gainsFrom(piece);
        if (!gains)
            return gains.error();
        const bool twice = std::any_of(all.begin(), all.end(), [&](const FoundGains& known) {
            return known.kelvin == gains->kelvin;
        });
        if (twice || all.size() == kMostGains)
            return accept::refuse(ErrorCode::OutOfRange, piece,
                                  twice ? "each white once" : "at most 64 whites");
        all.push_back(*gains);
    }
    return all;
}

std::string spell(const std::vector<FoundGains>& gains) {
    std::string text;
    for (const auto& one : gains)
        text += (text.empty() ? "" : "; ") + exact(one.kelvin.value()) + " K R " +
                exact(one.red.value()) + " B " + exact(one.blue.value());
    return text;
}

} // namespace bslate
