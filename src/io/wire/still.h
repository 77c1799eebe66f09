#pragma once

#include "core/frame/image.h"

/// A still as it was found.
namespace bslate::io {

/// Larger ones are refused: a side over 16384, more than 120 million pixels.
inline constexpr int kLongestSide = 16384;
inline constexpr std::size_t kMostStillPixels = 120'000'000;
/// Of a larger one every second pixel of every second line is kept, or every third, as it was
/// recorded: means and noise of a place stay what they are.
inline constexpr std::size_t kMostKeptPixels = 40'000'000;

struct Still {
    int bits = 8;                ///< 8, 10, 12 or 16 of whole codes; 0: light as numbers
    Planes<std::uint16_t> codes; ///< of whole codes, as many bits
    Image light;                 ///< of numbers: 0.18 is mid-grey, or of a sensor
    int step = 1;                ///< this many pixels of the file stand behind one, across and down
    bool ofSensor = false;       ///< camera raw: light is 1 where the sensor is full
    [[nodiscard]] PictureSize size() const { return bits > 0 ? codes.size : light.size; }
};

} // namespace bslate::io
