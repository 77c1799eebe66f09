#pragma once

#include "core/base/result.h"
#include "core/frame/coding.h"
#include "helper/codec/media_library.h"

#include <vector>

namespace bslate::helper {

/// Frames of a task through an encoder of the media library and back through its decoder, one
/// after another, so that few of them are in memory. On one thread: the same bytes everywhere the
/// same library is.
class SceneCoder {
public:
    /// H.264 up to 10 bits and H.265 for more, or the other one where only that is installed. Fails
    /// with OutOfRange, naming the depth and chroma, when none takes them.
    [[nodiscard]] static Result<SceneCoder> open(const CodingTask& task);

    [[nodiscard]] Outcome add(const YcbcrFrame& frame);
    /// After the last frame; fails with OutOfRange when the shown one did not come back.
    [[nodiscard]] Result<Coded> finish();

private:
    explicit SceneCoder(const CodingTask& task)
        : m_task(task) {}
    [[nodiscard]] Outcome send(const AVFrame* frame);
    [[nodiscard]] Outcome receivePackets();
    void receiveFrames();
    void take(const AVFrame& frame);

    CodingTask m_task;
    CodecContext m_encoder, m_decoder;
    MediaFrame m_frame, m_decoded;
    MediaPacket m_packet;
    std::int64_t m_next = 0;
    bool m_shown = false;
    Coded m_coded;
};

} // namespace bslate::helper
