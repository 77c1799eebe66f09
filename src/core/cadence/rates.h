#pragma once

#include "core/quantity/quantities.h"

#include <cstdint>
#include <span>

/// Frame rates and the speed footage plays at.
namespace bslate {

/// The rates of ITU-R BT.2020-2 table 2 and SMPTE ST 2036-1, rising: 23.976 to 120. 48 and 96,
/// which cameras add, are common practice and not among them.
[[nodiscard]] std::span<const FrameRate> standardRates();

/// `base / capture`: 40 % for 60 shown at 24. 100 % is normal speed, more plays fast.
[[nodiscard]] Fraction playbackSpeed(FrameRate capture, FrameRate base);

/// How long an action lasts on screen: `length * capture / base`.
[[nodiscard]] Seconds onScreen(Seconds length, FrameRate capture, FrameRate base);

/// Frames captured in a time, the last one whole.
[[nodiscard]] std::int64_t framesIn(Seconds length, FrameRate rate);

/// True for two rates that people call by the same number and that drift apart: 24 and 23.976.
[[nodiscard]] bool isNearMiss(FrameRate a, FrameRate b);

/// By how much an hour at `a` misses when counted at `b`: 3.6 s for 23.976 and 24.
[[nodiscard]] Seconds driftAnHour(FrameRate a, FrameRate b);

} // namespace bslate
