#include "core/shoot/take_line.h"

#include "core/base/find_by_id.h"
#include "core/base/fresh_id.h"
#include "core/quantity/line_words.h"
#include "core/quantity/parse_gear.h"
#include "core/quantity/print.h"
#include "core/quantity/scan.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace bslate {
namespace {

constexpr std::size_t kLongestLine = 400;
constexpr std::string_view kForm = "setups, a length, and whole, a time or gap5min if wanted: "
                                   "4A+4B 70min whole 13:00";

Error wrong(ErrorCode code, std::string_view got, std::string expected) {
    return {code, {}, {}, shortened(got, 60), std::move(expected)};
}

// The numbers of setups joined by plus signs; one that holds a plus or a space is in quotes.
std::vector<std::string> numbersIn(std::string_view text, std::size_t& at) {
    std::vector<std::string> numbers(1);
    while (at < text.size() && text[at] != ' ' && text[at] != '\t') {
        if (text[at] == '+') {
            numbers.emplace_back();
            ++at;
        } else if (text[at] == '"') {
            for (++at; at < text.size() && text[at] != '"'; ++at) {
                if (text[at] == '\\' && at + 1 < text.size())
                    ++at;
                numbers.back() += text[at];
            }
            ++at;
        } else {
            numbers.back() += text[at++];
        }
    }
    return numbers;
}

const Setup* setupNumbered(const Shoot& shoot, const std::string& number) {
    const Setup* found = nullptr;
    for (const auto& setup : shoot.setups) {
        if (setup.number == number)
            return &setup;
        if (!found && lowered(setup.number) == lowered(number))
            found = &setup;
    }
    return found;
}

Result<std::vector<std::string>> setupsIn(const Shoot& shoot, const std::vector<std::string>& words,
                                          std::string_view text) {
    std::vector<std::string> ids;
    std::set<std::string> cameras;
    for (const auto& number : words) {
        const auto* found = setupNumbered(shoot, number);
        if (!found) {
            std::string known;
            for (std::size_t i = 0; i < shoot.setups.size() && i < 12; ++i)
                known += (i ? ", " : "") + shoot.setups[i].number;
            return wrong(ErrorCode::UnknownId, number,
                         known.empty() ? "the number of a setup; there is none yet"
                                       : "the number of a setup: " + known);
        }
        if (!cameras.insert(found->camera).second)
            return wrong(ErrorCode::OutOfRange, text, "one setup a camera in a take");
        ids.push_back(found->id);
    }
    return ids;
}

std::string setupWord(const std::string& number) {
    return number.find_first_of(" \t+\"") == std::string::npos && !number.empty() ? number
                                                                                  : quoted(number);
}

// A clock time: digits, a colon or h, digits. `70min` and `1h10` are lengths.
bool isClock(std::string_view word) {
    return word.find(':') != std::string_view::npos && parseTimeOfDay(word).ok();
}

} // namespace

Result<Take> parseTakeLine(const Shoot& shoot, std::string_view text) {
    if (text.size() > kLongestLine)
        return wrong(ErrorCode::OutOfRange, text, "a line of at most 400 characters");
    std::size_t at = std::min(text.find_first_not_of(" \t"), text.size());
    if (at == text.size())
        return wrong(ErrorCode::EmptyText, {}, std::string(kForm));
    Take take;
    const std::size_t from = at;
    const auto numbers = numbersIn(text, at);
    auto setups = setupsIn(shoot, numbers, text.substr(from, at - from));
    if (!setups)
        return setups.error();
    take.setups = *std::move(setups);
    bool timed = false;
    const auto words = lineWords(text.substr(at));
    for (const auto& typed : words) {
        const auto word = lowered(typed.text);
        const bool number = !word.empty() && word[0] >= '0' && word[0] <= '9';
        if (typed.quoted) {
            take.name += (take.name.empty() ? "" : " ") + typed.text;
        } else if (word == "whole") {
            take.whole = true;
        } else if (word.starts_with("gap") && word.size() > 3 && word[3] >= '0' && word[3] <= '9') {
            const auto gap = word == "gap0" ? Result(Seconds(0)) : parseDuration(word.substr(3));
            if (!gap)
                return wrong(ErrorCode::OutOfRange, typed.text, "a gap such as gap5min");
            take.gap = *gap;
        } else if (number && isClock(word)) {
            take.at = *parseTimeOfDay(word);
        } else if (number) {
            const auto length = parseDuration(word);
            if (!length || timed)
                return wrong(ErrorCode::OutOfRange, typed.text,
                             timed ? "one length" : "a length such as 70min");
            take.length = *length;
            timed = true;
        } else {
            take.name += (take.name.empty() ? "" : " ") + typed.text;
        }
    }
    if (!timed)
        return wrong(ErrorCode::EmptyText, text, std::string(kForm));
    return take;
}

Result<Happened> parseHappened(std::string_view text) {
    const std::string form = "how long it ran, and when it began if that was not as planned: "
                             "13:04 75min";
    Happened happened;
    std::string length;
    for (const auto& word : lineWords(text.substr(0, kLongestLine))) {
        if (isClock(word.text) && !happened.began && length.empty())
            happened.began = *parseTimeOfDay(word.text);
        else
            length += (length.empty() ? "" : " ") + word.text;
    }
    if (length.empty())
        return wrong(ErrorCode::EmptyText, text, form);
    const auto parsed = parseDuration(length);
    if (!parsed)
        return wrong(parsed.error().code, length, form);
    happened.ran = *parsed;
    return happened;
}

namespace {

std::string lineWith(const Shoot& shoot, const Take& take, const std::string& name) {
    std::string line;
    for (const auto& id : take.setups) {
        const auto* setup = findSetup(shoot, id);
        line += (line.empty() ? "" : "+") + (setup ? setupWord(setup->number) : std::string("?"));
    }
    const auto tight = [](std::string text) {
        std::erase(text, ' ');
        return text;
    };
    line += " " + tight(spellDuration(take.length));
    if (take.whole)
        line += " whole";
    if (take.at)
        line += " " + spellTimeOfDay(*take.at);
    if (take.gap != Take{}.gap)
        line += " gap" + (take.gap.value() > 0 ? tight(spellDuration(take.gap)) : "0");
    if (!take.name.empty())
        line += " " + name;
    return line;
}

} // namespace

std::string lineOf(const Shoot& shoot, const Take& take) {
    const std::string plain = lineWith(shoot, take, take.name);
    const std::string safe = lineWith(shoot, take, quoted(take.name));
    const auto read = parseTakeLine(shoot, plain), meant = parseTakeLine(shoot, safe);
    return read && meant && *read == *meant ? plain : safe;
}

std::vector<int> dayNumbers(const Shoot& shoot) {
    std::set<int> numbers;
    for (const auto& scene : shoot.scenes)
        numbers.insert(scene.day);
    for (const auto& day : shoot.plan)
        numbers.insert(day.number);
    if (numbers.empty())
        numbers.insert(1);
    return {numbers.begin(), numbers.end()};
}

Take rewritten(Take take, const Take& typed) {
    take.name = typed.name;
    take.setups = typed.setups;
    take.length = typed.length;
    take.at = typed.at;
    take.gap = typed.gap;
    take.whole = typed.whole;
    std::erase_if(take.cards, [&](const CardPin& pin) {
        return std::find(take.setups.begin(), take.setups.end(), pin.setup) == take.setups.end();
    });
    return take;
}

std::string addTake(ShootDay& day, Take take, std::string_view after) {
    take.id = freshId(day.takes, "take");
    const std::string id = take.id;
    const auto here = std::find_if(day.takes.begin(), day.takes.end(),
                                   [&](const Take& other) { return other.id == after; });
    day.takes.insert(here == day.takes.end() ? here : here + 1, std::move(take));
    return id;
}

ShootDay withCardFailed(ShootDay day, const std::string& card, Seconds at) {
    const auto same = [&](const CardFailure& failure) { return failure.card == card; };
    if (std::erase_if(day.failures, same) == 0)
        day.failures.push_back({card, clockOf(std::max(Seconds(0), at)), {}});
    return day;
}

ShootDay dayOf(const Shoot& shoot, int number) {
    for (const auto& day : shoot.plan)
        if (day.number == number)
            return day;
    ShootDay day;
    day.number = number;
    std::optional<Seconds> first;
    for (const auto& scene : shoot.scenes)
        if (scene.day == number && scene.start && (!first || *scene.start < *first))
            first = scene.start;
    if (first)
        day.start = std::max(Seconds(0), *first - Seconds(3600));
    return day;
}

namespace {

// Setups of a scene in rounds of at most one a camera.
std::vector<std::vector<const Setup*>> roundsOf(const Shoot& shoot, const Scene& scene) {
    std::vector<std::vector<const Setup*>> rounds;
    for (const auto& setup : shoot.setups) {
        if (setup.scene != scene.id)
            continue;
        const auto free = std::find_if(rounds.begin(), rounds.end(), [&](const auto& round) {
            return std::none_of(round.begin(), round.end(),
                                [&](const Setup* other) { return other->camera == setup.camera; });
        });
        if (free == rounds.end())
            rounds.push_back({&setup});
        else
            free->push_back(&setup);
    }
    return rounds;
}

} // namespace

std::vector<Take> takesFromScenes(const Shoot& shoot, int day) {
    // A scene without hours stays behind the one it is written behind.
    std::vector<std::pair<double, const Scene*>> scenes;
    double hour = -1;
    for (const auto& scene : shoot.scenes) {
        if (scene.day != day)
            continue;
        if (scene.start)
            hour = scene.start->value();
        scenes.emplace_back(hour, &scene);
    }
    std::stable_sort(scenes.begin(), scenes.end(),
                     [](const auto& a, const auto& b) { return a.first < b.first; });
    std::vector<Take> takes;
    for (const auto& [begins, scene] : scenes) {
        const auto rounds = roundsOf(shoot, *scene);
        bool first = true;
        for (const auto& round : rounds) {
            Seconds footage = scene->footage * (1.0 / static_cast<double>(rounds.size()));
            if (!(footage.value() > 0))
                footage = scene->longestTake.value() > 0 ? scene->longestTake : Seconds(600);
            const double most =
                scene->longestTake.value() > 0 ? scene->longestTake.value() : footage.value();
            const int count = static_cast<int>(std::ceil(footage.value() / most - 1e-9));
            for (int i = 0; i < count; ++i) {
                Take take;
                take.id = "t" + std::to_string(takes.size() + 1);
                take.name = scene->name;
                for (const auto* setup : round)
                    take.setups.push_back(setup->id);
                take.length = footage * (1.0 / count);
                take.whole = scene->longestTake.value() > 0;
                take.gap = first ? Seconds(1200) : Seconds(300);
                if (first)
                    take.at = scene->start;
                first = false;
                takes.push_back(std::move(take));
            }
        }
    }
    return takes;
}

} // namespace bslate
