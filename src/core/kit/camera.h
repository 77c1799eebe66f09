#pragma once

#include "core/base/compiled_once.h"
#include "core/cadence/shutter.h"
#include "core/kit/body.h"
#include "core/kit/camera_fact.h"
#include "core/kit/codec_standard.h"
#include "core/kit/constraint.h"
#include "core/kit/profile.h"
#include "core/kit/white_dial.h"
#include "core/light/filters.h"
#include "core/light/sensor.h"
#include "core/media/card.h"

#include <optional>
#include <string>
#include <vector>

/// A camera as data: everything a body can and cannot do is in these values, read from a kit
/// file. Ids are unique within their list; names are what people read.
namespace bslate {

/// A base ISO with the sensor as it behaves there.
struct BaseIso {
    ExposureIndex iso{800};
    SensorModel sensor;
    ExtraKeys extra;
    friend bool operator==(const BaseIso&, const BaseIso&) = default;
};

/// A part of the sensor that is read out.
struct SensorArea {
    std::string id;
    std::string name;
    Millimetres width{36};
    Millimetres height{20};
    Seconds readout{0};               ///< one full scan; 0 when not known
    std::optional<FrameRate> fastest; ///< frames a second it can be read; none: no limit known
    ExtraKeys extra;
    friend bool operator==(const SensorArea&, const SensorArea&) = default;
};

enum class Gop { Raw, Intra, Long };
/// What becomes of white in a recording.
enum class WhiteKept {
    AsCodec, ///< baked, a note in raw
    Baked,   ///< in the picture for good
    Note     ///< applied later
};
enum class Chroma { Raw, C420, C422, C444 };

/// A codec in its container. What the container cannot hold is a rate missing from `rates`.
struct Codec {
    std::string id;
    std::string name;      ///< "Intra 10-bit 4:2:2"
    std::string container; ///< "MP4", may be empty
    CodecStandard standard = CodecStandard::Untold;
    Gop gop = Gop::Long;
    BitDepth depth;
    Chroma chroma = Chroma::C420;
    std::vector<FrameRate> rates;    ///< empty: all
    double peak = 1.0;               ///< peak over nominal bit rate, [1, 3]
    std::optional<DataSize> segment; ///< files are split at this size; none: they are not
    WhiteKept white = WhiteKept::AsCodec;
    ExtraKeys extra;
    friend bool operator==(const Codec&, const Codec&) = default;
};

[[nodiscard]] inline bool bakesWhite(const Codec& codec) {
    return codec.white == WhiteKept::AsCodec ? codec.gop != Gop::Raw
                                             : codec.white == WhiteKept::Baked;
}

struct RateOption {
    FrameRate rate;
    DataRate bitRate{100e6}; ///< with sound, as recorded at this rate
    friend bool operator==(const RateOption&, const RateOption&) = default;
};

/// How long the body records at an air temperature before it stops.
struct HeatLimit {
    Celsius ambient{25};
    Seconds time{1200};
    friend bool operator==(const HeatLimit&, const HeatLimit&) = default;
};

/// Sensor rates beside the listed ones, conformed in camera to the delivery rate.
struct OffSpeed {
    FrameRate slowest{Rational(1, 1)};
    FrameRate fastest{Rational(60, 1)};
    bool writesAtSensorRate = false; ///< else the bit rate stays that of the delivery rate
    bool sound = false;
    friend bool operator==(const OffSpeed&, const OffSpeed&) = default;
};

/// A way of recording: one codec from one area at some rates, with what it costs.
struct RecordingMode {
    std::string id;
    std::string name;
    std::string area;  ///< id
    std::string codec; ///< id
    FrameSize frame{3840, 2160};
    std::vector<RateOption> rates;     ///< at least one
    std::vector<std::string> profiles; ///< ids; empty: all of the camera's
    std::vector<std::string> slotIds;  ///< ids; empty: all
    bool sound = true;
    bool autofocus = true;
    bool externalPower = false; ///< refuses to start on the internal battery
    bool proxy = false;         ///< can write a proxy beside it
    std::optional<Seconds> clipLimit;
    std::vector<HeatLimit> heat; ///< rising ambient; empty: no limit known
    std::optional<OffSpeed> offSpeed;
    ExtraKeys extra;
    BSLATE_COMPILED_ONCE(RecordingMode);
};

/// What the ISO dial does where it differs from the profile's own entry.
struct IsoRule {
    std::string profile; ///< id; empty: any
    std::string codec;   ///< id; empty: any
    IsoBehaviour behaviour = IsoBehaviour::Note;
    std::optional<ExposureIndex> minimum;
    std::optional<ExposureIndex> maximum;
    ExtraKeys extra;
    friend bool operator==(const IsoRule&, const IsoRule&) = default;
};

/// The rates of one mains or rate setting of the body.
struct RateSet {
    std::string id; ///< "24.00", "50 Hz"
    std::vector<FrameRate> rates;
    ExtraKeys extra;
    friend bool operator==(const RateSet&, const RateSet&) = default;
};

enum class ZebraTap { Recorded, ViewingLut };
enum class ZebraKind {
    Limit, ///< stripes from a level up
    Band   ///< a level plus and minus a range
};

struct ZebraDial {
    double step = 5.0; ///< percent, > 0
    Level lowest{0};
    Level highest{109};
    ZebraTap tap = ZebraTap::Recorded;
    std::vector<ZebraKind> kinds = {ZebraKind::Limit};
    friend bool operator==(const ZebraDial&, const ZebraDial&) = default;
};

/// How many memories a camera has.
struct BankCount {
    int internal = 0;
    int onCard = 0; ///< lost when the card is formatted
    friend bool operator==(const BankCount&, const BankCount&) = default;
};

struct Camera {
    std::string id;
    std::string name;
    std::vector<CameraFact> guessed; ///< those nobody knew; each once
    std::vector<SensorArea> areas;   ///< at least one; the first is the whole sensor
    std::vector<BaseIso> bases;      ///< at least one, ascending
    std::vector<std::string> profiles;
    std::vector<IsoRule> isoRules; ///< the first that matches counts
    std::vector<Codec> codecs;
    std::vector<RecordingMode> modes; ///< at least one
    std::vector<RateSet> rateSets;    ///< empty: no region setting
    std::string regionSwitch;         ///< what changing it costs, "restarts the body"
    std::vector<Constraint> constraints;
    ShutterDial shutter;
    ZebraDial zebra;
    WhiteDial white;
    std::optional<Gamut> primaries;     ///< of the sensor, where known
    std::vector<FoundGains> whiteGains; ///< found on the body at some whites
    BankCount banks;                    ///< as many as body.banks where that names them
    Body body;
    std::vector<Slot> cardSlots;
    std::vector<std::string> batteries; ///< ids it runs on; empty: any
    Watts draw{0};                      ///< while recording; 0 when not known
    Watts standby{0};                   ///< while on and not recording; 0: as while recording
    DataSize buffer{0};                 ///< between encoder and card; 0 when not known
    DataRate proxyRate{20e6};           ///< of the second slot's proxy
    bool fan = false;
    std::string fixedLens; ///< id, when the lens cannot be changed
    std::vector<Filter> builtInNd;
    ExtraKeys extra;
    BSLATE_COMPILED_ONCE(Camera);
};

[[nodiscard]] const RecordingMode* findMode(const Camera& camera, std::string_view id);
[[nodiscard]] const Codec* findCodec(const Camera& camera, std::string_view id);
[[nodiscard]] const SensorArea* findArea(const Camera& camera, std::string_view id);
[[nodiscard]] const Slot* findSlot(const Camera& camera, std::string_view id);

/// Counts the banks where each is described.
void countBanks(Camera& camera);

/// The banks one by one: as described, or as many as are counted, numbered and holding everything.
[[nodiscard]] std::vector<Bank> banksOf(const Camera& camera);

/// What the ISO dial does and its range for a profile in a codec.
struct IsoDial {
    IsoBehaviour behaviour = IsoBehaviour::Index;
    ExposureIndex minimum{100};
    ExposureIndex maximum{25600};
};
[[nodiscard]] IsoDial isoDial(const Camera& camera, const Profile& profile, std::string_view codec);

/// The base with this ISO, or the one nearest in stops among those the profile takes.
[[nodiscard]] const BaseIso& nearestBase(const Camera& camera, const Profile& profile,
                                         ExposureIndex iso);

/// The part of a sensor area that a frame is recorded from: the largest rectangle of the frame's
/// shape in it, pixels being square.
struct RecordedArea {
    Millimetres width{0}, height{0};
};
[[nodiscard]] RecordedArea recordedArea(const SensorArea& area, FrameSize frame);
/// How much tighter a frame from this area frames than the camera's whole sensor, by width.
[[nodiscard]] Magnification frameCrop(const Camera& camera, const SensorArea& area,
                                      FrameSize frame);

/// How long the mode runs at this air temperature: straight between the listed entries, below the
/// first one that entry's. Hotter than the last entry nobody has tried: it stops at that entry's
/// time at the latest. None when no limit is known.
struct HeatTime {
    Seconds time{0};
    bool atTheLatest = false; ///< hotter than any entry
    friend bool operator==(const HeatTime&, const HeatTime&) = default;
};
[[nodiscard]] std::optional<HeatTime> heatTime(const RecordingMode& mode, Celsius ambient);

/// True when a profile may be used in a mode.
[[nodiscard]] bool allows(const RecordingMode& mode, std::string_view profile);

/// The bit rate written at `rate` when footage plays at `base`; none when the mode has no such
/// rate. Listed rates as listed; off-speed rates as OffSpeed says, from the listed rate that
/// equals `base`, else the first one.
[[nodiscard]] std::optional<DataRate> bitRateAt(const RecordingMode& mode, FrameRate rate,
                                                FrameRate base);
/// True when `rate` comes from the off-speed range and is not listed.
[[nodiscard]] bool isOffSpeed(const RecordingMode& mode, FrameRate rate);

/// Ids of the rate sets in which the body records `rate`; an off-speed rate needs the set of the
/// delivery rate. Empty when the camera has no sets.
[[nodiscard]] std::vector<std::string> regionsFor(const Camera& camera, const RecordingMode& mode,
                                                  FrameRate rate, FrameRate base);

} // namespace bslate
