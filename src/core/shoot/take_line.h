#pragma once

#include "core/base/result.h"
#include "core/shoot/shoot.h"

/// A take typed as one line, `4A+4B 70min whole 13:00 gap20min interview`, and the takes that the
/// scenes of a day ask for.
namespace bslate {

/// Reads a line of at most 400 bytes: numbers of setups joined by `+` first; then in any order a
/// length, `whole` when it must not be interrupted, a time it does not start before, `gap5min`
/// after the take ahead; the rest is its name. Fails with EmptyText, UnknownId for a setup that is
/// not there, or OutOfRange for two setups of one camera; the piece is in `got`.
[[nodiscard]] Result<Take> parseTakeLine(const Shoot& shoot, std::string_view text);

/// The line that gives the take back. Setups that are gone are written as `?`.
[[nodiscard]] std::string lineOf(const Shoot& shoot, const Take& take);

/// What was typed again of a take: all that its line holds. Cards of setups that left it go.
[[nodiscard]] Take rewritten(Take take, const Take& typed);

/// The day with a take of a new id behind `after`, or as the last; the id.
[[nodiscard]] std::string addTake(ShootDay& day, Take take, std::string_view after);

/// The day with a card out of use from a time of day on, or in use again when it was not.
[[nodiscard]] ShootDay withCardFailed(ShootDay day, const std::string& card, Seconds at);

/// How a take really went: `13:04 75min`, or `75min` when it began as planned.
struct Happened {
    std::optional<Seconds> began; ///< time of day
    Seconds ran{0};
};
/// Fails with EmptyText, NotANumber or OutOfRange.
[[nodiscard]] Result<Happened> parseHappened(std::string_view text);

/// What the scenes of a day ask for: cameras of one scene roll together, setups of one camera one
/// after the other; the footage in equal takes no longer than the scene's longest one, which must
/// not be interrupted. The first take of a scene waits for its hour. A scene without footage gets
/// one take of its longest length, or ten minutes. Ids are t1, t2, ...
[[nodiscard]] std::vector<Take> takesFromScenes(const Shoot& shoot, int day);

/// The day of this number; when it is not in the plan, an empty one that starts an hour before the
/// first scene.
[[nodiscard]] ShootDay dayOf(const Shoot& shoot, int number);

/// The numbers of days that have scenes or a plan, rising; at least 1.
[[nodiscard]] std::vector<int> dayNumbers(const Shoot& shoot);

} // namespace bslate
