#include "core/kit/white_dial_line.h"

#include "core/base/enumerated.h"

#include "core/quantity/accept.h"
#include "core/quantity/line_words.h"
#include "core/quantity/number_text.h"
#include "core/quantity/scan.h"

#include <algorithm>
#include <vector>

namespace bslate {
namespace {

constexpr std::string_view kDialExpected =
    "a step of kelvin from 1 to 1000, then 2500-10000 and tint 0.0013 to 9 M/G where the body has "
    "them";

struct Marks {
    std::string_view word;
    TintMarks marks;
};
constexpr Marks kMarks[] = {
    {"m/g", TintMarks::Letters}, {"+m", TintMarks::PlusMagenta}, {"+g", TintMarks::PlusGreen}};

Error wrongWord(std::string_view word) {
    return accept::refuse(ErrorCode::OutOfRange, word, kDialExpected);
}

struct DialReader {
    std::vector<LineWord> words;
    std::size_t at = 0;
    WhiteDial dial;

    Result<double> number(double low, double high) {
        if (at >= words.size())
            return wrongWord("nothing");
        const auto& word = words[at++].text;
        const auto value = accept::read(word, {kDialExpected, {}, {{"", 1}, {"k", 1}}, low, high});
        return value ? value : Result<double>(wrongWord(word));
    }

    // `2500-10000`; false when it is none.
    Result<bool> range() {
        const auto dash = at < words.size() ? words[at].text.find('-') : std::string::npos;
        if (dash == std::string::npos || dash == 0)
            return false;
        const auto& word = words[at].text;
        const accept::Accepts kelvin{kDialExpected, {}, {{"", 1}, {"k", 1}}, 1000, 40000};
        const auto low = accept::read(word.substr(0, dash), kelvin);
        const auto high = accept::read(word.substr(dash + 1), kelvin);
        if (!low || !high || *high < *low)
            return wrongWord(word);
        dial.lowest = Kelvin(*low);
        dial.highest = Kelvin(*high);
        ++at;
        return true;
    }

    Outcome tint() {
        auto& tint = dial.tint.emplace();
        const auto unit = number(0.00001, 0.02);
        if (!unit)
            return unit.error();
        tint.unit = Duv(*unit);
        while (at < words.size()) {
            const auto word = lowered(words[at++].text);
            const auto* marks =
                std::find_if(std::begin(kMarks), std::end(kMarks),
                             [&](const Marks& known) { return known.word == word; });
            if (marks != std::end(kMarks)) {
                tint.marks = marks->marks;
                continue;
            }
            if (word != "to" && word != "by")
                return wrongWord(words[at - 1].text);
            const auto value = number(0.01, 1000);
            if (!value)
                return value.error();
            (word == "to" ? tint.most : tint.step) = *value;
        }
        return tint.most < tint.step ? Outcome(wrongWord("tint")) : Outcome(Done{});
    }
};

} // namespace

Result<WhiteDial> parseWhiteDial(std::string_view text) {
    DialReader reader;
    reader.words = lineWords(text);
    const auto step = reader.number(1, 1000);
    if (!step)
        return step.error();
    reader.dial.step = *step;
    if (const auto range = reader.range(); !range)
        return range.error();
    if (reader.at == reader.words.size())
        return reader.dial;
    if (lowered(reader.words[reader.at].text) != "tint")
        return wrongWord(reader.words[reader.at].text);
    ++reader.at;
    if (const auto done = reader.tint(); !done)
        return done.error();
    return reader.dial;
}

std::string spell(const WhiteDial& dial) {
    std::string text = exact(dial.step);
    const WhiteDial usual;
    if (dial.lowest != usual.lowest || dial.highest != usual.highest)
        text += " " + exact(dial.lowest.value()) + "-" + exact(dial.highest.value());
    if (!dial.tint)
        return text;
    text += " tint " + exact(dial.tint->unit.value());
    if (dial.tint->step != 1)
        text += " by " + exact(dial.tint->step);
    text += " to " + exact(dial.tint->most);
    constexpr ByEnum<TintMarks, std::string_view> kWords{" M/G", " +M", " +G"};
    return text + std::string(kWords[dial.tint->marks]);
}

} // namespace bslate
