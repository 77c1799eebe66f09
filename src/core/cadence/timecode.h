#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"

#include <cstdint>
#include <string>
#include <string_view>

/// Counting frames in hours, minutes, seconds and frames.
/// [S: SMPTE ST 12-1, non-drop and drop-frame counting]
namespace bslate {

struct Timecode {
    int hours = 0;
    int minutes = 0;
    int seconds = 0;
    int frames = 0;
    bool drop = false;
    friend bool operator==(const Timecode&, const Timecode&) = default;
};

/// Frames counted to a second: the rate rounded up to a whole number (24 for 23.976).
[[nodiscard]] int timecodeBase(FrameRate rate);

/// Only 29.97, 59.94 and 119.88 have drop-frame counting: 2, 4 or 8 numbers are left out each
/// minute that is not a tenth, so that an hour of counting is an hour but for 3.6 ms.
[[nodiscard]] bool canDrop(FrameRate rate);

/// The name of frame `frame` (0 is 00:00:00:00); hours run on past 24. `drop` is ignored where
/// canDrop says no. `frame` must not be negative.
[[nodiscard]] Timecode timecodeAt(std::int64_t frame, FrameRate rate, bool drop);

/// The frame a timecode names. Fails with OutOfRange for minutes, seconds or frames that do not
/// exist, and for numbers that drop-frame counting leaves out.
[[nodiscard]] Result<std::int64_t> frameAt(const Timecode& code, FrameRate rate);

/// `01:00:00:00`, with a semicolon before the frames when counting drops.
[[nodiscard]] std::string print(const Timecode& code);

} // namespace bslate
