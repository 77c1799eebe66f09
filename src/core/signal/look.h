#pragma once

#include "core/signal/curve.h"

#include <array>

/// A ready look as the parameters a camera offers for it: what tone and colour are made of before
/// they are baked into the recording, or shown through a look LUT. Our own documented model.
namespace bslate {

/// The six hues whose depth can be set, in the order of ColourLook::depth.
enum class Hue { Red, Yellow, Green, Cyan, Blue, Magenta };

/// What a look does to colour, on the encoded R'G'B' of a display curve.
///   Y' = 0.2126 R' + 0.7152 G' + 0.0722 B' (ITU-R BT.709-6 item 3.2), c = R'G'B' - Y'
///   c is multiplied by `saturation`; then Y' by 1 - depth * spread, where `spread` is the
///   largest minus the smallest of R'G'B' (at most 1) and `depth` is interpolated between the two
///   hues next to the colour's own on the six-sided hue circle. Greys never change.
/// Valid: saturation in [0, 2], each depth in [-1, 1] (positive is deeper, darker), detail in
/// [-7, 7]. Detail is the camera's sharpening: it changes edges, never a patch.
struct ColourLook {
    double saturation = 1.0;
    std::array<double, 6> depth{};
    int detail = 0;
    friend bool operator==(const ColourLook&, const ColourLook&) = default;
};

struct Look {
    SoftHighlight tone;
    ColourLook colour;
    friend bool operator==(const Look&, const Look&) = default;
};

/// One that changes nothing of BT.709 under 100 %: no toe, no lift, the curve straight on beyond
/// it.
[[nodiscard]] Look neutralLook();

using Rgb = std::array<double, 3>;

/// Colour of a look on encoded R'G'B'; not clamped.
[[nodiscard]] Rgb applyColour(const ColourLook& look, const Rgb& encoded);

/// Linear light in BT.709 primaries, 1 at diffuse white, through tone and colour, limited to [0, 1]
/// after each.
[[nodiscard]] Rgb lookSignal(const Look& look, const Rgb& linear);

/// Fails with OutOfRange; `place` names the parameter.
[[nodiscard]] Outcome checkLook(const Look& look);

} // namespace bslate
