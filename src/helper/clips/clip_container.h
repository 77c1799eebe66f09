#pragma once

#include "core/base/result.h"
#include "core/clip/clip_facts.h"
#include "helper/clips/clip_bytes.h"

#include <memory>
#include <string>

extern "C" {
#include <libavformat/avformat.h>
}

/// A clip's container, opened and looked at without decoding.
namespace bslate::helper {

struct EndsFormat {
    void operator()(AVFormatContext* context) const {
        auto* bytes = context->pb;
        avformat_close_input(&context);
        endBytes(bytes);
    }
};
using FormatContext = std::unique_ptr<AVFormatContext, EndsFormat>;

/// Opens a file alone, and shuts the doors of this process behind it: nothing that it names is
/// opened besides. Fails with FileUnreadable, and with WrongFormat for what is no recording, is
/// empty, has no index, or one that tells of more than there is.
[[nodiscard]] Result<FormatContext> openedClip(const std::string& path);

/// What the container says: sizes and times of every picture where it has an index of them, else of
/// the beginning, as `sampled` tells.
[[nodiscard]] Result<ClipFacts> factsOf(AVFormatContext& clip);

/// The streams of sound, in the order of ClipFacts::sound.
[[nodiscard]] std::vector<AVStream*> soundStreams(AVFormatContext& clip);

} // namespace bslate::helper
