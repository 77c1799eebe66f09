#pragma once

#include "core/base/extra_keys.h"
#include "core/cadence/shutter.h"
#include "core/light/filters.h"
#include "core/light/iso.h"
#include "core/light/sensor.h"
#include "core/signal/curve.h"
#include "core/signal/gamut.h"

#include <string>
#include <vector>

/// The user's equipment as data. No camera has code: everything a body can and cannot do is in
/// these values, read from a kit file. Ids are unique within their list; names are what people
/// read.
namespace bslate {

/// A base ISO with the sensor as it behaves there.
struct BaseIso {
    ExposureIndex iso{800};
    SensorModel sensor;
    ExtraKeys extra;
    friend bool operator==(const BaseIso&, const BaseIso&) = default;
};

/// A recording profile: curve, gamut and what the camera makes of the ISO dial in it.
struct Profile {
    std::string id;
    std::string name;
    Curve curve;
    std::string gamutName;
    Gamut gamut = gamutBt709();
    IsoBehaviour iso = IsoBehaviour::Index;
    std::vector<ExposureIndex> bases; ///< empty: all bases of the camera
    ExposureIndex minimum{100};
    ExposureIndex maximum{25600};
    bool ready = false; ///< a ready look that needs no grade (white at 100 %, no LUT)
    ExtraKeys extra;
    friend bool operator==(const Profile&, const Profile&) = default;
};

/// A way of recording. Later capabilities add what it costs.
struct RecordingMode {
    std::string id;
    std::string name;
    BitDepth depth;
    std::vector<FrameRate> rates;
    DataRate bitRate{0};               ///< at the first rate; 0 when not given
    std::vector<std::string> profiles; ///< ids; empty: all
    ExtraKeys extra;
    friend bool operator==(const RecordingMode&, const RecordingMode&) = default;
};

/// Where zebra measures.
enum class ZebraTap { Recorded, ViewingLut };

struct ZebraDial {
    double step = 5.0; ///< percent, > 0
    Level lowest{0};
    Level highest{109};
    ZebraTap tap = ZebraTap::Recorded;
    friend bool operator==(const ZebraDial&, const ZebraDial&) = default;
};

struct Camera {
    std::string id;
    std::string name;
    double sensorWidthMm = 36.0;
    double sensorHeightMm = 20.0;
    std::vector<BaseIso> bases; ///< at least one, ascending
    std::vector<std::string> profiles;
    std::vector<RecordingMode> modes; ///< at least one
    ShutterDial shutter;
    ZebraDial zebra;
    double whiteStepKelvin = 100.0;
    int banks = 0;
    std::vector<Filter> builtInNd;
    ExtraKeys extra;
    friend bool operator==(const Camera&, const Camera&) = default;
};

struct Lens {
    std::string id;
    std::string name;
    TStop widest{2.8};
    TStop narrowest{22};
    ExtraKeys extra;
    friend bool operator==(const Lens&, const Lens&) = default;
};

struct Kit {
    std::string name;
    std::vector<Camera> cameras;
    std::vector<Profile> profiles;
    std::vector<Lens> lenses;
    std::vector<Filter> filters;
    int filterSlots = 2; ///< external filters the holder takes at once
    ExtraKeys extra;
    friend bool operator==(const Kit&, const Kit&) = default;
};

/// The item with this id, or null.
[[nodiscard]] const Camera* findCamera(const Kit& kit, std::string_view id);
[[nodiscard]] const Profile* findProfile(const Kit& kit, std::string_view id);
[[nodiscard]] const Lens* findLens(const Kit& kit, std::string_view id);
[[nodiscard]] const RecordingMode* findMode(const Camera& camera, std::string_view id);

/// The camera's built-in filters first, then the user's own.
[[nodiscard]] std::vector<Filter> filtersFor(const Kit& kit, const Camera& camera);

/// The base with this ISO, or the one nearest in stops among those the profile takes.
[[nodiscard]] const BaseIso& nearestBase(const Camera& camera, const Profile& profile,
                                         ExposureIndex iso);

} // namespace bslate
