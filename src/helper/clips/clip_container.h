#pragma once

#include "core/base/result.h"
#include "core/clip/clip_facts.h"

#include <memory>
#include <string>

extern "C" {
#include <libavformat/avformat.h>
}

/// A clip's container, opened and looked at without decoding.
namespace bslate::helper {

struct EndsFormat {
    void operator()(AVFormatContext* context) const { avformat_close_input(&context); }
};
using FormatContext = std::unique_ptr<AVFormatContext, EndsFormat>;

/// Opens a file alone: nothing that it names is opened besides. Fails with WrongFormat for what is
/// no recording, is empty or has no index.
[[nodiscard]] Result<FormatContext> openedClip(const std::string& path);

/// What the container says: sizes and times of every picture where it has an index of them, else of
/// the beginning, as `sampled` tells.
[[nodiscard]] Result<ClipFacts> factsOf(AVFormatContext& clip);

/// The streams of sound, in the order of ClipFacts::sound.
[[nodiscard]] std::vector<AVStream*> soundStreams(AVFormatContext& clip);

} // namespace bslate::helper
