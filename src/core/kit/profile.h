#pragma once

#include "core/base/compiled_once.h"
#include "core/base/extra_keys.h"
#include "core/light/iso.h"
#include "core/signal/curve.h"
#include "core/signal/exposure_series.h"
#include "core/signal/gamut.h"
#include "core/signal/look.h"

#include <string>
#include <vector>

namespace bslate {

/// What a test of one body found: the profile that holds it stands in for the nominal one.
struct Measurement {
    std::string camera;  ///< id of the body that was tested
    std::string nominal; ///< id of the profile it was tested in
    ExposureIndex base{800};
    std::string note;                         ///< when, how lit, which lens; free text
    std::array<std::optional<Stops>, 3> clip; ///< red, green, blue; none: not reached in the test
    std::optional<Stops> noiseFloor;          ///< at `snr`
    double snr = 2.0;
    Stops shift{0};
    bool relative = false; ///< of its exposures only the distances were known: shift is 0
    SceneLinear flare{0};
    Signal rms{0}; ///< of the readings used, off the curve
    std::vector<SeriesReading> readings;
    friend bool operator==(const Measurement&, const Measurement&) = default;
};

/// A recording profile: curve, gamut and what the camera makes of the ISO dial in it.
struct Profile {
    std::string id;
    std::string name;
    Curve curve;
    std::string gamutName;
    Gamut gamut = gamutBt709();
    IsoBehaviour iso = IsoBehaviour::Index; ///< a camera's IsoRule may say otherwise
    std::vector<ExposureIndex> bases;       ///< empty: all bases of the camera
    ExposureIndex minimum{100};
    ExposureIndex maximum{25600};
    bool ready = false;             ///< a ready look that needs no grade (white at 100 %, no LUT)
    std::vector<std::string> locks; ///< what the profile switches off in camera, in words
    ColourLook colour;              ///< of a ready look: what it does to colour (tone is in curve)
    std::string recipe;             ///< name of the recipe this slot holds; empty: none
    std::optional<Measurement> measured; ///< none: the maker's or a standard's curve
    ExtraKeys extra;
    BSLATE_COMPILED_ONCE(Profile);
};

/// A curve made to be graded whose codes are spread over a scene wider than a display.
[[nodiscard]] inline bool isLog(const Profile& profile) {
    return (std::holds_alternative<CameraLog>(profile.curve.family) ||
            std::holds_alternative<AcesCc>(profile.curve.family)) &&
           !profile.ready;
}

} // namespace bslate
