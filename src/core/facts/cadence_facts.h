#pragma once

#include "core/cadence/motion.h"
#include "core/cadence/safe_shutter.h"
#include "core/facts/recording_facts.h"

#include <optional>
#include <vector>

namespace bslate {

/// What a setup's rate and shutter do to motion and to pulsed light.
struct CadenceFacts {
    std::vector<PulsedLight> lights; ///< of the scene
    Pulsing pulsing;
    Fraction playback{1};     ///< speed on screen: delivery rate over capture rate
    Fraction blur{0};         ///< of the scene's subject, in frame widths
    int blurPixels = 0;       ///< the same in pixels of the recorded frame
    Degrees skew{0};          ///< of an upright edge of that subject; 0 without a readout time
    Seconds shortestCrossing; ///< of a pan that does not strobe
    std::optional<DegreesPerSecond> fastestPan; ///< with this lens; none without a focal length

    friend bool operator==(const CadenceFacts&, const CadenceFacts&) = default;
};

[[nodiscard]] CadenceFacts cadenceFacts(const SetupContext& context,
                                        const RecordingFacts& recording);

/// The shutter a school wants on this camera's dial at this rate: half or a quarter of the frame,
/// the safe one nearest to half the frame, or the one set by hand. Mains-locked without a safe
/// shutter gives half the frame.
[[nodiscard]] Shutter shutterFor(const SetupContext& context, ShutterSchool school);

/// The angle a school aims at before any dial; the setup's own for Custom.
[[nodiscard]] ShutterAngle aimOf(ShutterSchool school, const Setup& setup);

/// The safe settings of the camera's dial, rising: the best angle of each safe stretch while an
/// angle is set, else each listed time. Empty when nothing pulses.
[[nodiscard]] std::vector<Shutter> safeOnDial(const SetupContext& context,
                                              Stillness stillness = Stillness::All);

/// Rates the mode lists, rising, without doubles; off-speed rates are not among them.
[[nodiscard]] std::vector<FrameRate> ratesOf(const RecordingMode& mode);

} // namespace bslate
