#pragma once

#include "core/base/extra_keys.h"
#include "core/light/iso.h"
#include "core/signal/curve.h"
#include "core/signal/gamut.h"

#include <string>
#include <vector>

namespace bslate {

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
    ExtraKeys extra;
    friend bool operator==(const Profile&, const Profile&) = default;
};

/// A curve made to be graded whose codes are spread over a scene wider than a display.
[[nodiscard]] inline bool isLog(const Profile& profile) {
    return (std::holds_alternative<CameraLog>(profile.curve.family) ||
            std::holds_alternative<AcesCc>(profile.curve.family)) &&
           !profile.ready;
}

} // namespace bslate
