#pragma once

#include "core/base/result.h"
#include "core/clip/made_clip.h"
#include "helper/codec/media_library.h"

#include <memory>
#include <string>

extern "C" {
#include <libavformat/avformat.h>
}

namespace bslate::helper {

/// A clip put together in memory: frames of a task encoded, a tone beside them, timecode and notes,
/// in a MOV container. The same bytes everywhere the same library is.
class ClipWriter {
public:
    /// Fails as openedEncoder() does.
    [[nodiscard]] static Result<ClipWriter> open(const MadeClipTask& task);

    [[nodiscard]] Outcome add(const YcbcrFrame& frame);
    /// The file.
    [[nodiscard]] Result<std::string> finish();

private:
    struct EndsOutput {
        void operator()(AVFormatContext* context) const;
    };

    explicit ClipWriter(const MadeClipTask& task)
        : m_task(task) {}
    [[nodiscard]] bool addStreams();
    [[nodiscard]] Outcome receivePackets();
    [[nodiscard]] Outcome addTone();

    MadeClipTask m_task;
    CodecContext m_encoder;
    MediaFrame m_frame;
    MediaPacket m_packet;
    std::unique_ptr<AVFormatContext, EndsOutput> m_file;
    AVStream *m_pictures = nullptr, *m_sound = nullptr; ///< of m_file; null: no sound
    std::int64_t m_next = 0;
};

} // namespace bslate::helper
