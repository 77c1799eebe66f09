#pragma once

#include "core/clip/clip_facts.h"
#include "core/shoot/shoot.h"

#include <optional>
#include <span>
#include <string>
#include <vector>

/// Which setup a clip is of.
namespace bslate {

/// How well a setup fits, by what it was recognised.
struct ClipMatch {
    const Setup* setup = nullptr;
    bool byName = false;   ///< its number or name stands in the file's name or notes
    bool byCamera = false; ///< its camera does
    int format =
        0; ///< of size, rate (3), depth, chroma, group of pictures and standard that agree, to 8
    bool byTime = false; ///< a take of it began within ten minutes of the clip's time, on its day
    [[nodiscard]] int points() const {
        return (byName ? 8 : 0) + (byCamera ? 4 : 0) + format + (byTime ? 2 : 0);
    }
};

/// The other setups that fit a clip as well as the first, where nothing but its format tells which
/// it is of: then that is a guess.
[[nodiscard]] std::vector<const Setup*> guessedAmong(std::span<const ClipMatch> matches);

/// Setups that a clip can be of, the likeliest first, in the shoot's order where they are equal;
/// none that agrees in nothing but its format's half.
/// Takes are of the day that is told, since clips do not know which of the plan's days they are of;
/// where none is told, of the only one that is planned.
[[nodiscard]] std::vector<ClipMatch> matchesOf(const Shoot& shoot, const ClipFacts& clip,
                                               std::optional<int> day = {});

/// What it rests on, each word once: `name`, `camera`, `format 6 of 8`, `time`.
[[nodiscard]] std::vector<std::string> groundsOf(const ClipMatch& match);

} // namespace bslate
