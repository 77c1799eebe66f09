#include "core/clip/clip_match.h"

#include "core/base/find_by_id.h"
#include "core/clip/clip_check.h"
#include "core/facts/evaluate.h"
#include "core/quantity/scan.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

constexpr int kFewestPoints = 5;
constexpr int kMostFormat = 8;
constexpr Seconds kNear{600};

bool isWord(char c) {
    return isDigit(c) || (c >= 'a' && c <= 'z');
}

// Only letters and digits, parted by single spaces, with one at either end.
std::string plain(std::string_view text) {
    std::string words = " ";
    for (const char c : lowered(text)) {
        if (isWord(c))
            words += c;
        else if (words.back() != ' ')
            words += ' ';
    }
    if (words.back() != ' ')
        words += ' ';
    return words;
}

bool names(const std::string& words, std::string_view name) {
    const auto own = plain(name);
    return own.size() > 2 && words.find(own) != std::string::npos;
}

std::string wordsOf(const ClipFacts& clip) {
    std::string all = clip.file.substr(0, clip.file.find_last_of('.'));
    for (const auto& [key, value] : clip.notes)
        all += " " + value;
    return plain(all);
}

// Seconds since midnight of `2026-05-13T06:12:00`, as the camera's clock had it.
std::optional<Seconds> timeOfDay(const std::string& written) {
    const auto at = written.find('T');
    if (at == std::string::npos || written.size() < at + 9)
        return std::nullopt;
    const auto two = [&](std::size_t from) {
        return isDigit(written[from]) && isDigit(written[from + 1])
                   ? (written[from] - '0') * 10 + written[from + 1] - '0'
                   : -1;
    };
    const int hours = two(at + 1), minutes = two(at + 4), seconds = two(at + 7);
    if (hours < 0 || minutes < 0 || seconds < 0)
        return std::nullopt;
    return Seconds(hours * 3600 + minutes * 60 + seconds);
}

bool wasTakenAt(const Shoot& shoot, const Setup& setup, Seconds time, std::optional<int> told) {
    if (!told && shoot.plan.size() != 1)
        return false;
    for (const auto& day : shoot.plan)
        for (const auto& take : day.takes) {
            const auto start = take.began ? take.began : take.at;
            if ((!told || day.number == *told) && start &&
                std::find(take.setups.begin(), take.setups.end(), setup.id) != take.setups.end() &&
                Seconds(std::abs((time - *start).value())) <= kNear)
                return true;
        }
    return false;
}

int formatPoints(const SetupContext& context, const ClipPicture& picture) {
    int points = picture.rate == fileRate(context) ? 3 : 0;
    points += picture.size == context.mode->frame ? 1 : 0;
    points += picture.depth == context.codec->depth ? 1 : 0;
    points += picture.chroma == context.codec->chroma ? 1 : 0;
    points += picture.gop == context.codec->gop ? 1 : 0;
    points += context.codec->standard != CodecStandard::Untold &&
                      standardOf(picture) == context.codec->standard
                  ? 1
                  : 0;
    return points;
}

} // namespace

std::vector<ClipMatch> matchesOf(const Shoot& shoot, const ClipFacts& clip,
                                 std::optional<int> day) {
    const auto words = wordsOf(clip);
    const auto time = timeOfDay(clip.recordedAt);
    std::vector<ClipMatch> found;
    for (const auto& setup : shoot.setups) {
        ClipMatch match{&setup};
        match.byName = names(words, setup.number) || names(words, setup.name);
        match.byTime = time && wasTakenAt(shoot, setup, *time, day);
        if (const auto context = resolve(shoot, setup)) {
            match.byCamera =
                names(words, context->camera->name) || names(words, context->camera->id);
            if (clip.picture)
                match.format = formatPoints(*context, *clip.picture);
        }
        if (match.points() >= kFewestPoints)
            found.push_back(match);
    }
    std::stable_sort(found.begin(), found.end(), [](const ClipMatch& a, const ClipMatch& b) {
        return a.points() > b.points();
    });
    return found;
}

std::vector<std::string> groundsOf(const ClipMatch& match) {
    std::vector<std::string> grounds;
    if (match.byName)
        grounds.emplace_back("name");
    if (match.byCamera)
        grounds.emplace_back("camera");
    if (match.format > 0)
        grounds.push_back("format " + std::to_string(match.format) + " of " +
                          std::to_string(kMostFormat));
    if (match.byTime)
        grounds.emplace_back("time");
    return grounds;
}

std::vector<const Setup*> guessedAmong(std::span<const ClipMatch> matches) {
    std::vector<const Setup*> others;
    if (matches.empty() || matches.front().byName || matches.front().byTime)
        return others;
    for (const auto& other : matches.subspan(1))
        if (other.points() == matches.front().points())
            others.push_back(other.setup);
    return others;
}

} // namespace bslate
