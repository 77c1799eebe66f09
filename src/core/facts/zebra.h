#pragma once

#include "core/facts/evaluation.h"

/// Zebra levels of the curve in use, where the camera measures them and in its own steps.
namespace bslate {

/// Where the camera's zebra measures with this profile: a ready look has no viewing LUT.
[[nodiscard]] ZebraTap zebraTapOf(const SetupContext& context);

/// The level a tap sees for light at `recorded` stops, clamped at the clip.
[[nodiscard]] Level levelAtTap(const SetupContext& context, const Evaluation& at, ZebraTap tap,
                               Stops recorded);

/// The recorded stops at which a tap reaches `level`, no higher than the clip; -20 for a level the
/// tap never falls to.
[[nodiscard]] Stops stopsAtTap(const SetupContext& context, const Evaluation& at, ZebraTap tap,
                               Level level);

enum class Rounding { Nearest, Below };

/// A level in the steps of the camera's zebra, inside its range.
struct ZebraSetting {
    Level set;
    bool reachable = true; ///< false when the dial ends before
};
[[nodiscard]] ZebraSetting onZebraDial(const ZebraDial& dial, Level exact, Rounding rounding);

/// The zebra that marks light at `place`, where the camera measures it.
[[nodiscard]] ZebraValue zebraAt(const SetupContext& context, const Evaluation& at, ZebraUse use,
                                 Stops place);

} // namespace bslate
