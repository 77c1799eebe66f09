#pragma once

#include "core/base/compiled_once.h"
#include "core/base/extra_keys.h"
#include "core/quantity/quantities.h"

#include <optional>
#include <string>
#include <vector>

/// A day as it is planned: what is recorded one after the other, and what really happened.
namespace bslate {

/// A finding taken on purpose; it is remembered and printed.
struct Acceptance {
    std::string finding; ///< `id` or `id:subject`
    std::string reason;  ///< never empty
    ExtraKeys extra;
    friend bool operator==(const Acceptance&, const Acceptance&) = default;
};

/// What a camera does with its second slot.
enum class SecondSlot {
    Unused,
    Mirror, ///< the same recording on both
    Relay,  ///< goes on in the second without a break when the first is full
    Proxy   ///< a low-rate copy
};

/// One card of the kit by its kind and number: "sd-v60:2" is the second of them.
struct CardPin {
    std::string setup;
    std::string slot; ///< id of the camera's slot
    std::string card;
    ExtraKeys extra;
    friend bool operator==(const CardPin&, const CardPin&) = default;
};

/// One roll of one or more cameras.
struct Take {
    std::string id;
    std::string name;
    std::vector<std::string> setups; ///< ids, one a camera
    Seconds length{600};             ///< planned, > 0
    std::optional<Seconds> at;       ///< not before; since midnight
    Seconds gap{300};                ///< after the take before it, at least
    bool whole = false;              ///< must not be interrupted
    std::optional<Seconds> began;    ///< what really happened, since midnight
    std::optional<Seconds> ran;      ///< how long it really was
    std::vector<CardPin> cards;      ///< chosen by hand, or used by then
    ExtraKeys extra;
    BSLATE_COMPILED_ONCE(Take);
};

/// A card that is out of use from a time on.
struct CardFailure {
    std::string card; ///< as in CardPin
    Seconds at{0};    ///< since midnight
    ExtraKeys extra;
    friend bool operator==(const CardFailure&, const CardFailure&) = default;
};

/// More cameras than this rolling in one take, and more failed cards in a day, are refused.
inline constexpr std::size_t kMostCameras = 32;
inline constexpr std::size_t kMostFailures = 200;
/// More takes than this in a day are refused.
inline constexpr std::size_t kMostTakes = 2000;
inline constexpr std::size_t kMostRolls = 1000; ///< setups of all takes of a day

struct ShootDay {
    int number = 1;
    Seconds start{8 * 3600.0}; ///< since midnight
    std::optional<Seconds>
        safeBy;              ///< everything copied and checked by then; before start: next day
    std::vector<Take> takes; ///< in their order
    std::vector<CardFailure> failures;
    std::vector<Acceptance> accepted; ///< findings of the day taken on purpose
    ExtraKeys extra;
    BSLATE_COMPILED_ONCE(ShootDay);
};

[[nodiscard]] const Take* findTake(const ShootDay& day, std::string_view id);
[[nodiscard]] Take* findTake(ShootDay& day, std::string_view id);

/// Times since midnight of the day's first hour; the small hours count on beyond 24 h.
struct TimedTake {
    const Take* take = nullptr;
    Seconds start{0}, end{0};
};
/// A take starts when it did, or else not before its time, nor before the take ahead of it and its
/// gap are over; the first may have begun before the day was to start. A take marked as begun
/// before the one ahead of it ended starts when that ended.
[[nodiscard]] std::vector<TimedTake> timesOf(const ShootDay& day);

/// People who begin early begin up to this long before the day's start; an earlier time of day is
/// one of the small hours that follow: common practice, no source.
inline constexpr Seconds kEarliest{6 * 3600.0};

/// A time of day on a day that starts at `start`: a day later when it lies more than kEarliest
/// before that.
[[nodiscard]] Seconds onDay(Seconds start, Seconds timeOfDay);
/// The first time after `start` at which the clock shows `timeOfDay`: a deadline.
[[nodiscard]] Seconds nextAfter(Seconds start, Seconds timeOfDay);
/// The clock's time of a moment, [0, 24 h).
[[nodiscard]] Seconds clockOf(Seconds moment);

} // namespace bslate
