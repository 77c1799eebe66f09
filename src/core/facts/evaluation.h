#pragma once

#include "core/base/compiled_once.h"
#include "core/base/result.h"
#include "core/facts/cadence_facts.h"
#include "core/facts/cell_state.h"
#include "core/facts/recording_facts.h"
#include "core/facts/white_facts.h"
#include "core/shoot/shoot.h"

#include <optional>
#include <string>
#include <vector>

/// One evaluation: every derived number of one setup, computed by evaluate() and nowhere else.
/// Views, cards, the command line and the tests read these structs. All stops axes have their zero
/// at mid-grey; positive is brighter.
namespace bslate {

enum class PatchState {
    Good,
    NearClip, ///< less than kNearClip of headroom
    Clipped,
    Noise ///< below the floor at the shoot's SNR
};

struct PatchPlacement {
    std::string id;
    std::string name;
    PatchRole role = PatchRole::Spare;
    CandelaPerM2 luminance;
    Stops sensor;      ///< relative to mid-grey at base nominal
    Stops recorded;    ///< on the recording curve
    Stops viewed;      ///< after the rating LUT
    Level level;       ///< recorded, percent of legal range, clamped at the clip
    Level viewedLevel; ///< through the rating LUT
    int code = 0;      ///< recorded, at the mode's depth
    Stops headroom;    ///< clip - recorded; negative is what is lost
    Stops aboveNoise;  ///< recorded - floor; negative is what drowns
    PatchState state = PatchState::Good;

    friend bool operator==(const PatchPlacement&, const PatchPlacement&) = default;
};

enum class ZebraUse {
    Skin, ///< the level of the skin patch where the school wants it
    Clip  ///< the last step that warns before it
};

struct ZebraValue {
    ZebraUse use = ZebraUse::Clip;
    Level exact;  ///< before rounding to the camera's step
    Level set;    ///< in the camera's steps: nearest for skin, at or below for clip
    Stops margin; ///< clip: stops between the set level and the clip; skin: rounding error
    ZebraTap tap = ZebraTap::Recorded;
    bool reachable = true; ///< false when the camera's zebra does not go there

    friend bool operator==(const ZebraValue&, const ZebraValue&) = default;
};

/// Where the curve's numbers come from.
enum class CurveSource {
    Nominal,          ///< the maker's or a standard's
    Measured,         ///< on this body at this base
    MeasuredElsewhere ///< on another body or at another base: the curve only, not clip and floor
};

struct Evaluation {
    Seconds exposureTime;
    ShutterAngle angle;
    Stops ndLoss;
    Stops gain;         ///< log2(rating / base)
    Stops ratingOffset; ///< viewed - recorded: log2(EI / base) for index and note, else 0
    ExposureIndex base; ///< the base in use
    IsoBehaviour iso = IsoBehaviour::Index;
    BitDepth depth;
    CurveSource curveSource = CurveSource::Nominal;

    Stops sensorClip;            ///< H at this base, before any gain
    Stops sensorFloor;           ///< noise floor at this base, before any gain
    Stops clip;                  ///< recorded stops where the recording ends
    Stops noiseFloor;            ///< recorded stops
    bool curveEndsFirst = false; ///< the curve, not the sensor, sets the clip
    Level clipLevel;
    Level midGreyLevel; ///< of the curve, at 0

    std::vector<PatchPlacement> patches; ///< in the scene's order
    std::optional<Stops> grey; ///< recorded stops of the scene's 18 % grey: from the grey card,
                               ///< else from skin; none when the scene has neither
    std::vector<ZebraValue> zebra;
    RecordingFacts recording;
    CellState cell; ///< of the setup's mode at its rate
    CadenceFacts cadence;
    WhiteFacts white;

    BSLATE_COMPILED_ONCE(Evaluation);
};

/// What is lost or missing by less than this prints as nothing and is told of as nothing, stops.
inline constexpr Stops kTold{0.05};

/// Headroom that counts as "near clip", stops: common practice, no source.
inline constexpr Stops kNearClip{0.3};

/// Where skin of this role sits over mid-grey, stops (common practice, no source): +1 light,
/// +0.25 medium, -0.25 dark. 0 for other roles.
[[nodiscard]] Stops skinTone(PatchRole role);

/// Beyond the clip or in the noise: nothing of it is to be had in the grade.
[[nodiscard]] inline bool isLost(const PatchPlacement& patch) {
    return patch.state == PatchState::Clipped || patch.state == PatchState::Noise;
}

/// The brightest and the darkest patch that matter (role other than Spare; all of them when
/// every patch is spare). Null when there are no patches.
[[nodiscard]] const PatchPlacement* brightest(const Evaluation& evaluation);
[[nodiscard]] const PatchPlacement* darkest(const Evaluation& evaluation);

/// The first skin patch, or null.
[[nodiscard]] const PatchPlacement* skin(const Evaluation& evaluation);

} // namespace bslate
