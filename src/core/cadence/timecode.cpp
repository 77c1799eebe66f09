#include "core/cadence/timecode.h"

#include <cstdio>

namespace bslate {
namespace {

// Numbers left out in a dropping minute; 0 when the rate has no drop-frame counting.
int droppedAMinute(FrameRate rate) {
    for (const int multiple : {1, 2, 4})
        if (rate.perSecond == Rational(30000 * multiple, 1001))
            return 2 * multiple;
    return 0;
}

} // namespace

int timecodeBase(FrameRate rate) {
    const auto n = rate.perSecond.numerator(), d = rate.perSecond.denominator();
    return static_cast<int>((n + d - 1) / d);
}

bool canDrop(FrameRate rate) {
    return droppedAMinute(rate) > 0;
}

Timecode timecodeAt(std::int64_t frame, FrameRate rate, bool drop) {
    const std::int64_t base = timecodeBase(rate);
    const std::int64_t dropped = drop ? droppedAMinute(rate) : 0;
    if (dropped > 0) {
        const std::int64_t minute = 60 * base - dropped;
        const std::int64_t tenMinutes = 10 * minute + dropped;
        const std::int64_t tens = frame / tenMinutes, rest = frame % tenMinutes;
        // The first minute of each ten keeps all its numbers.
        const std::int64_t minutes = rest < 60 * base ? 0 : 1 + (rest - 60 * base) / minute;
        frame += dropped * (9 * tens + minutes);
    }
    Timecode code;
    code.drop = dropped > 0;
    code.frames = static_cast<int>(frame % base);
    code.seconds = static_cast<int>(frame / base % 60);
    code.minutes = static_cast<int>(frame / (60 * base) % 60);
    code.hours = static_cast<int>(frame / (3600 * base));
    return code;
}

Result<std::int64_t> frameAt(const Timecode& code, FrameRate rate) {
    const int base = timecodeBase(rate);
    const int dropped = code.drop ? droppedAMinute(rate) : 0;
    const bool leftOut =
        dropped > 0 && code.seconds == 0 && code.minutes % 10 != 0 && code.frames < dropped;
    if (code.hours < 0 || code.minutes < 0 || code.minutes > 59 || code.seconds < 0 ||
        code.seconds > 59 || code.frames < 0 || code.frames >= base || leftOut)
        return Error{ErrorCode::OutOfRange,
                     {},
                     {},
                     print(code),
                     "minutes and seconds to 59, frames under " + std::to_string(base) +
                         (leftOut ? ", and none that drop-frame counting leaves out" : "")};
    const std::int64_t minutes = 60LL * code.hours + code.minutes;
    return (minutes * 60 + code.seconds) * base + code.frames - dropped * (minutes - minutes / 10);
}

std::string print(const Timecode& code) {
    char text[64];
    std::snprintf(text, sizeof text, "%02d:%02d:%02d%c%02d", code.hours, code.minutes, code.seconds,
                  code.drop ? ';' : ':', code.frames);
    return text;
}

} // namespace bslate
