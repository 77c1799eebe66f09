#pragma once

#include "core/frame/camera_path.h"
#include "core/frame/scene_picture.h"
#include "core/frame/ycbcr.h"

#include <optional>
#include <string>

/// What an encoder makes of a setup's scene: the work handed to one, and what came back.
namespace bslate {

/// Frames of a drawn picture for an encoder, as the setup's mode records them.
struct CodingTask {
    PictureSize size;
    FrameRate rate;
    BitDepth depth;
    CodeRange range = CodeRange::Legal;
    Chroma chroma = Chroma::C420;
    Gop gop = Gop::Long;
    CodecStandard standard = CodecStandard::Untold;
    DataRate bitRate{1e6}; ///< of these pictures: the mode's by share of its pixels
    double peak = 1.0;     ///< most over that rate, [1, 3]
    int frames = 4;
    int shown = 3; ///< counted from 0: the one that is drawn and measured
    friend bool operator==(const CodingTask&, const CodingTask&) = default;
};

/// Pictures between two that stand by themselves, in a long group: common practice, no source.
inline constexpr int kLongGroup = 12;

/// Two groups for `long`, of which the middle of the second is shown; four pictures for `intra`, of
/// which the last is. None for raw, which no encoder changes, and for a rate the mode does not
/// have.
[[nodiscard]] std::optional<CodingTask> codingTask(const SetupContext& context,
                                                   const Evaluation& at, PictureSize size);

/// One of its frames, without codec: recordScene() of the scene at its moment, each with noise of
/// its own; the shown one is that of makeFrame().
[[nodiscard]] Recorded recordedAt(const SetupContext& context, const Evaluation& at,
                                  const CodingTask& task, std::span<const Surface> surfaces,
                                  const CameraPathWish& wish, int index);

/// What came back of a task.
struct Coded {
    YcbcrFrame shown;            ///< decoded again
    std::vector<DataSize> sizes; ///< of each frame as it was coded, in the order they are shown
    std::string standard;        ///< what the bytes are: "H.264", "H.265"
    friend bool operator==(const Coded&, const Coded&) = default;
};

/// Of all of a task's frames; of whole groups, the first left out where there are two.
[[nodiscard]] DataRate codedRate(const CodingTask& task, const Coded& coded);

/// How much of the noise of a recording is left after coding, over the pixels that are not at an
/// end: the noise before is `before - clean`, and kept is what of it stands in `after - clean`
/// (their covariance over its variance), for luma. 1 where it is whole, near 0 where it is gone;
/// none where there was no noise.
[[nodiscard]] std::optional<Fraction> noiseKept(const CodeFrame& clean, const CodeFrame& before,
                                                const CodeFrame& after, const LumaWeights& weights);

} // namespace bslate
