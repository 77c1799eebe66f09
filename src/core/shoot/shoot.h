#pragma once

#include "core/base/compiled_once.h"
#include "core/kit/kit.h"
#include "core/light/metering.h"
#include "core/shoot/brief.h"
#include "core/shoot/camera_record.h"
#include "core/shoot/day.h"
#include "core/shoot/scene.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

/// The document as a value: a plain tree with equality. Editing makes a new value. It may be
/// half-edited (a setup naming a camera that is gone); evaluation says what is missing.
namespace bslate {

inline constexpr int kShootVersion = 7;

/// Who compensates a change that costs or gives stops.
enum class Payer { Nd, Iris, Light, Rating, Nobody };

/// What a shutter is chosen by.
enum class ShutterSchool {
    HalfFrame,   ///< 180 degrees
    Crisp,       ///< a quarter of the frame, on purpose
    MainsLocked, ///< what holds the lamps still, nearest to half the frame
    Custom       ///< as set by hand
};

struct Setup {
    std::string id;
    std::string number; ///< as on the slate, "2A"
    std::string name;
    std::string scene;
    std::string camera;
    std::string mode;
    std::string profile;
    std::string lens;            ///< may be empty
    Millimetres focal{0};        ///< of a zoom; 0: its shortest
    std::optional<Metres> focus; ///< distance focused at
    bool externalPower = false;
    SecondSlot secondSlot = SecondSlot::Unused;
    FrameRate rate;
    Shutter shutter = ShutterAngle(180.0);
    ShutterSchool shutterSchool = ShutterSchool::HalfFrame;
    TStop iris{4};
    std::vector<std::string> filters; ///< ids, in the order they are stacked
    ExposureIndex base{800};
    ExposureIndex rating{800};
    Kelvin white{5600};
    Tint tint{0};
    WhiteBy whiteBy = WhiteBy::Preset;
    std::optional<Stops> whiteNd;      ///< ND that was on when the card was measured
    std::optional<Kelvin> wantedWhite; ///< the grade is to have; none: as shot
    School school = School::Nominal;
    Payer payer = Payer::Nd;
    int bank = 0;                      ///< recalled before it: 1-based, 0 for none
    Support support = Support::Unsaid; ///< unsaid: as the scene, here and in the next two
    FocusBy focusBy = FocusBy::Unsaid;
    SoundBy soundBy = SoundBy::Unsaid;
    Stabiliser stabiliser = Stabiliser::AsSupport;
    bool wireless = false;                 ///< used meanwhile, for a remote or a view
    std::vector<LeftAutomatic> automatics; ///< left to the camera on purpose
    std::vector<Tick> ticks;
    std::vector<Acceptance> accepted;
    ExtraKeys extra;
    BSLATE_COMPILED_ONCE(Setup);
};

struct Shoot {
    std::string title;
    std::string note;
    int days = 1;
    Brief brief;
    double snrFloor = 2.0; ///< 1 engineering, 2 practical; (0, 100]
    MeterCalibration meter;
    std::optional<std::string> kitFile; ///< set when the kit is referenced, relative to the shoot
    Kit kit;
    std::vector<Scene> scenes;
    std::vector<Setup> setups;
    std::vector<ShootDay> plan;        ///< days that have been planned, by number
    std::vector<CameraRecord> records; ///< one a camera, what is really set
    ExtraKeys extra;
    BSLATE_COMPILED_ONCE(Shoot);
};

[[nodiscard]] const Setup* findSetup(const Shoot& shoot, std::string_view id);
[[nodiscard]] Setup* findSetup(Shoot& shoot, std::string_view id);
/// Null when nothing was recorded of the camera.
[[nodiscard]] const CameraRecord* findRecord(const Shoot& shoot, std::string_view camera);
[[nodiscard]] const Scene* findScene(const Shoot& shoot, std::string_view id);
[[nodiscard]] Scene* findScene(Shoot& shoot, std::string_view id);

} // namespace bslate
