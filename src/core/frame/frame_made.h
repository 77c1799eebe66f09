#pragma once

#include "core/frame/camera_path.h"
#include "core/frame/coding.h"
#include "core/frame/graded.h"
#include "core/frame/instruments.h"
#include "core/frame/likeness.h"
#include "core/frame/meters.h"
#include "core/frame/push.h"

#include <string_view>

/// A setup's scene as a picture, at every stage of its way.
namespace bslate {

enum class FrameStage {
    Light,  ///< as no camera limits it, exposed and white as the setup is
    Sensor, ///< behind the sensor and white, before the curve
    Curve,  ///< as the codec is given it, flat
    Codec,  ///< as it comes out of the codec again, flat
    Grade   ///< rating undone, for a BT.709 display
};

/// `light`, `sensor`, `curve`, `codec`, `grade`, and back.
[[nodiscard]] std::string_view keyOf(FrameStage stage);
[[nodiscard]] std::optional<FrameStage> frameStageNamed(std::string_view key);

/// A patch as it was planned and as it was found in the picture.
struct FoundPatch {
    std::string id, name;
    Level planned, found; ///< luma, percent
    Stops plannedStops, foundStops;
    PictureArea area;
    friend bool operator==(const FoundPatch&, const FoundPatch&) = default;
};

/// Each probe that has the id of a patch, as it was planned and as it reads in a frame that was
/// recorded in the setup's profile.
[[nodiscard]] std::vector<FoundPatch> foundPatches(const SetupContext& context,
                                                   const Evaluation& at, const CodeFrame& frame,
                                                   std::span<const Probe> probes);

/// Where makeFrame() measures the patches.
[[nodiscard]] std::vector<Probe> probesOf(const SetupContext& context);

/// What the codec made of a frame.
struct CodecResult {
    CodeFrame frame;
    std::string standard;                          ///< of the encoder, "H.264"
    CodecStandard planned = CodecStandard::Untold; ///< of the mode
    DataRate rate;                                 ///< at the mode's own frame size
    std::optional<Fraction> noiseKept;             ///< see noiseKept()
};

struct FrameMade {
    Image light; ///< cd/m2, BT.2020
    Recorded recorded;
    std::optional<CodecResult> coded; ///< none: raw, not run, or not to be encoded here
    Instruments instruments;          ///< of the recording
    LumaWeights weights;
    std::vector<FoundPatch> patches;          ///< those that have a place in the picture
    std::array<Fraction, 3> clipped, drowned; ///< share of the frame, by channel
    /// What meters would ask for beside the setup's exposure; lamps are what is brighter than every
    /// patch that matters.
    std::array<MeterReading, kMeterKinds> meters;
};

struct FrameWish {
    PictureSize size{1280, 720};
    CameraPathWish camera;
    InstrumentWish instruments; ///< weights are the profile's
};

/// Paints, records and measures. The zebra asked for is on the recorded signal.
[[nodiscard]] FrameMade makeFrame(const SetupContext& context, const Evaluation& at,
                                  const FrameWish& wish);

/// The recording as it is read: out of the codec where it has been through one.
[[nodiscard]] const CodeFrame& recordingOf(const FrameMade& frame);

/// A frame with what came back of its codingTask(): what is measured is measured again on it.
[[nodiscard]] FrameMade withCoded(const SetupContext& context, const Evaluation& at,
                                  FrameMade frame, const FrameWish& wish, const Coded& coded);

/// What a stage looks like on a BT.709 display, values in [0, 1]; light and grade with a push.
[[nodiscard]] Image shownStage(const SetupContext& context, const Evaluation& at,
                               const FrameMade& frame, FrameStage stage, const Push& push = {});

} // namespace bslate
