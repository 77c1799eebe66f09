#pragma once

#include "core/base/result.h"
#include "core/frame/coding.h"
#include "helper/codec/media_library.h"

/// Encoders of the media library for the frames of a task.
namespace bslate::helper {

/// Of the task's standard, on one thread; where none is told H.264 up to 10 bits and H.265 for
/// more, or the other one where only that is installed. For a mezzanine codec one of that kind.
/// `headerApart`: what is the same for all pictures stands in the container. Fails with OutOfRange,
/// naming the depth and chroma, when none takes them.
[[nodiscard]] Result<CodecContext> openedEncoder(const CodingTask& task, bool headerApart);
[[nodiscard]] Error cannotBeEncoded(const CodingTask& task);
/// `H.264`, `mezzanine codec`.
[[nodiscard]] std::string nameOfCoded(AVCodecID standard);

/// One to be filled and sent again and again; null when there is no memory for it.
[[nodiscard]] MediaFrame frameFor(const CodingTask& task);
/// False when there is no memory for it.
[[nodiscard]] bool putFrame(const YcbcrFrame& from, const CodingTask& task, AVFrame& frame);

} // namespace bslate::helper
