#pragma once

#include "core/base/compiled_once.h"
#include "core/base/extra_keys.h"
#include "core/cadence/pulse.h"
#include "core/light/described.h"
#include "core/light/light_colour.h"
#include "core/quantity/light_reading.h"
#include "core/shoot/handling.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

/// A place with its light, and what is wanted of the picture there.
namespace bslate {

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

/// Which light of the scene a patch is lit by, or a lamp is.
enum class LightSide { Unsaid, Key, Fill, Kicker, Background };

/// Where something stands in the drawn frame, as shares of it; what lies outside is cut.
struct FramePlace {
    double x = 0, y = 0;
    double width = 0.1, height = 0.1; ///< at least kLeastPlace
    friend bool operator==(const FramePlace&, const FramePlace&) = default;
};
inline constexpr double kLeastPlace = 0.01;

struct Patch {
    std::string id;
    std::string name;
    PatchRole role = PatchRole::Spare;
    LightReading reading;
    Reflectance reflectance{0.18}; ///< used when the reading is an illuminance
    bool estimated = false;        ///< described, not metered yet
    LightSide side = LightSide::Unsaid;
    std::string lamp; ///< name of the lamp that lights it; empty, or none of that name: all do
    std::optional<FramePlace> place; ///< none: where its role belongs (frame/surface.h)
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

enum class Place { Unknown, Interior, Exterior };

/// The light's way to another level; it starts at the scene's grey card.
struct LightChange {
    LightReading to;
    Seconds over{0}; ///< > 0
    friend bool operator==(const LightChange&, const LightChange&) = default;
};

/// A lamp, by how it pulses.
enum class LampKind {
    Filament,   ///< on AC
    Ballast,    ///< tube or discharge lamp on a magnetic ballast
    Electronic, ///< electronic ballast or a good LED driver
    DimmedLed,  ///< pulse-width dimmed
    Rectified,  ///< LED on mains without smoothing
    Measured,   ///< by a list of harmonics
    Steady      ///< daylight, battery lamps without dimmer
};
/// More patches than this are refused in a scene.
inline constexpr std::size_t kMostPatches = 500;
/// More gels than this are refused on a lamp.
inline constexpr std::size_t kMostGels = 8;
/// More lamps than this are refused in a scene.
inline constexpr std::size_t kMostLamps = 64;

/// What is not told is as usual for the kind; shoot/lamps.h says what that is.
struct Lamp {
    std::string name;
    LampKind kind = LampKind::Electronic;
    std::optional<Hertz> pulses;          ///< of its own; none: twice the mains
    std::optional<Fraction> depth;        ///< how far it pulses
    std::optional<Fraction> duty;         ///< of a dimmed LED: how long it is on
    std::optional<Fraction> share;        ///< of the light on the subject
    std::vector<Harmonic> harmonics;      ///< of a measured lamp
    std::optional<LightColour> colour;    ///< before its gels; none: usual for the kind
    std::optional<LightColour> colourEnd; ///< where it goes to during the take
    std::optional<Fraction> behind;       ///< of the light on the background
    LightSide side = LightSide::Unsaid;
    std::vector<std::string> gels; ///< ids, at most kMostGels
    ExtraKeys extra;
    friend bool operator==(const Lamp&, const Lamp&) = default;
};

/// The irises that give the wanted depth of field.
struct DepthWish {
    TStop widest{2};
    TStop narrowest{5.6}; ///< no wider than widest
    friend bool operator==(const DepthWish&, const DepthWish&) = default;
};

struct Scene {
    std::string id;
    std::string number; ///< as people call it, "2A"; may be empty
    std::string name;
    int day = 1;
    std::optional<Seconds> start; ///< since midnight, [0, 24 h)
    Place place = Place::Unknown;
    std::string note;
    Hazards hazards;
    std::optional<DescribedLight> described;
    std::optional<LightChange> change;
    std::optional<LightColour> light; ///< its colour where no lamps are told; none: as described
    std::vector<Lamp> lamps;
    std::optional<Stops> keyOverFill;   ///< wanted
    std::optional<Stops> keyOverKicker; ///< wanted
    std::optional<Stops> keyOverBack;   ///< wanted, subject over background
    std::optional<DepthWish> depth;
    WidthsPerSecond subjectSpeed{0};     ///< 0 when it does not matter
    std::optional<DegreesPerSecond> pan; ///< how fast the camera pans; none: it does not
    Magnification slowMotion{1};         ///< how many times slower than life it plays
    bool sound = true;                   ///< recorded with the picture
    SoundBy soundBy = SoundBy::Unsaid;   ///< where it is
    Support support = Support::Unsaid;
    FocusBy focusBy = FocusBy::Unsaid;
    Seconds longestTake{0};      ///< that must not be interrupted; 0 when any may be
    Seconds footage{0};          ///< planned in all; 0 when not planned
    std::optional<Degrees> view; ///< horizontal angle wanted
    std::optional<Celsius> ambient;
    std::vector<Patch> patches;
    ExtraKeys extra;
    BSLATE_COMPILED_ONCE(Scene);
};

[[nodiscard]] const Patch* findPatch(const Scene& scene, std::string_view id);
[[nodiscard]] Patch* findPatch(Scene& scene, std::string_view id);

/// The patch as it is after reading a meter.
[[nodiscard]] inline Patch metered(Patch patch, const LightReading& reading) {
    patch.reading = reading;
    patch.estimated = false;
    return patch;
}

/// Lamps that give more than all of the light on something.
struct Overlit {
    const char* what; ///< "subject" or "background"
    Fraction sum;
};
/// None where the shares that are told make 100 % or less.
[[nodiscard]] std::optional<Overlit> overlit(const std::vector<Lamp>& lamps);
/// What such shares should be, for an error.
[[nodiscard]] std::string expectedInsteadOf(const Overlit& over);

/// The scene's grey card, or null.
[[nodiscard]] const Patch* greyCard(const Scene& scene);

/// True while no patch has been metered.
[[nodiscard]] bool isEstimated(const Scene& scene);

} // namespace bslate
