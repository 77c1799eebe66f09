#pragma once

#include "core/kit/kit.h"
#include "core/light/metering.h"

#include <cmath>
#include <vector>

/// Planning the test of one body: which exposures of a grey card to record, by which dials, in
/// which order, under how much light.
namespace bslate {

/// One frame to record.
struct SeriesStep {
    Stops wanted;
    Stops given; ///< what the dials below really give, from the reference
    Shutter shutter = ShutterAngle(180);
    TStop iris{2.8};
    std::vector<std::string> filters; ///< ids in front of the lens or in the body
    bool reference = false;           ///< a repeat of the reference, to see whether light drifts
};

struct SeriesPlan {
    ExposureIndex base{800};
    FrameRate rate;
    std::vector<SeriesStep> steps; ///< in the order they are recorded
    CandelaPerM2 card;             ///< luminance of the 18 % card that puts the reference on 0
    Lux light;                     ///< falling on it
};

struct SeriesWish {
    FrameRate rate{Rational(24, 1)};
    TStop iris{std::exp2(1.5)}; ///< the mark T2.8
    double snr = 2.0;
    MeterCalibration meter;
};

/// From two stops under the noise floor to a stop over the nominal clip: whole stops, third stops
/// in the last two before the clip and after it, since that is where it is found. The reference
/// comes first, after the bright half and last. Light stays; the shutter makes the steps, filters
/// and then the iris those it cannot. What a dial cannot give exactly is told in `given`.
/// The profile's curve may end earlier; the plan then goes a stop beyond that.
/// Precondition: the camera has a base.
[[nodiscard]] SeriesPlan planSeries(const Kit& kit, const Camera& camera, const Profile& profile,
                                    const BaseIso& base, const SeriesWish& wish = {});

} // namespace bslate
