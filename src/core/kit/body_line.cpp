#include "core/kit/body_line.h"

#include "core/base/field_check.h"
#include "core/kit/body_fields.h"
#include "core/quantity/line_words.h"
#include "core/quantity/scan.h"

#include <algorithm>

namespace bslate {
namespace {

constexpr const char* kBodyExpected =
    "bank, slips, auto, control, quick, own, firmware, region or clock, as in: bank 1 inside "
    "without shutter";

Error bodyRefused(const std::string& got, std::string expected = kBodyExpected,
                  ErrorCode code = ErrorCode::WrongType) {
    return {code, {}, {}, shortened(got), std::move(expected)};
}

template<class E>
std::string namesOf(std::span<const NamedValue<E>> names) {
    std::string text;
    for (const auto& name : names)
        text += (text.empty() ? "" : ", ") + std::string(name.name);
    return text;
}

// The words of one line, taken one after the other. A comma behind a name in a list is no part of
// it, one in free words is.
class BodyLineReader {
public:
    explicit BodyLineReader(const std::string& line)
        : m_words(lineWords(line)) {}

    [[nodiscard]] bool done() const { return m_at >= m_words.size(); }
    [[nodiscard]] std::string peek() const { return done() ? std::string() : m_words[m_at].text; }
    std::string next() { return done() ? std::string() : m_words[m_at++].text; }
    bool take(std::string_view word) {
        const bool here = !done() && !m_words[m_at].quoted && bare() == word;
        m_at += here ? 1 : 0;
        return here;
    }
    template<class E>
    const E* named(std::span<const NamedValue<E>> names) {
        const auto* value = done() ? nullptr : valueIn<E>(names, bare());
        m_at += value ? 1 : 0;
        return value;
    }
    template<class E>
    std::vector<E> list(std::span<const NamedValue<E>> names) {
        std::vector<E> values;
        while (const auto* value = named<E>(names))
            values.push_back(*value);
        return values;
    }
    // Everything up to a word of this kind, as it was typed.
    std::string rest(std::string_view end = {}) {
        std::string text;
        while (!done() && (end.empty() || peek() != end))
            text += (text.empty() ? "" : " ") + next();
        return text;
    }

private:
    [[nodiscard]] std::string bare() const {
        std::string word = lowered(peek());
        if (word.size() > 1 && word.back() == ',')
            word.pop_back();
        return word;
    }

    std::vector<LineWord> m_words;
    std::size_t m_at = 0;
};

Outcome readBank(BodyLineReader& words, Body& body, const Body& before) {
    Bank bank;
    bank.label = words.next();
    for (const auto& known : before.banks)
        if (known.label == bank.label)
            bank.extra = known.extra;
    while (!words.done()) {
        if (const auto* place = words.named<BankPlace>(kBankPlaceNames)) {
            bank.place = *place;
        } else if (words.take("locked")) {
            bank.locked = true;
        } else if (words.take("holds")) {
            bank.holds = words.list<BodySetting>(kBankSettingNames);
        } else if (words.take("without")) {
            for (const auto setting : words.list<BodySetting>(kBankSettingNames))
                std::erase(bank.holds, setting);
        } else {
            return bodyRefused(words.peek(), "inside or card, locked, and holds or without: " +
                                                 namesOf<BodySetting>(kBankSettingNames));
        }
    }
    body.banks.push_back(std::move(bank));
    return Done{};
}

Outcome readSlip(BodyLineReader& words, Body& body, const Body&) {
    Slip slip;
    const auto* setting = words.named<BodySetting>(kSettingNames);
    if (!setting)
        return bodyRefused(words.peek(), "a setting: " + namesOf<BodySetting>(kSettingNames));
    const auto* cause = words.named<SlipCause>(kSlipCauseNames);
    if (!cause)
        return bodyRefused(words.peek(), "why it slips: " + namesOf<SlipCause>(kSlipCauseNames));
    slip.setting = *setting;
    slip.cause = *cause;
    if (!words.done() && !words.take("to"))
        return bodyRefused(words.peek(), "to, and where it goes: to 5600 K");
    slip.to = words.rest();
    body.slips.push_back(std::move(slip));
    return Done{};
}

Outcome readAutomatic(BodyLineReader& words, Body& body, const Body&) {
    Automatic automatic;
    const auto* kind = words.named<AutomaticKind>(kAutomaticNames);
    if (!kind)
        return bodyRefused(words.peek(), namesOf<AutomaticKind>(kAutomaticNames));
    automatic.kind = *kind;
    if (words.take("in"))
        automatic.where = words.rest(":");
    if (words.take(":"))
        automatic.effect = words.rest();
    if (!words.done())
        return bodyRefused(words.peek(), "in, where it is switched off; a colon, what it does");
    body.automatics.push_back(std::move(automatic));
    return Done{};
}

Outcome readControl(BodyLineReader& words, Body& body, const Body& before) {
    Control control;
    control.label = words.next();
    for (const auto& known : before.controls)
        if (known.label == control.label)
            control.extra = known.extra;
    const std::string functions = namesOf<Function>(kFunctionNames);
    while (!words.done()) {
        if (const auto* kind = words.named<ControlKind>(kControlKindNames)) {
            control.kind = *kind;
        } else if (const auto* place = words.named<ControlPlace>(kControlPlaceNames)) {
            control.place = *place;
        } else if (words.take("takes")) {
            control.takes = words.list<Function>(kFunctionNames);
        } else if (words.take("each-mode")) {
            control.perMode = true;
        } else {
            const bool printed = words.take("printed");
            const bool chosen = !printed && words.take("chosen");
            const auto* function =
                printed || chosen ? words.named<Function>(kFunctionNames) : nullptr;
            if (!function)
                return bodyRefused(words.peek(),
                                   printed || chosen
                                       ? functions
                                       : "a kind (" + namesOf<ControlKind>(kControlKindNames) +
                                             "), a place (" +
                                             namesOf<ControlPlace>(kControlPlaceNames) +
                                             "), printed, takes, chosen or each-mode");
            (printed ? control.printed : control.chosen) = *function;
        }
    }
    body.controls.push_back(std::move(control));
    return Done{};
}

Outcome readCount(BodyLineReader& words, int& count, int most) {
    const auto text = words.next();
    const bool digits =
        !text.empty() && text.size() <= 3 && std::all_of(text.begin(), text.end(), isDigit);
    const int value = digits ? std::stoi(text) : -1;
    if (value < 0 || value > most || !words.done())
        return bodyRefused(text, "a number from 0 to " + std::to_string(most),
                           ErrorCode::OutOfRange);
    count = value;
    return Done{};
}

Outcome readBodyLine(const std::string& line, Body& body, const Body& before) {
    BodyLineReader words(line);
    if (words.take("bank"))
        return readBank(words, body, before);
    if (words.take("slips"))
        return readSlip(words, body, before);
    if (words.take("auto"))
        return readAutomatic(words, body, before);
    if (words.take("control"))
        return readControl(words, body, before);
    if (words.take("quick"))
        return readCount(words, body.quickMenu, 40);
    if (words.take("own"))
        return readCount(words, body.ownMenu, 20);
    if (words.take("firmware"))
        body.facts.firmware = words.rest();
    else if (words.take("region"))
        body.facts.region = words.rest();
    else if (words.take("clock"))
        body.facts.clock = words.rest();
    else
        return bodyRefused(words.peek());
    return Done{};
}

// What the tables of the fields say of the thing that was read last.
template<class T>
std::optional<Error> faultOfLast(const std::vector<T>& items, std::size_t before) {
    if (items.size() == before)
        return std::nullopt;
    const auto fault = faultIn(items.back());
    if (!fault)
        return std::nullopt;
    return Error{fault->code, {}, {}, fault->got, fault->expected};
}

// A name that reads back as one word.
std::string wordOf(const std::string& name) {
    const bool plain = !name.empty() && name.find_first_of(" \t\"\\,:") == std::string::npos;
    return plain ? name : quoted(name);
}

template<class E>
std::string listOf(const std::vector<E>& values, std::span<const NamedValue<E>> names) {
    std::string text;
    for (const auto value : values)
        text += (text.empty() ? "" : ", ") + std::string(nameIn<E>(names, value));
    return text;
}

std::string lineOf(const Bank& bank) {
    std::string line = "bank " + wordOf(bank.label) + " " +
                       std::string(nameIn<BankPlace>(kBankPlaceNames, bank.place));
    std::vector<BodySetting> missing;
    for (const auto setting : kBankSettings)
        if (!holds(bank, setting))
            missing.push_back(setting);
    if (missing.size() > kBankSettings.size() / 2)
        line += " holds " + listOf<BodySetting>(bank.holds, kBankSettingNames);
    else if (!missing.empty())
        line += " without " + listOf<BodySetting>(missing, kBankSettingNames);
    return line + (bank.locked ? " locked" : "");
}

std::string lineOf(const Control& control) {
    std::string line = "control " + wordOf(control.label) + " " +
                       std::string(nameIn<ControlKind>(kControlKindNames, control.kind)) + " " +
                       std::string(nameIn<ControlPlace>(kControlPlaceNames, control.place));
    const auto add = [&](const char* word, const std::optional<Function>& function) {
        if (function)
            line += word + std::string(nameIn<Function>(kFunctionNames, *function));
    };
    add(" printed ", control.printed);
    if (!control.takes.empty())
        line += " takes " + listOf<Function>(control.takes, kFunctionNames);
    add(" chosen ", control.chosen);
    return line + (control.perMode ? " each-mode" : "");
}

} // namespace

std::vector<std::string> bodyLines(const Body& body) {
    std::vector<std::string> lines;
    for (const auto& bank : body.banks)
        lines.push_back(lineOf(bank));
    for (const auto& slip : body.slips)
        lines.push_back("slips " + std::string(nameIn<BodySetting>(kSettingNames, slip.setting)) +
                        " " + std::string(nameIn<SlipCause>(kSlipCauseNames, slip.cause)) +
                        (slip.to.empty() ? "" : " to " + slip.to));
    for (const auto& automatic : body.automatics)
        lines.push_back("auto " +
                        std::string(nameIn<AutomaticKind>(kAutomaticNames, automatic.kind)) +
                        (automatic.where.empty() ? "" : " in " + automatic.where) +
                        (automatic.effect.empty() ? "" : " : " + automatic.effect));
    for (const auto& control : body.controls)
        lines.push_back(lineOf(control));
    const auto count = [&](const char* word, int number) {
        if (number > 0)
            lines.push_back(word + std::to_string(number));
    };
    count("quick ", body.quickMenu);
    count("own ", body.ownMenu);
    const auto fact = [&](const char* word, const std::string& text) {
        if (!text.empty())
            lines.push_back(word + text);
    };
    fact("firmware ", body.facts.firmware);
    fact("region ", body.facts.region);
    fact("clock ", body.facts.clock);
    return lines;
}

Result<Body> bodyFrom(const Body& before, const std::vector<std::string>& lines) {
    Body body;
    for (std::size_t i = 0; i < lines.size(); ++i) {
        if (lines[i].find_first_not_of(" \t\r") == std::string::npos)
            continue;
        const auto banks = body.banks.size(), controls = body.controls.size();
        const auto outcome = readBodyLine(lines[i], body, before);
        auto fault = outcome ? std::nullopt : std::optional(outcome.error());
        if (!fault)
            fault = faultOfLast(body.banks, banks);
        if (!fault)
            fault = faultOfLast(body.controls, controls);
        for (const auto& twice : {doubleLabel("", body.banks), doubleLabel("", body.controls)})
            if (!fault && twice)
                fault = Error{ErrorCode::OutOfRange, {}, {}, twice->got, twice->expected};
        if (!fault)
            continue;
        fault->place = "line " + std::to_string(i + 1);
        return *fault;
    }
    return body;
}

} // namespace bslate
