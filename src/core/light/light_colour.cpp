#include "core/light/light_colour.h"

#include "core/quantity/accept.h"
#include "core/quantity/line_words.h"
#include "core/quantity/number_text.h"
#include "core/quantity/print.h"
#include "core/quantity/scan.h"

#include <cmath>

namespace bslate {
namespace {

constexpr std::string_view kColourExpected =
    "the colour of a light such as 4100K, 244mired, 4100K duv+0.012 or x0.38 y0.377, from 1667K to "
    "40000K";

Result<Kelvin> readTemperature(std::string_view word) {
    const auto scanned = scan(word, kColourExpected);
    if (!scanned)
        return scanned.error();
    const auto unit = lowered(scanned->unit);
    const bool mired = unit == "mired" || unit == "mireds";
    if (!scanned->prefix.empty() || !(mired || unit == "k"))
        return accept::refuse(ErrorCode::NotANumber, word, kColourExpected);
    const Kelvin kelvin(mired ? 1e6 / scanned->value : scanned->value);
    if (!(kelvin >= kWarmest && kelvin <= kCoolest))
        return accept::refuse(ErrorCode::OutOfRange, word, kColourExpected);
    return kelvin;
}

Result<double> readAfter(std::string_view word, std::string_view prefix, double low, double high,
                         std::string_view expected) {
    if (!lowered(word).starts_with(prefix))
        return accept::refuse(ErrorCode::NotANumber, word, expected);
    auto number = word.substr(prefix.size());
    if (number.starts_with('+'))
        number.remove_prefix(1);
    return accept::read(number, {expected, {}, {{"", 1}}, low, high});
}

Result<LightColour> readChromaticity(const std::string& first, const std::string& second) {
    const auto x = readAfter(first, "x", 0, 1, kColourExpected);
    const auto y = readAfter(second, "y", 0, 1, kColourExpected);
    if (!x || !y)
        return x ? y.error() : x.error();
    const auto point = colourOf({*x, *y});
    if (!point)
        return point.error();
    return LightColour{Kelvin(std::round(point->cct.value() * 10) / 10),
                       Duv(std::round(point->duv.value() * 1e5) / 1e5)};
}

} // namespace

ColourPoint pointOf(const LightColour& colour) {
    return {colour.cct, colour.duv ? *colour.duv : usualDuv(colour.cct)};
}

UsualColour usualColour(DescribedLight light) {
    const auto usual = [](double cct, double warmest, double coolest) {
        return UsualColour{pointOf({Kelvin(cct), {}}), Kelvin(warmest), Kelvin(coolest)};
    };
    switch (light) {
    case DescribedLight::DirectSun:
        return usual(5500, 5000, 6000);
    case DescribedLight::HazySun:
        return usual(5800, 5300, 6500);
    case DescribedLight::Overcast:
        return usual(6500, 6000, 7500);
    case DescribedLight::OpenShade:
        return usual(7500, 6500, 10000);
    case DescribedLight::Dusk:
        return usual(9000, 6000, 15000);
    case DescribedLight::NightStreet:
        return usual(2700, 1900, 4000);
    case DescribedLight::Office:
        return usual(4000, 3000, 5000);
    case DescribedLight::Domestic:
        return usual(2800, 2600, 3000);
    case DescribedLight::Candle:
        return usual(1900, 1800, 2000);
    }
    return usual(5600, 5000, 6500);
}

Result<LightColour> parseLightColour(std::string_view text) {
    const auto words = lineWords(text);
    if (words.empty() || words.size() > 2)
        return accept::refuse(words.empty() ? ErrorCode::EmptyText : ErrorCode::NotANumber, text,
                              kColourExpected);
    if (lowered(words[0].text).starts_with('x')) {
        if (words.size() == 1)
            return accept::refuse(ErrorCode::NotANumber, text, kColourExpected);
        return readChromaticity(words[0].text, words[1].text);
    }
    const auto cct = readTemperature(words[0].text);
    if (!cct)
        return cct.error();
    LightColour colour{*cct, std::nullopt};
    if (words.size() == 1)
        return colour;
    const auto duv = readAfter(words[1].text, "duv", -kFarthest.value(), kFarthest.value(),
                               "a Duv such as duv+0.012, at most 0.05 either way");
    if (!duv)
        return duv.error();
    colour.duv = Duv(*duv);
    return colour;
}

std::string spell(const LightColour& colour) {
    std::string text = exact(colour.cct.value()) + "K";
    if (colour.duv)
        text +=
            std::string(" duv") + (colour.duv->value() < 0 ? "" : "+") + exact(colour.duv->value());
    return text;
}

std::string print(ColourPoint point) {
    const bool usual = std::abs((point.duv - usualDuv(point.cct)).value()) < 0.0005;
    return print(point.cct) + (usual ? std::string() : " Duv " + print(point.duv));
}

std::string print(const LightColour& colour) {
    return print(pointOf(colour));
}

} // namespace bslate
