#pragma once

#include "core/facts/setup_context.h"

/// The capture rates a hand can turn to.
namespace bslate {

/// A rate this near to one that draws a drag, as a share, becomes it.
inline constexpr double kNearRate = 0.05;

/// `places` further in the mode's listed rates, held at either end; a rate that is not listed steps
/// onto the next one of the list. The rate itself when the mode lists none.
[[nodiscard]] FrameRate stepRate(const RecordingMode& mode, FrameRate rate, int places);

/// The rate a drag to `wished` frames a second means: the one the scene's slow motion asks for
/// or a listed one when it comes near (kNearRate), else the nearest that the mode records; whole
/// rates fill its off-speed range. Precondition: wished > 0. The setup's own rate when the mode
/// lists none.
[[nodiscard]] FrameRate rateNear(const SetupContext& context, Hertz wished);

} // namespace bslate
