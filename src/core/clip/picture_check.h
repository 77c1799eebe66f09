#pragma once

#include "core/clip/region_series.h"
#include "core/facts/evaluation.h"
#include "core/facts/setup_context.h"
#include "core/frame/image.h"
#include "core/judgement/finding.h"

#include <string>
#include <vector>

/// The pictures of a recorded clip beside the setup they were meant to be.
namespace bslate {

/// A place of the picture that shows a patch of the scene.
struct SeenPatch {
    std::string patch; ///< id
    std::vector<RegionFrame> frames;
    ChannelCounts counts;
};

struct SeenPictures {
    std::string file;
    FrameRate rate;                   ///< the pictures were captured at
    int looked = 0;                   ///< pictures of the clip that were looked at
    int repeated = 0;                 ///< of those, the ones that differ from the last in nothing
    std::optional<RegionPulse> pulse; ///< of all of the picture
    std::vector<SeenPatch> patches;
};

/// What all of the picture over time tells, for a clip captured at this rate with this curve. A
/// recorded picture has noise of its own; one without any is the last one again.
[[nodiscard]] SeenPictures seenIn(std::span<const RegionFrame> whole, const Curve& curve,
                                  FrameRate rate);

/// A place of a picture that shows a patch of the scene.
struct PatchArea {
    std::string patch; ///< id
    PictureArea area;
    friend bool operator==(const PatchArea&, const PatchArea&) = default;
};

/// How a clip's pictures are to be looked at for a setup.
struct PictureWish {
    Curve curve;
    FrameRate captured;
    std::vector<PatchArea> patches; ///< at most 15 are looked at
    friend bool operator==(const PictureWish&, const PictureWish&) = default;
};
/// By the setup's curve; a rate that the camera conforms was captured at the setup's.
[[nodiscard]] PictureWish pictureWish(const SetupContext& context, FrameRate file,
                                      std::vector<PatchArea> patches);

/// Exposure that is off by more than this is told: a third of a stop.
inline constexpr Stops kOffPlan{1.0 / 3};
/// A pulse is told where its line is this share of all change from frame to frame: less of it may
/// be what moves in the scene. Common practice, no source.
inline constexpr Fraction kPulseShare{0.6};
/// A channel is told of where this share of a patch's pixels is at its end: common practice, no
/// source.
inline constexpr Fraction kEndsShare{0.01};

/// How far a patch lies from the plan: the light behind its mean luma beside what was planned, both
/// no higher than the recording's end. Nothing where it has no frames or the plan does not have it.
[[nodiscard]] std::optional<Stops> offPlan(const SetupContext& context, const Evaluation& at,
                                           const SeenPatch& seen);

/// Findings of the file and of its pictures, worst first; a clip that is as planned in its file
/// alone is not so any more when its pictures differ.
[[nodiscard]] std::vector<Finding> withPictures(std::vector<Finding> file,
                                                std::vector<Finding> pictures);

/// What repeats, pulses, is exposed otherwise than planned, or has lost a channel that was to be
/// kept; worst first. Patches whose role is Spare may be lost.
[[nodiscard]] std::vector<Finding> checkPictures(const SetupContext& context, const Evaluation& at,
                                                 const SeenPictures& seen);

} // namespace bslate
