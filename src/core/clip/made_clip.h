#pragma once

#include "core/cadence/timecode.h"
#include "core/frame/coding.h"

#include <map>
#include <string>

/// Clips made of a setup's own scene, to try with: what its camera would record, as a file.
namespace bslate {

struct MadeClipWish {
    PictureSize size{1280, 720};
    Seconds length{2};
    std::optional<FrameRate> rate; ///< filmed and played at another than the setup's, on purpose
    std::vector<Stops>
        steps;           ///< light is held at each in turn, beside the setup's; empty: as it is
    bool pulsing = true; ///< lamps of the scene pulse, row after row
    std::optional<Decibels> tone; ///< peak of a 1 kHz tone, dBFS; none: no sound
    Timecode timecode{1, 0, 0, 0, false};
    std::uint64_t seed = 1;
};

/// Most frames of one clip.
inline constexpr int kMostMadeFrames = 1000;

/// A file to be written.
struct MadeClipTask {
    CodingTask coding;
    std::optional<Decibels> tone;
    Timecode timecode;
    std::map<std::string, std::string> notes;
    friend bool operator==(const MadeClipTask&, const MadeClipTask&) = default;
};

/// The setup's mode at its bit rate by share of the pixels, playing at the rate its file has: one
/// that the camera conforms plays at the delivery's. Fails with OutOfRange for raw, which no
/// encoder here makes, for a rate the mode does not have unless another was wished, and for a
/// length of no frame or of more than kMostMadeFrames.
[[nodiscard]] Result<MadeClipTask> madeClipTask(const SetupContext& context, const Evaluation& at,
                                                const MadeClipWish& wish);

/// What the light on a row of a frame is beside the setup's, by its lamps and the step it is held
/// at: rows are read one after the other over the area's readout time.
[[nodiscard]] Fraction lightOnRow(const SetupContext& context, const MadeClipWish& wish,
                                  const MadeClipTask& task, int frame, int row);

/// A frame of it, recorded, without codec.
[[nodiscard]] Recorded madeFrameAt(const SetupContext& context, const Evaluation& at,
                                   const MadeClipWish& wish, const MadeClipTask& task,
                                   std::span<const Surface> surfaces, int frame);

} // namespace bslate
