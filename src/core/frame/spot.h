#pragma once

#include "core/frame/instruments.h"

#include <array>
#include <optional>

/// A free place of a picture, read as a meter would read it.
namespace bslate {

struct SpotReading {
    Level level;                       ///< luma, mean
    std::array<Level, 3> channels;     ///< red, green, blue, mean
    std::array<int, 3> codes;          ///< the same as codes of the recording
    Stops stops;                       ///< from mid-grey, behind the curve; minus infinity: none
    std::optional<CandelaPerM2> light; ///< of the scene; none where it is not known
    std::array<Fraction, 3> ended;     ///< share of the place at the curve's end, by channel
    friend bool operator==(const SpotReading&, const SpotReading&) = default;
};

/// How large a place is that nobody told: shares of the picture.
inline constexpr PictureArea kSpot{0, 0, 0.02, 0.035};
/// That size about the middle of an area, inside of the picture.
[[nodiscard]] PictureArea spotAbout(const PictureArea& area);

/// Of a recording and, where there is one, of the light that made it (cd/m2, BT.2020), which may be
/// of another size.
[[nodiscard]] SpotReading spotOf(const CodeFrame& frame, const Curve& curve,
                                 const LumaWeights& weights, const PictureArea& area,
                                 const Image* light = nullptr);

/// Mean luminance of a place (ITU-R BT.2020 weights).
[[nodiscard]] CandelaPerM2 luminanceIn(const Image& light, const PictureArea& area);

} // namespace bslate
