#include "core/shoot/scene_line.h"

#include "core/quantity/line_words.h"
#include "core/quantity/parse.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/scan.h"
#include "core/shoot/scene_words.h"

#include <algorithm>
#include <optional>

namespace bslate {
namespace {

constexpr std::size_t kLongest = 400;

bool isLetter(char c) {
    return (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z');
}
// A comma ends a word but never splits one, so that "4,5lx" is not read as 5 lx.
std::vector<LineWord> wordsOf(std::string_view text) {
    std::vector<LineWord> words;
    for (auto& word : lineWords(text)) {
        while (!word.quoted && !word.text.empty() &&
               (word.text.back() == ',' || word.text.back() == ';'))
            word.text.pop_back();
        if (word.quoted || !word.text.empty())
            words.push_back(std::move(word));
    }
    return words;
}

// "2A", "14", "3": digits with at most one letter.
bool isSceneNumber(std::string_view word) {
    std::size_t digits = 0;
    while (digits < word.size() && isDigit(word[digits]))
        ++digits;
    const bool letter = digits + 1 == word.size() && isLetter(word.back());
    return digits > 0 && digits <= 4 && (digits == word.size() || letter);
}

struct SceneLineReader {
    std::vector<std::string> words;
    std::vector<bool> quoted; // of each word: it is a name whatever it says
    std::size_t at = 0;
    SceneLine line;
    std::optional<LightReading> reading;
    bool takeSeen = false;
    std::optional<Error> error;

    // `count` words from here were understood as `part`.
    bool take(LinePart part, std::size_t count = 1) {
        std::string text = words[at];
        for (std::size_t i = 1; i < count; ++i)
            text += " " + words[at + i];
        line.pieces.push_back({part, std::move(text)});
        at += count;
        return true;
    }

    [[nodiscard]] std::string pair() const {
        return at + 1 < words.size() && !quoted[at + 1] ? words[at] + " " + words[at + 1]
                                                        : std::string();
    }
    bool named() {
        line.scene.name += (line.scene.name.empty() ? "" : " ") + words[at];
        return take(LinePart::Name);
    }

    bool number();
    bool word();
    bool handling();
    bool day();
    bool light();
    bool change();
    bool lamp();
    bool colour();
    bool depth();
    bool motion();
    bool length();
    bool small();
    void next();
    void finish();
};

bool SceneLineReader::number() {
    // "#" makes a number of whatever follows it.
    const bool told = at == 0 && words[0].size() > 1 && words[0].front() == '#';
    if (at != 0 || !(told || isSceneNumber(words[0])))
        return false;
    line.scene.number = told ? words[0].substr(1) : words[0];
    return take(LinePart::Number);
}

bool SceneLineReader::word() {
    auto& scene = line.scene;
    const std::string typed = lowered(words[at]);
    if (typed == "int" || typed == "ext") {
        scene.place = typed == "int" ? Place::Interior : Place::Exterior;
        return take(LinePart::Place);
    }
    if (typed == "talk" || typed == "sound" || typed == "mute" || typed == "mos") {
        scene.sound = typed == "talk" || typed == "sound";
        return take(LinePart::Sound);
    }
    bool* const hazard = typed == "water"     ? &scene.hazards.water
                         : typed == "heights" ? &scene.hazards.heights
                         : typed == "mains"   ? &scene.hazards.mains
                         : typed == "sunshot" ? &scene.hazards.sun
                                              : nullptr;
    if (hazard) {
        *hazard = true;
        return take(LinePart::Hazard);
    }
    for (const auto& known : kLightWords)
        if (known.word == typed) {
            scene.described = known.light;
            return take(LinePart::Described);
        }
    return false;
}

bool SceneLineReader::handling() {
    auto& scene = line.scene;
    const std::string typed = lowered(words[at]);
    for (const auto& known : kSupportWords)
        if (known.word == typed) {
            scene.support = known.support;
            return take(LinePart::Support);
        }
    for (const auto& known : kFocusWords)
        if (known.word == typed) {
            scene.focusBy = known.focus;
            return take(LinePart::Focus);
        }
    for (const auto& known : kSoundWords)
        if (known.word == typed) {
            scene.sound = true;
            scene.soundBy = known.sound;
            return take(LinePart::Sound);
        }
    return false;
}

bool SceneLineReader::day() {
    const std::string typed = lowered(words[at]);
    const std::string_view digits =
        std::string_view(typed).substr(typed.starts_with("day") ? 3
                                       : typed.starts_with("d") ? 1
                                                                : typed.size());
    const bool number =
        !digits.empty() && digits.size() <= 4 && std::all_of(digits.begin(), digits.end(), isDigit);
    if (number && std::stoi(std::string(digits)) > 0) {
        line.scene.day = std::stoi(std::string(digits));
        return take(LinePart::Day);
    }
    if (const auto time = parseTimeOfDay(typed); time && typed.find(':') == 2) {
        line.scene.start = *time;
        return take(LinePart::Start);
    }
    return false;
}

bool SceneLineReader::light() {
    for (const std::size_t count : {std::size_t{1}, std::size_t{2}}) {
        const std::string text = count == 1 ? words[at] : pair();
        // A lone "EV" or number must wait for its partner.
        if (const auto value = parseLightReading(text)) {
            reading = *value;
            return take(LinePart::Reading, count);
        }
    }
    return false;
}

// "to EV14.6 in 40min" or ">EV14.6/40min".
bool SceneLineReader::change() {
    const std::string typed = words[at];
    if (typed.front() == '>' || typed.starts_with("\u2192")) {
        const auto slash = typed.rfind('/');
        if (slash == std::string::npos)
            return false;
        const std::size_t arrow = typed.front() == '>' ? 1 : 3;
        const auto to = parseLightReading(typed.substr(arrow, slash - arrow));
        const auto over = parseDuration(typed.substr(slash + 1));
        if (!to || !over)
            return false;
        line.scene.change = LightChange{*to, *over};
        return take(LinePart::Change);
    }
    if (lowered(typed) != "to")
        return false;
    for (std::size_t count = 1; count <= 2; ++count) { // "EV14.6" or "EV 14.6"
        const std::size_t in = at + 1 + count;
        if (in + 1 >= words.size() || lowered(words[in]) != "in")
            continue;
        const auto to =
            parseLightReading(count == 1 ? words[at + 1] : words[at + 1] + " " + words[at + 2]);
        const auto over = parseDuration(words[in + 1]);
        if (!to || !over)
            continue;
        line.scene.change = LightChange{*to, *over};
        return take(LinePart::Change, count + 3);
    }
    return false;
}

bool SceneLineReader::lamp() {
    const std::string typed = lowered(words[at]);
    auto& lamps = line.scene.lamps;
    for (const auto& known : kLampWords)
        if (known.word == typed && isOnTheLine(known.kind)) {
            Lamp lamp;
            lamp.name = words[at];
            lamp.kind = known.kind;
            lamps.push_back(std::move(lamp));
            return take(LinePart::Lamp);
        }
    if (!typed.ends_with("hz"))
        return false;
    const auto pulses = parseHertz(typed);
    if (!pulses)
        return false;
    if (lamps.empty()) {
        lamps.emplace_back();
        lamps.back().name = words[at];
        lamps.back().kind = LampKind::DimmedLed;
    }
    lamps.back().pulses = *pulses;
    return take(LinePart::Lamp);
}

bool SceneLineReader::colour() {
    const std::string typed = lowered(words[at]);
    if (!isDigit(typed.front()) || !(typed.ends_with('k') || typed.ends_with("mired")))
        return false;
    auto& told = line.scene.lamps.empty() ? line.scene.light : line.scene.lamps.back().colour;
    const bool more = lowered(pair()).find(" duv") != std::string::npos;
    for (const std::size_t count : {std::size_t{2}, std::size_t{1}}) {
        if (count == 2 && !more)
            continue;
        if (const auto read = parseLightColour(count == 2 ? pair() : words[at])) {
            told = *read;
            return take(LinePart::Colour, count);
        }
    }
    return false;
}

bool SceneLineReader::depth() {
    const std::string typed = lowered(words[at]);
    if (typed.front() != 't' || typed.size() < 2 || !isDigit(typed[1]))
        return false;
    const auto dash = typed.find('-');
    const auto wide = parseTStop(typed.substr(0, dash));
    const auto narrow = dash == std::string::npos ? wide : parseTStop(typed.substr(dash + 1));
    if (!wide || !narrow)
        return false;
    line.scene.depth = DepthWish{std::min(*wide, *narrow), std::max(*wide, *narrow)};
    return take(LinePart::Depth);
}

bool SceneLineReader::motion() {
    const std::string typed = lowered(words[at]);
    if (typed.ends_with("w/s")) {
        const auto speed = parseWidthsPerSecond(typed);
        if (!speed)
            return false;
        line.scene.subjectSpeed = *speed;
        return take(LinePart::Speed);
    }
    if (typed.starts_with("pan") && typed.size() > 3) {
        const auto pan = parseDegreesPerSecond(typed.substr(3));
        if (!pan)
            return false;
        line.scene.pan = *pan;
        return take(LinePart::Pan);
    }
    if (!(typed.front() == 'x' || typed.back() == 'x') || typed.size() < 2)
        return false;
    const auto factor = parseFactor(typed);
    if (!factor)
        return false;
    line.scene.slowMotion = *factor;
    return take(LinePart::SlowMotion);
}

bool SceneLineReader::length() {
    auto& scene = line.scene;
    const auto isLength = [](const std::string& word) {
        return word.find_first_of("hms") != std::string::npos && isDigit(word.front());
    };
    if (lowered(words[at]) == "all" && at + 1 < words.size() && !quoted[at + 1] &&
        isLength(words[at + 1])) {
        if (const auto footage = parseDuration(words[at + 1])) {
            scene.footage = *footage;
            return take(LinePart::Footage, 2);
        }
        return false;
    }
    for (const std::size_t count : {std::size_t{1}, std::size_t{2}}) {
        const std::string text = count == 1 ? words[at] : pair();
        if (text.empty() || !isLength(lowered(text)) ||
            (count == 2 && !std::all_of(words[at].begin(), words[at].end(), isDigit)))
            continue;
        const auto time = parseDuration(text);
        if (!time)
            continue;
        (takeSeen ? scene.footage : scene.longestTake) = *time;
        const bool second = takeSeen;
        takeSeen = true;
        return take(second ? LinePart::Footage : LinePart::LongestTake, count);
    }
    return false;
}

bool SceneLineReader::small() {
    const std::string typed = lowered(words[at]);
    const bool number = isDigit(typed.front()) || typed.front() == '-';
    if (!number)
        return false;
    if (typed.ends_with("deg") || typed.ends_with("\u00b0"))
        if (const auto view = parseDegrees(typed)) {
            line.scene.view = *view;
            return take(LinePart::View);
        }
    if (typed.ends_with("c"))
        if (const auto ambient = parseCelsius(typed)) {
            line.scene.ambient = *ambient;
            return take(LinePart::Ambient);
        }
    return false;
}

void SceneLineReader::next() {
    if (quoted[at]) {
        if (!(at == 0 && words[0].starts_with('#') && number()))
            named();
        return;
    }
    if (number() || change() || word() || handling() || day() || lamp() || colour() || depth() ||
        motion() || small() || length() || light())
        return;
    const std::string& typed = words[at];
    // A digit in front announces a quantity: a mistyped one must not end up in the name.
    if (isDigit(typed.front()) && typed.size() > 1 && !isSceneNumber(typed)) {
        error =
            Error{ErrorCode::OutOfRange,
                  {},
                  {},
                  typed,
                  "a reading such as 26cd/m2 or 108lx, a time such as 12min or 05:40, x4, T2.8, "
                  "400Hz, 4300K, 54deg or 9C"};
        ++at;
        return;
    }
    named();
}

void SceneLineReader::finish() {
    Patch grey;
    grey.id = "grey";
    grey.name = "Grey card";
    grey.role = PatchRole::Grey;
    if (reading) {
        grey.reading = *reading;
    } else if (line.scene.described) {
        grey.reading = {middleOf(luxOf(*line.scene.described)).value(), LightUnit::Lux};
        grey.estimated = true;
    } else {
        grey.estimated = true; // the default reading stands for nothing anyone has measured
    }
    line.scene.patches.push_back(grey);
}

} // namespace

Result<SceneLine> parseSceneLine(std::string_view text) {
    constexpr const char* expected = "a scene such as: 2A doorway int 26cd/m2 talk 12min";
    if (text.size() > kLongest)
        return Error{
            ErrorCode::OutOfRange, {}, {}, shortened(text), "a line of at most 400 characters"};
    SceneLineReader reader;
    for (auto& word : wordsOf(text)) {
        reader.words.push_back(std::move(word.text));
        reader.quoted.push_back(word.quoted);
    }
    while (reader.at < reader.words.size() && !reader.error)
        reader.next();
    if (reader.error)
        return *reader.error;
    if (reader.line.scene.name.empty())
        return Error{ErrorCode::EmptyText, {}, {}, shortened(text), expected};
    reader.finish();
    return reader.line;
}

} // namespace bslate
