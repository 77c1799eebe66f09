#pragma once

#include "core/quantity/quantities.h"

namespace bslate {

/// One photosite at one base ISO. Signal `n = fullWell * 2^(s - clip)` electrons at `s` stops
/// from mid-grey at base nominal; noise `sqrt(n + read^2 + (prnu*n)^2)` (photon statistics).
/// Valid: fullWell > 0, readNoise >= 0, prnu in [0, 0.1).
struct SensorModel {
    Electrons fullWell{58000};
    Electrons readNoise{3.4};
    double prnu = 0.0; ///< pixel response non-uniformity, fraction of signal
    Stops clip{6.1};   ///< stops above mid-grey where the well is full

    friend bool operator==(const SensorModel&, const SensorModel&) = default;
};

/// Signal at `s` stops, saturating at the full well.
[[nodiscard]] Electrons signalAt(const SensorModel& sensor, Stops s);

/// Signal-to-noise ratio at `s` stops; grows with s up to the clip.
[[nodiscard]] double snrAt(const SensorModel& sensor, Stops s);

/// The least signal with this SNR. SNR 1 is the engineering floor, 2 the practical one.
/// Valid: snr > 0 and snr * prnu < 1; otherwise no signal reaches it and full well is returned.
[[nodiscard]] Electrons floorSignal(const SensorModel& sensor, double snr);

/// Stops from mid-grey (negative) of that signal.
[[nodiscard]] Stops noiseFloor(const SensorModel& sensor, double snr);

/// log2(full well / floor signal).
[[nodiscard]] Stops dynamicRange(const SensorModel& sensor, double snr);

} // namespace bslate
