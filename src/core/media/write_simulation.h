#pragma once

#include "core/base/result.h"
#include "core/media/card.h"

#include <cstdint>
#include <optional>

/// What happens between a camera and a card that now and then stops to tidy up: a buffer that
/// fills, and frames that are lost when it is full. A fluid model: the encoder's rate changes from
/// one group of pictures to the next, the card drains at its sustained rate except in its stalls.
namespace bslate {

/// How a card writes.
struct CardBehaviour {
    DataRate sustained{0};    ///< between stalls, > 0
    double stallsPerHour = 0; ///< at random (Poisson), >= 0
    Seconds stall{0};         ///< mean length of one, >= 0
    bool stallsVary = true;   ///< exponential lengths; false: all of the mean length
    friend bool operator==(const CardBehaviour&, const CardBehaviour&) = default;
};

/// `V60`, or `V60:tired` (a stall of 0.4 s twenty times an hour), `V60:failing` (0.9 of the speed,
/// 2 s sixty times an hour): any class of speedClasses(), invented wear. Fails with UnknownId.
[[nodiscard]] Result<CardBehaviour> parseCardBehaviour(std::string_view text);

/// What the camera writes.
struct WriteLoad {
    DataRate rate{0};   ///< mean, > 0
    Fraction variation; ///< standard deviation of a group's rate over the mean, [0, 1]
    Seconds group{0.5}; ///< length of a group of pictures, > 0
    DataSize buffer{0}; ///< of the camera, >= 0
    friend bool operator==(const WriteLoad&, const WriteLoad&) = default;
};

struct WriteOutcome {
    Seconds simulated{0};
    int drops = 0;         ///< times the buffer overran; one ends when the card catches up
    Seconds lost{0};       ///< picture time that found no room
    DataSize worstFill{0}; ///< of the buffer
    std::optional<Seconds> firstDrop; ///< from the start; none when nothing is lost
    /// Drops in an hour of writing that goes well: drops over the time spent outside of them, so
    /// that one that never ends counts as what it is. Infinite when nothing ever goes well.
    double dropsPerHour = 0;
    Fraction dropChance; ///< of at least one in an hour, `1 - exp(-dropsPerHour)`
    Fraction lostShare;  ///< of the picture time
    friend bool operator==(const WriteOutcome&, const WriteOutcome&) = default;
};

/// Simulates `length` of writing. The same arguments give the same outcome on every machine.
/// Preconditions: as said beside the members; length > 0.
///
/// For a steady rate R, far apart stalls of exponential length with mean m and a buffer B, the
/// closed form is `drops per hour = stallsPerHour * exp(-B / (R m))`.
[[nodiscard]] WriteOutcome simulateWriting(const WriteLoad& load, const CardBehaviour& card,
                                           Seconds length, std::uint64_t seed);

} // namespace bslate
