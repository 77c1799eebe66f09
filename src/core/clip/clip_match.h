#pragma once

#include "core/clip/clip_facts.h"
#include "core/shoot/shoot.h"

#include <optional>
#include <span>
#include <vector>

/// Which setup a clip is of.
namespace bslate {

/// How well a setup fits, by what it was recognised.
struct ClipMatch {
    const Setup* setup = nullptr;
    bool byName = false;   ///< its number or name stands in the file's name or notes
    bool byCamera = false; ///< its camera does
    int format = 0; ///< of size, rate (3), depth, chroma and group of pictures that agree, to 7
    bool byTime = false; ///< a take of it began within ten minutes of the clip's time of day
    [[nodiscard]] int points() const {
        return (byName ? 8 : 0) + (byCamera ? 4 : 0) + format + (byTime ? 2 : 0);
    }
};

/// The other setups that fit a clip as well as the first, where nothing but its format tells which
/// it is of: then that is a guess.
[[nodiscard]] std::vector<const Setup*> guessedAmong(std::span<const ClipMatch> matches);

/// Setups that a clip can be of, the likeliest first, in the shoot's order where they are equal;
/// none that agrees in nothing but its format's half.
[[nodiscard]] std::vector<ClipMatch> matchesOf(const Shoot& shoot, const ClipFacts& clip);

} // namespace bslate
