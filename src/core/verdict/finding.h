#pragma once

#include "core/shoot/shoot.h"
#include "core/verdict/evaluation.h"

#include <optional>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

/// A judgement is data: an id with numbers. Its sentences are made in wording.h.
namespace bslate {

enum class Severity { Fault, Caution, Good, Note }; // worst first

/// `fault`, `caution`, `good` or `note`, as scripts read it.
[[nodiscard]] std::string_view severityName(Severity severity);

/// A length of time people speak of in minutes; Seconds print as shutter times.
struct Duration {
    Seconds length;
    friend bool operator==(const Duration&, const Duration&) = default;
};

/// A time of day; Seconds print as shutter times.
struct ClockTime {
    Seconds time;        ///< since midnight; the next day beyond 24 h
    bool atMost = false; ///< told rounded up to the minute, not down
    friend bool operator==(const ClockTime&, const ClockTime&) = default;
};

/// A data rate as cards are rated, in MB/s.
struct CardSpeed {
    DataRate rate;
    friend bool operator==(const CardSpeed&, const CardSpeed&) = default;
};

struct Reason;
/// Clauses told one after the other.
struct ReasonList {
    std::vector<Reason> all;
};

/// One number or name that a sentence uses.
using FactValue =
    std::variant<Stops, Level, TStop, ExposureIndex, Shutter, Seconds, FrameRate, Kelvin, Density,
                 School, ZebraTap, int, std::string, Duration, CardSpeed, DataRate, BitsPerPixel,
                 Magnification, Millimetres, Metres, Degrees, Celsius, Lux, ReasonList, Hertz,
                 Fraction, DegreesPerSecond, Payer, DataSize, ClockTime, Watts, WattHours>;
struct Fact {
    std::string_view name; ///< always a literal
    FactValue value;
};
using Facts = std::vector<Fact>;

/// One clause with its numbers, worded by reasonOf(): why a recording cannot be had, what it
/// costs, or what would open it.
struct Reason {
    std::string_view id;
    Facts facts;
};

/// What the edited document looks like: whole values that replace those with the same id.
struct Edit {
    std::optional<Setup> setup;
    std::optional<Scene> scene;
    std::optional<ShootDay> day = std::nullopt; ///< by number; added when it is not planned yet
    std::optional<Kit> kit = std::nullopt;      ///< instead of the shoot's
};

/// The edited copy. Parts whose ids are not in the shoot are ignored.
[[nodiscard]] Shoot applied(const Shoot& shoot, const Edit& edit);

/// A named edit, verified: evaluating the edited document showed that it cures what it is
/// offered for.
struct Remedy {
    std::string_view id; ///< names the wording
    Facts facts;
    Edit edit;
    Stops highlights; ///< headroom of the brightest patch that matters, afterwards
    Stops shadows;    ///< the darkest one over the noise, afterwards
    int worse = 0;    ///< patches that were good before and are lost or noisy afterwards
    /// What it leaves, in words of its own, where stops say nothing.
    std::optional<Reason> effect = std::nullopt;
};

struct Finding {
    std::string_view id;
    Severity severity = Severity::Note;
    std::string subject; ///< patch id, or empty when it is about the whole setup
    Facts facts;
    std::string_view source; ///< published source, or "common practice, no source"
    std::vector<Remedy> remedies;
    std::optional<std::string> accepted; ///< the reason, when taken on purpose

    /// `id` or `id:subject`, the key an Acceptance uses.
    [[nodiscard]] std::string key() const;
};

inline constexpr std::string_view kCommonPractice = "common practice, no source";

} // namespace bslate
