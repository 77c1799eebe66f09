#pragma once

#include "core/shoot/shoot.h"

#include <string>
#include <string_view>
#include <variant>
#include <vector>

/// What is told of a recording, as ids with numbers. The sentences are made in words/wording.h.
namespace bslate {

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
    friend bool operator==(const ReasonList&, const ReasonList&);
};

/// One number or name that a sentence uses.
using FactValue =
    std::variant<Stops, Level, TStop, ExposureIndex, Shutter, Seconds, FrameRate, Kelvin, Mired,
                 Duv, Density, School, ZebraTap, int, std::string, Duration, CardSpeed, DataRate,
                 BitsPerPixel, Magnification, Millimetres, Metres, Degrees, Celsius, Lux,
                 ReasonList, Hertz, Fraction, DegreesPerSecond, Payer, DataSize, ClockTime, Watts,
                 WattHours, BodySetting, Function, AutomaticKind>;
struct Fact {
    std::string_view name; ///< always a literal
    FactValue value;
    friend bool operator==(const Fact&, const Fact&) = default;
};
using Facts = std::vector<Fact>;

/// One clause with its numbers, worded by reasonOf(): why a recording cannot be had, what it
/// costs, or what would open it.
struct Reason {
    std::string_view id;
    Facts facts;
    friend bool operator==(const Reason&, const Reason&) = default;
};
inline bool operator==(const ReasonList& a, const ReasonList& b) {
    return a.all == b.all;
}

/// A name as it stands.
[[nodiscard]] inline Reason named(std::string name) {
    return {"named", {{"name", std::move(name)}}};
}

} // namespace bslate
