#include "core/words/wording.h"

#include "core/facts/setting_table.h"

#include "core/base/enumerated.h"

#include "core/quantity/print.h"
#include "core/words/body_words.h"
#include "core/words/remedy_words.h"
#include "core/words/sentences.h"

#include <cmath>

namespace bslate {
namespace {

// What a remedy leaves, clause by clause.
constexpr const char* kKeeps = "keeps {room} of {top}";
constexpr const char* kLoses = "loses {room} of {top}";
constexpr const char* kOverNoise = "{bottom} {above#} over noise";
constexpr const char* kInNoise = "{bottom} {above#} in the noise";
constexpr const char* kStands = "{above#} over noise"; // the same patch
constexpr const char* kDrowns = "{above#} in the noise";
constexpr const char* kWorse = "{worse} more lost";

std::string translated(const char* english, const Translator& translate) {
    return translate ? translate(english) : std::string(english);
}

std::string stopsText(Stops stops, bool sign, bool bare, bool fine) {
    if (fine)
        return (sign && stops > Stops(0.0) ? "+" : "") + fixedText(stops.value(), 2);
    const bool negative = bare && stops < Stops(0.0); // must not read as room
    std::string number = sign || negative ? print(stops) : printPlain(stops);
    return bare ? number : counted(number, "stop", "stops");
}

struct Filler {
    const Translator& translate;
    bool sign = false;
    bool bare = false;
    bool fine = false;
    bool comma = false;

    std::string operator()(Stops value) const { return stopsText(value, sign, bare, fine); }
    std::string operator()(const std::string& value) const { return value; }
    std::string operator()(int value) const { return std::to_string(value); }
    std::string operator()(const Shutter& value) const { return print(value); }
    std::string operator()(School value) const { return nameOf(value, translate); }
    std::string operator()(Payer value) const { return nameOf(value, translate); }
    std::string operator()(BodySetting value) const { return nameOf(value, translate); }
    std::string operator()(Function value) const { return nameOf(value, translate); }
    std::string operator()(AutomaticKind value) const { return nameOf(value, translate); }
    std::string operator()(const ReasonList& value) const {
        std::string text;
        for (const auto& reason : value.all)
            text += (text.empty() ? "" : comma ? ", " : "; ") + reasonOf(reason, translate);
        return text;
    }
    std::string operator()(Duration value) const { return printDuration(value.length); }
    std::string operator()(CardSpeed value) const { return printBytes(value.rate); }
    std::string operator()(ClockTime value) const { return printClock(value.time, value.atMost); }
    std::string operator()(Duv value) const {
        std::string text = print(value);
        return bare ? text.substr(text.find_first_of("0123456789")) : text;
    }
    std::string operator()(Density value) const { return fixedText(value.value(), 1); }
    std::string operator()(ZebraTap value) const {
        return translated(value == ZebraTap::Recorded ? "the recorded signal" : "the viewing LUT",
                          translate);
    }
    template<class Q>
    std::string operator()(Q value) const {
        return print(value);
    }
};

std::string placeText(std::string_view key, const Facts& facts, const Translator& translate) {
    Filler filler{translate};
    if (const auto noun = key.find(':'); noun != std::string_view::npos) {
        const auto many = key.find('|', noun);
        return counted(placeText(key.substr(0, noun), facts, translate),
                       key.substr(noun + 1, many - noun - 1), key.substr(many + 1));
    }
    if (key.starts_with(';')) {
        const auto list = placeText(key.substr(1), facts, translate);
        return list.empty() ? list : "; " + list;
    }
    if (!key.empty() && key.front() == ',') {
        filler.comma = true;
        key.remove_prefix(1);
    }
    if (!key.empty() && key.front() == '+') {
        filler.sign = true;
        key.remove_prefix(1);
    }
    bool tenths = false;
    if (key.ends_with("##")) {
        filler.fine = true;
        key.remove_suffix(2);
    } else if (key.ends_with("#")) {
        filler.bare = true;
        key.remove_suffix(1);
    } else if (key.ends_with("/10")) {
        tenths = true;
        key.remove_suffix(3);
    }
    for (const auto& fact : facts) {
        if (fact.name != key)
            continue;
        if (tenths)
            return fixedText(std::get<int>(fact.value) / 10.0, 1);
        return std::visit(filler, fact.value);
    }
    return "{" + std::string(key) + "}";
}

std::string fill(const char* english, const Facts& facts, const Translator& translate) {
    const std::string form = translated(english, translate);
    std::string text;
    for (std::size_t at = 0; at < form.size(); ++at) {
        const auto close = form[at] == '{' ? form.find('}', at) : std::string::npos;
        if (close == std::string::npos) {
            text += form[at];
            continue;
        }
        const std::string_view key(form.data() + at + 1, close - at - 1);
        text += placeText(key, facts, translate);
        at = close;
    }
    return text;
}

} // namespace

std::string counted(std::string_view number, std::string_view one, std::string_view many) {
    const auto first = number.find_first_of("0123456789");
    const auto digits = first == std::string_view::npos ? number : number.substr(first);
    const bool single =
        digits == "1" || digits.starts_with("0.") ||
        (digits.starts_with("1.") && digits.find_first_not_of('0', 2) == std::string_view::npos);
    return std::string(number) + " " + std::string(single ? one : many);
}

std::string titleOf(const Finding& finding, const Translator& translate) {
    return fill(kindOf(finding.id).title, finding.facts, translate);
}

std::string reasonOf(const Finding& finding, const Translator& translate) {
    std::string text = fill(kindOf(finding.id).text, finding.facts, translate);
    for (const auto& other : finding.follows)
        text += " " + (other.id == FindingId::PlaceOrHighlight
                           ? reasonOf(other, translate) // why: its title says no more
                           : titleOf(other, translate) + ".");
    return text;
}

std::string titleOf(const Remedy& remedy, const Translator& translate) {
    std::string title = fill(titleOf(remedy.id), remedy.facts, translate);
    // What it does beside that follows: nothing happens that the button does not say.
    for (const auto& fact : remedy.facts)
        if (fact.name == "also")
            for (const auto& reason : std::get<ReasonList>(fact.value).all)
                title += ", " + reasonOf(reason, translate);
    return title;
}

std::string effectOf(const Remedy& remedy, const Translator& translate) {
    if (remedy.effect)
        return reasonOf(*remedy.effect, translate);
    if (remedy.top.empty())
        return {};
    const auto plain = [](Stops stops) { return Stops(std::abs(stops.value())); };
    const Facts facts = {{"room", plain(remedy.highlights)},
                         {"top", remedy.top},
                         {"above", plain(remedy.shadows)},
                         {"bottom", remedy.bottom},
                         {"worse", remedy.worse}};
    const bool lost = remedy.highlights < Stops(0), drowned = remedy.shadows < Stops(0);
    std::string text = fill(lost ? kLoses : kKeeps, facts, translate) + ", " +
                       fill(remedy.bottom == remedy.top ? (drowned ? kDrowns : kStands)
                                                        : (drowned ? kInNoise : kOverNoise),
                            facts, translate);
    if (remedy.worse > 0)
        text += ", " + fill(kWorse, facts, translate);
    return text;
}

std::string nameOf(School school, const Translator& translate) {
    constexpr ByEnum<School, const char*> names{"Nominal", "Rated", "To the right",
                                                "Guard the highlights", "Raw thinking"};
    return translated(names[school], translate);
}

std::string nameOf(ShutterSchool school, const Translator& translate) {
    constexpr ByEnum<ShutterSchool, const char*> names{"Half the frame", "Crisp", "Mains-locked",
                                                       "By hand"};
    return translated(names[school], translate);
}

std::string nameOf(Payer payer, const Translator& translate) {
    constexpr ByEnum<Payer, const char*> names{"ND", "Iris", "Light", "Rating", "Nobody"};
    return translated(names[payer], translate);
}

std::string nameOf(PatchRole role, const Translator& translate) {
    constexpr ByEnum<PatchRole, const char*> names{
        "Grey card",         "Skin, light",    "Skin, medium", "Skin, dark",
        "Highlight to keep", "Shadow to keep", "White card",   "May be lost"};
    return translated(names[role], translate);
}

std::string nameOf(IsoBehaviour behaviour, const Translator& translate) {
    constexpr ByEnum<IsoBehaviour, const char*> names{"ISO is recorded", "EI changes the view only",
                                                      "ISO is a note (raw)"};
    return translated(names[behaviour], translate);
}

std::string nameOf(DialInField field, const Translator& translate) {
    return translated(settingTable()[field].name, translate);
}

std::string reasonOf(const Reason& reason, const Translator& translate) {
    if (const char* sentence = findSentence(reason.id))
        return fill(sentence, reason.facts, translate);
    const auto finding = findFinding(reason.id);
    return finding ? fill(kindOf(*finding).title, reason.facts, translate) : std::string(reason.id);
}

std::string nameOf(FigureId figure, const Translator& translate) {
    constexpr ByEnum<FigureId, const char*> names{
        "Recording",     "Rate",        "Plays at",     "Shutter",    "Flicker",    "Blur",
        "Profile",       "Bit rate",    "Bits a pixel", "Lasts",      "Card",       "Crop",
        "Angle of view", "Frames like", "Sharp",        "Hyperfocal", "Readout",    "ISO range",
        "Rating",        "ND",          "Iris",         "Sound",      "Autofocus",  "Clip limit",
        "Files of",      "Heat",        "Power",        "Proxy",      "Above grey", "Below grey",
        "Mid-grey"};
    return translated(names[figure], translate);
}

bool hasWording(std::string_view id) {
    return findSentence(id) != nullptr || findFinding(id).has_value();
}

} // namespace bslate
