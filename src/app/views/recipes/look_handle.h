#pragma once

#include "core/base/enumerated.h"
#include "core/signal/look.h"

#include <QString>

#include <optional>

namespace bslate::app {

/// What of a look can be taken hold of: the ends of the tone curve, how colourful it is, and how
/// dark each of the six hues becomes.
enum class LookHandle {
    Lift,
    Toe,
    Shoulder,
    ShoulderSlope,
    Colourfulness,
    Reds,
    Yellows,
    Greens,
    Cyans,
    Blues,
    Magentas
};
inline constexpr int kLookHandles = countOf<LookHandle>();
inline constexpr int kToneHandles = 4; ///< the first ones

[[nodiscard]] QString nameOf(LookHandle handle);
[[nodiscard]] double valueOf(const Look& look, LookHandle handle);
/// Held to the range that checkLook() (signal/look.h) allows.
[[nodiscard]] Look withValue(Look look, LookHandle handle, double value);
/// Up or down by so many steps of a hundredth.
[[nodiscard]] Look stepped(const Look& look, LookHandle handle, int steps);
[[nodiscard]] Look neutral(const Look& look, LookHandle handle);
[[nodiscard]] QString textOf(const Look& look, LookHandle handle); ///< `78 %`, `0.28`
/// As it is typed: percent for lift and shoulder, with or without the sign. None for no number or
/// one that is out of range, which `rangeOf` tells.
[[nodiscard]] std::optional<double> parsed(LookHandle handle, const QString& text);
[[nodiscard]] QString rangeOf(LookHandle handle);

} // namespace bslate::app
