#pragma once

#include "core/base/result.h"
#include "core/clip/clip_facts.h"

extern "C" {
#include <libavformat/avformat.h>
}

/// Sound of a clip, decoded and listened to.
namespace bslate::helper {

/// Levels of a stream of sound, over all of it, or 40 parts of 15 seconds of one that is longer
/// than ten minutes; `sampled` is set then. None when no decoder is there or nothing can be heard.
[[nodiscard]] std::optional<SoundLevel> levelOf(AVFormatContext& clip, AVStream& stream,
                                                bool& sampled);

} // namespace bslate::helper
