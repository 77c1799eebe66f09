#pragma once

#include "core/base/keep_going.h"
#include "core/base/result.h"
#include "core/frame/coding.h"
#include "core/frame/frame_made.h"

#include <functional>

namespace bslate::io {

/// Has a helper process of ours (`bslate-codec`) encode the frames of a task and decode the shown
/// one. `frameAt` is asked for each frame once, in order, and only when the encoder wants it;
/// `keepGoing` is told the share of frames that were handed over. Fails with OutOfRange and what
/// could be encoded when the installed library has no encoder for the task, and as runHelper()
/// does. Pictures of at most kLongestCoded pixels on a side.
[[nodiscard]] Result<Coded> runCoding(const CodingTask& task,
                                      const std::function<YcbcrFrame(int)>& frameAt,
                                      const KeepGoing& keepGoing = {});
inline constexpr int kLongestCoded = 4096;
[[nodiscard]] Error tooLargeToCode(PictureSize size);

/// The same with the frames of a setup's scene; none for a recording that no encoder changes (see
/// codingTask()).
[[nodiscard]] Result<std::optional<Coded>> codeScene(const SetupContext& context,
                                                     const Evaluation& at, const FrameWish& wish,
                                                     const KeepGoing& keepGoing = {});

} // namespace bslate::io
