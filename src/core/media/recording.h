#pragma once

#include "core/quantity/quantities.h"

/// The arithmetic of recorded data. Capacities are decimal; bit rates include sound.
namespace bslate {

/// `bit rate / (width * height * rate)`.
[[nodiscard]] BitsPerPixel bitsPerPixel(DataRate rate, FrameSize frame, FrameRate framesPerSecond);

/// `capacity_bytes * 8 * usable / rate`; infinite for a rate of zero.
[[nodiscard]] Seconds recordTime(DataSize capacity, double usable, DataRate rate);

/// What a card or battery should hold beyond a take that must not be interrupted, as a share of the
/// take: takes run over. Common practice, no source.
inline constexpr double kTakeMargin = 0.05;

/// The rate written when frames are recorded as the sensor reads them: `nominal * sensor / base`.
[[nodiscard]] DataRate sensorRateWriting(DataRate nominal, FrameRate sensor, FrameRate base);

/// Bits per pixel below which a heavy grade shows it: 1.0 intra, 0.25 long-GOP 10-bit, 0.1
/// long-GOP 8-bit (common practice, no source).
[[nodiscard]] BitsPerPixel leastForHeavyGrade(bool intra, int bits);

} // namespace bslate
