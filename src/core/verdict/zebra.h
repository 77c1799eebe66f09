#pragma once

#include "core/verdict/evaluation.h"

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

/// The last step of the camera's zebra that warns before the clip a test found, as a setup at this
/// base in the measured profile would have it: the same number as its verdict and its targets.
/// Nothing when no channel clipped, the dial does not go there, or the body has no mode for it.
[[nodiscard]] std::optional<ZebraValue> guardAfterTest(const Kit& kit, const Camera& camera,
                                                       const Profile& nominal, ExposureIndex base,
                                                       const SeriesFit& fit);

/// The zebra that marks light at `place`, where the camera measures it.
[[nodiscard]] ZebraValue zebraAt(const SetupContext& context, const Evaluation& at, ZebraUse use,
                                 Stops place);

} // namespace bslate
