#include "core/kit/white_dial.h"

#include "core/quantity/accept.h"
#include "core/quantity/line_words.h"
#include "core/quantity/number_text.h"
#include "core/quantity/parse.h"
#include "core/quantity/print.h"
#include "core/quantity/scan.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

double toStep(double value, double step) {
    return step > 0 ? std::round(value / step) * step : value;
}

std::string rangeText(const WhiteDial& dial) {
    std::string text = "a white such as " +
                       print(dial, {whiteOnDial(dial, Kelvin(4300)), Tint(0)}) + ", " +
                       print(dial.lowest) + " to " + print(dial.highest);
    if (dial.tint)
        text += ", with tint such as " + printTint(dial, Tint(dial.tint->step)) + " up to " +
                printTint(dial, Tint(dial.tint->most));
    return text;
}

// A word of tint as a signed number of units; nothing when it is none.
std::optional<Result<Tint>> readTint(const WhiteDial& dial, const std::string& word) {
    std::string text = lowered(word);
    const bool told = text.starts_with("tint");
    if (told)
        text.erase(0, 4);
    double sign = 0;
    if (text.starts_with('m') || text.starts_with('g'))
        sign = text.front() == 'm' ? 1 : -1;
    else if (text.starts_with('+') || text.starts_with('-'))
        sign = (text.front() == '+') == (!dial.tint || dial.tint->marks != TintMarks::PlusGreen)
                   ? 1
                   : -1;
    else if (!told || text.empty())
        return std::nullopt;
    const auto number = sign == 0 ? text : text.substr(1);
    if (number.empty() || !isDigit(number.front()) || number.ends_with('k') ||
        number.find("mired") != std::string::npos)
        return std::nullopt;
    if (!dial.tint)
        return Result<Tint>(
            Error{ErrorCode::OutOfRange, {}, {}, word, "kelvin alone: this camera has no tint"});
    const auto units = accept::read(number, {rangeText(dial), {}, {{"", 1}}, 0, dial.tint->most});
    if (!units)
        return Result<Tint>(Error{units.error().code, {}, {}, word, rangeText(dial)});
    return Result<Tint>(Tint((sign == 0 ? 1 : sign) * *units));
}

} // namespace

Kelvin whiteOnDial(const WhiteDial& dial, Kelvin wanted) {
    return std::clamp(Kelvin(toStep(wanted.value(), dial.step)), dial.lowest, dial.highest);
}

WhiteSetting whiteOnDial(const WhiteDial& dial, const WhiteSetting& wanted) {
    if (!dial.tint)
        return {whiteOnDial(dial, wanted.kelvin), Tint(0)};
    const double most = dial.tint->most;
    return {whiteOnDial(dial, wanted.kelvin),
            Tint(std::clamp(toStep(wanted.tint.value(), dial.tint->step), -most, most))};
}

WhiteSetting whiteFor(const WhiteDial& dial, ColourPoint light) {
    const Kelvin kelvin = whiteOnDial(dial, light.cct);
    const double off = (light.duv - usualDuv(kelvin)).value();
    return whiteOnDial(dial, {kelvin, Tint(dial.tint ? off / dial.tint->unit.value() : 0)});
}

WhiteSetting stepped(const WhiteDial& dial, const WhiteSetting& from, int kelvinSteps,
                     int tintSteps) {
    const auto on = whiteOnDial(dial, from);
    const double step = dial.step > 0 ? dial.step : 1;
    const double tintStep = dial.tint ? dial.tint->step : 0;
    return whiteOnDial(dial, {Kelvin(on.kelvin.value() + step * kelvinSteps),
                              on.tint + Tint(tintStep * tintSteps)});
}

ColourPoint whitePoint(const WhiteDial& dial, const WhiteSetting& setting) {
    const double units = dial.tint ? setting.tint.value() * dial.tint->unit.value() : 0;
    return {setting.kelvin, usualDuv(setting.kelvin) + Duv(units)};
}

std::string printTint(const WhiteDial& dial, Tint tint) {
    const double units = tint.value();
    if (!dial.tint || units == 0)
        return {};
    std::string number = trimmed(std::abs(units), 2);
    switch (dial.tint->marks) {
    case TintMarks::Letters:
        return (units > 0 ? "M" : "G") + number;
    case TintMarks::PlusMagenta:
        return (units > 0 ? "+" : "-") + number;
    case TintMarks::PlusGreen:
        return (units > 0 ? "-" : "+") + number;
    }
    return number;
}

std::string print(const WhiteDial& dial, const WhiteSetting& setting) {
    const auto tint = printTint(dial, setting.tint);
    return print(setting.kelvin) + (tint.empty() ? "" : " " + tint);
}

Result<TypedWhite> parseWhite(const WhiteDial& dial, std::string_view text) {
    TypedWhite typed;
    std::string kelvin;
    for (const auto& [word, isQuoted] : lineWords(text)) {
        if (lowered(word) == "card") {
            typed.by = WhiteBy::Card;
            continue;
        }
        const auto tint = kelvin.empty() ? std::nullopt : readTint(dial, word);
        if (!tint) {
            kelvin += (kelvin.empty() ? "" : " ") + word;
            continue;
        }
        if (!*tint)
            return tint->error();
        typed.setting.tint = **tint;
    }
    const auto read = parseKelvin(kelvin);
    if (!read)
        return Error{read.error().code, {}, {}, std::string(text), rangeText(dial)};
    if (*read < dial.lowest || *read > dial.highest)
        return Error{ErrorCode::OutOfRange, {}, {}, kelvin, rangeText(dial)};
    typed.setting.kelvin = *read;
    return typed;
}

} // namespace bslate
