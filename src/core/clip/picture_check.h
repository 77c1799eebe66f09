#pragma once

#include "core/clip/region_pulse.h"
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
    int repeated = 0;                 ///< of those, by repeatedIn()
    std::optional<RegionPulse> pulse; ///< of all of the picture
    std::vector<Strip> mean;          ///< of its strips over time; empty without them
    std::vector<SeenPatch> patches;
};

/// A picture that differs from the last, and has moved, by less than this share of what those
/// around it do is that one again, after whatever encoding; where the places of the picture hardly
/// move at all, signal, nothing can be told. Common practice, no source.
inline constexpr Fraction kRepeats{0.3};
inline constexpr Signal kMoves{0.001};

/// How many pictures are the last one again, between two that move as the others do: those that
/// differ in nothing, and, where they come regularly, those that hardly differ.
[[nodiscard]] int repeatedIn(std::span<const RegionFrame> frames);

/// What all of the picture over time tells, for a clip captured at this rate with this curve.
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
/// What a pulse must show before it is told, since what moves in a scene may look like one: how
/// much of all change its line is, how far the whole picture goes with it, how far it stands over
/// other lines. Less is asked of one that a lamp of the mains or of the scene explains. Common
/// practice, no source.
struct PulseEvidence {
    Fraction share, together;
    Magnification alone, over;
};
inline constexpr PulseEvidence kOfKnownLamp{Fraction(0.02), Fraction(0.7), Magnification(2),
                                            Magnification(4)};
inline constexpr PulseEvidence kOfAnyLamp{Fraction(0.5), Fraction(0.95), Magnification(5),
                                          Magnification(10)};
[[nodiscard]] bool isEnough(const RegionPulse& pulse, const PulseEvidence& asked);

/// True when twice a mains frequency in use, or a lamp of the scene, is one of its lamps, as well
/// as the alias is known.
[[nodiscard]] bool isExplained(const RegionPulse& pulse, const Scene& scene, Hertz mains);
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

/// Bands of light that stand in a picture, where a lamp that keeps step leaves so many of them over
/// its height: peak to peak, when all columns show them alike and little else beside a slope. None
/// where the picture shows something else. [D: the cosine of that many
/// turns down the strips, column by column]
[[nodiscard]] std::optional<Stops> standingBands(std::span<const Strip> mean, const Curve& curve,
                                                 double bands);

/// What repeats, pulses, is exposed otherwise than planned, or has lost a channel that was to be
/// kept; worst first. Patches whose role is Spare may be lost.
[[nodiscard]] std::vector<Finding> checkPictures(const SetupContext& context, const Evaluation& at,
                                                 const SeenPictures& seen);

} // namespace bslate
