#pragma once

#include "core/base/extra_keys.h"
#include "core/quantity/quantities.h"

#include <string>
#include <vector>

/// What is decided once for the whole shoot, before any camera.
namespace bslate {

/// The schools of placing a scene on a curve; verdict/schools.h says what each wants.
enum class School { Nominal, Rated, ToTheRight, Guard, Raw };

enum class DeliveryColour {
    Sdr, ///< ITU-R BT.709
    Hlg, ///< ITU-R BT.2100 hybrid log-gamma
    Pq   ///< ITU-R BT.2100 perceptual quantizer
};

enum class GradeWeight {
    None,  ///< out as it comes
    Light, ///< balance and one look
    Full   ///< shot by shot, keys and windows
};

enum class Turnaround { SameDay, Days, Weeks };

struct Brief {
    FrameSize size{1920, 1080};
    FrameRate rate; ///< what it plays at
    DeliveryColour colour = DeliveryColour::Sdr;
    Hertz mains{50};
    GradeWeight grade = GradeWeight::Full;
    std::string gradedBy;
    Turnaround turnaround = Turnaround::Weeks;
    std::vector<School> schools; ///< preferred, first choice first; empty: as each scene suggests
    Celsius ambient{20};         ///< where a scene says nothing
    int copies = 2;              ///< verified copies before a card is used again, [1, 4]
    Seconds finished{0};         ///< length of what is delivered; 0 when not known
    ExtraKeys extra;
    friend bool operator==(const Brief&, const Brief&) = default;
};

} // namespace bslate
