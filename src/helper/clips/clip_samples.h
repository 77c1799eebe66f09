#pragma once

#include "core/clip/clip_timing.h"

#include <vector>

extern "C" {
#include <libavformat/avformat.h>
}

/// Times and sizes of a stream's pictures as its container has them.
namespace bslate::helper {

struct ClipSamples {
    std::vector<ClipSample> all; ///< in ticks of the stream
    std::int64_t end = 0;        ///< byte behind the last one that is listed; 0: they are not
    bool whole = true;           ///< else of the beginning alone
};

/// From the container's index, which costs nothing; where it has none of every picture, the file
/// is read: all of it, or its first 256 MiB and 10 seconds at least.
[[nodiscard]] ClipSamples samplesOf(AVFormatContext& clip, AVStream& stream);

} // namespace bslate::helper
