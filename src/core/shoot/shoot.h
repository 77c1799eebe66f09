#pragma once

#include "core/kit/kit.h"
#include "core/light/metering.h"
#include "core/quantity/light_reading.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

/// The document as a value: a plain tree with equality. Editing makes a new value. It may be
/// half-edited (a setup naming a camera that is gone); evaluation says what is missing.
namespace bslate {

inline constexpr int kShootVersion = 1;

/// What a patch is to the picture; decides how a loss is judged.
enum class PatchRole {
    Grey,       ///< the grey card: the zero of the scene
    SkinLight,  ///< skin on the key side, about +1 over mid-grey: common practice, no source
    SkinMedium, ///< 0 to +0.5
    SkinDark,   ///< -0.5 to 0
    Highlight,  ///< must keep detail
    Shadow,     ///< must stay out of the noise
    White,      ///< white card or paper
    Spare       ///< may be lost without asking
};

[[nodiscard]] inline bool isSkin(PatchRole role) {
    return role == PatchRole::SkinLight || role == PatchRole::SkinMedium ||
           role == PatchRole::SkinDark;
}

struct Patch {
    std::string id;
    std::string name;
    PatchRole role = PatchRole::Spare;
    LightReading reading;
    Reflectance reflectance{0.18}; ///< used when the reading is an illuminance
    ExtraKeys extra;
    friend bool operator==(const Patch&, const Patch&) = default;
};

/// Things in the scene that can hurt someone; the caution is shown at the point of use.
struct Hazards {
    bool sun = false;   ///< sun in or near the frame
    bool water = false; ///< on, beside or over water
    bool mains = false; ///< mains lamps or distribution in use
    bool heights = false;
    friend bool operator==(const Hazards&, const Hazards&) = default;
};

struct Scene {
    std::string id;
    std::string name;
    int day = 1;
    std::string note;
    Hazards hazards;
    std::vector<Patch> patches;
    ExtraKeys extra;
    friend bool operator==(const Scene&, const Scene&) = default;
};

/// The schools of placing a scene on a curve; verdict/schools.h says what each wants.
enum class School { Nominal, Rated, ToTheRight, Guard, Raw };

/// Who compensates a change that costs or gives stops.
enum class Payer { Nd, Iris, Light, Rating, Nobody };

/// A finding taken on purpose; it is remembered and printed.
struct Acceptance {
    std::string finding; ///< `id` or `id:subject`
    std::string reason;  ///< never empty
    ExtraKeys extra;
    friend bool operator==(const Acceptance&, const Acceptance&) = default;
};

struct Setup {
    std::string id;
    std::string number; ///< as on the slate, "2A"
    std::string name;
    std::string scene;
    std::string camera;
    std::string mode;
    std::string profile;
    std::string lens; ///< may be empty
    FrameRate rate;
    Shutter shutter = ShutterAngle(180.0);
    TStop iris{4};
    std::vector<std::string> filters; ///< ids, in the order they are stacked
    ExposureIndex base{800};
    ExposureIndex rating{800};
    Kelvin white{5600};
    School school = School::Nominal;
    Payer payer = Payer::Nd;
    int bank = 0; ///< 1-based, 0 for none
    std::vector<Acceptance> accepted;
    ExtraKeys extra;
    friend bool operator==(const Setup&, const Setup&) = default;
};

struct Shoot {
    std::string title;
    std::string note;
    int days = 1;
    double snrFloor = 2.0; ///< 1 engineering, 2 practical; (0, 100]
    MeterCalibration meter;
    std::optional<std::string> kitFile; ///< set when the kit is referenced, relative to the shoot
    Kit kit;
    std::vector<Scene> scenes;
    std::vector<Setup> setups;
    ExtraKeys extra;
    friend bool operator==(const Shoot&, const Shoot&) = default;
};

[[nodiscard]] const Setup* findSetup(const Shoot& shoot, std::string_view id);
[[nodiscard]] Setup* findSetup(Shoot& shoot, std::string_view id);
[[nodiscard]] const Scene* findScene(const Shoot& shoot, std::string_view id);
[[nodiscard]] Scene* findScene(Shoot& shoot, std::string_view id);
[[nodiscard]] const Patch* findPatch(const Scene& scene, std::string_view id);
[[nodiscard]] Patch* findPatch(Scene& scene, std::string_view id);

} // namespace bslate
