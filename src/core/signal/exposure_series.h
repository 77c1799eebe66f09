#pragma once

#include "core/signal/curve_fit.h"
#include "core/signal/series_reading.h"

#include <array>
#include <optional>
#include <span>
#include <vector>

/// Testing one's own camera: a grey card photographed at known steps of exposure, and what its
/// readings say of the curve, of where each channel clips and of where noise takes over.
namespace bslate {

struct SeriesFit {
    Curve curve;                    ///< ends where the first channel clips
    bool sampled = false;           ///< the readings themselves: no camera-log curve held them
    std::vector<ReadingFate> fates; ///< of each reading, in the order given
    std::vector<Signal> misses;     ///< reading - curve, the middle channel
    Signal rms{0};                  ///< of the readings used
    Signal worst{0};                ///< of the readings used, not negative
    std::array<std::optional<Stops>, 3> clip; ///< none: the channel did not reach its end
    std::array<Stops, 3> clipUncertainty{};   ///< plus and minus, about 95 %
    Signal scatter{0};               ///< of one reading about a smooth curve, standard deviation
    std::optional<Stops> noiseFloor; ///< where signal-to-noise falls to the wanted ratio; none
                                     ///< without noise readings that pass it
    bool relative = false; ///< of the exposures only their distances were known: shift is 0
    Stops shift{0};        ///< how much brighter the body is than the nominal curve
    SceneLinear flare{0};  ///< light added to every frame, against the nominal curve
    [[nodiscard]] std::optional<Stops> firstClip() const;
    [[nodiscard]] int outliers() const;
};

/// Fits a series. Flare and shift are found against `nominal` first and taken off the light; then
/// camera-log is fitted with readings re-weighted until outliers have no say (Tukey's biweight on
/// the median absolute deviation). It is kept when it misses by no more than 3 codes of 10 bits, or
/// when what it misses is scatter, without order from one reading to the next (von Neumann's ratio
/// of successive differences, Annals of Mathematical Statistics 12, 1941). Else the nominal curve
/// with the body's shift is kept on the same ground. The readings themselves are a curve only when
/// they are smooth: a table through scatter would be noise.
///
/// A channel clips where two readings a third of a stop or more apart agree to 2 codes at its top;
/// the place is where the curve reaches that signal, between the last reading below it and the
/// first flat one. Its uncertainty is twice the scatter of a reading in stops, at most that
/// interval. Noise in light is `noise / slope`, so the ratio is `slope per stop / (ln 2 * noise)`.
/// Fails with OutOfRange (`place` is "reading 4", or empty): fewer than kLeastReadings different
/// steps, a span under three stops, values that are not finite, readings of which more than a
/// third agree with no rising curve, that scatter about every smooth curve, or so much that the
/// curve is less than nine tenths of what they do.
[[nodiscard]] Result<SeriesFit> fitSeries(std::span<const SeriesReading> readings, CodeRange range,
                                          const Curve& nominal, double snr = 2.0);

} // namespace bslate
