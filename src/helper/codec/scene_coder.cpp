#include "helper/codec/scene_coder.h"

#include "helper/codec/encoder.h"

#include <algorithm>

namespace bslate::helper {
namespace {

void getPlane(const AVFrame& frame, int p, PictureSize size, int bits,
              std::vector<std::uint16_t>& plane) {
    plane.resize(size.pixels());
    for (int y = 0; y < size.height; ++y) {
        auto* to = plane.data() + static_cast<std::ptrdiff_t>(y) * size.width;
        const auto* row = frame.data[p] + static_cast<std::ptrdiff_t>(y) * frame.linesize[p];
        if (bits == 8)
            std::copy(row, row + size.width, to);
        else
            std::copy_n(reinterpret_cast<const std::uint16_t*>(row), size.width, to);
    }
}

} // namespace

Result<SceneCoder> SceneCoder::open(const CodingTask& task) {
    auto encoder = openedEncoder(task, false);
    if (!encoder)
        return encoder.error();
    SceneCoder coder(task);
    coder.m_encoder = *std::move(encoder);
    const auto standard = coder.m_encoder->codec_id;
    coder.m_decoder.reset(avcodec_alloc_context3(avcodec_find_decoder(standard)));
    coder.m_frame = frameFor(task);
    coder.m_decoded.reset(av_frame_alloc());
    coder.m_packet.reset(av_packet_alloc());
    if (!coder.m_decoder || !coder.m_frame)
        return cannotBeEncoded(task);
    coder.m_decoder->thread_count = 1;
    if (avcodec_open2(coder.m_decoder.get(), nullptr, nullptr) < 0)
        return cannotBeEncoded(task);
    coder.m_coded.standard = nameOfCoded(standard);
    coder.m_coded.sizes.assign(static_cast<std::size_t>(task.frames), DataSize(0));
    coder.m_coded.shown = {task.size, task.depth, task.range, task.chroma, {}};
    return coder;
}

Outcome SceneCoder::add(const YcbcrFrame& frame) {
    if (!putFrame(frame, m_task, *m_frame))
        return cannotBeEncoded(m_task);
    m_frame->pts = m_next++;
    return send(m_frame.get());
}

Outcome SceneCoder::send(const AVFrame* frame) {
    if (avcodec_send_frame(m_encoder.get(), frame) < 0)
        return cannotBeEncoded(m_task);
    return receivePackets();
}

Outcome SceneCoder::receivePackets() {
    while (avcodec_receive_packet(m_encoder.get(), m_packet.get()) >= 0) {
        const auto index = static_cast<std::size_t>(std::max<std::int64_t>(0, m_packet->pts));
        if (index < m_coded.sizes.size())
            m_coded.sizes[index] = DataSize(m_packet->size);
        const bool sent = avcodec_send_packet(m_decoder.get(), m_packet.get()) >= 0;
        av_packet_unref(m_packet.get());
        if (!sent)
            return cannotBeEncoded(m_task);
        receiveFrames();
    }
    return Done{};
}

void SceneCoder::receiveFrames() {
    while (avcodec_receive_frame(m_decoder.get(), m_decoded.get()) >= 0) {
        if (m_decoded->pts == m_task.shown)
            take(*m_decoded);
        av_frame_unref(m_decoded.get());
    }
}

void SceneCoder::take(const AVFrame& frame) {
    if (frame.width != m_task.size.width || frame.height != m_task.size.height)
        return;
    const auto half = chromaSize(m_task.size, m_task.chroma);
    for (int p = 0; p < 3; ++p)
        getPlane(frame, p, p == 0 ? m_task.size : half, m_task.depth.bits,
                 m_coded.shown.plane[static_cast<std::size_t>(p)]);
    m_shown = true;
}

Result<Coded> SceneCoder::finish() {
    if (const auto sent = send(nullptr); !sent)
        return sent.error();
    avcodec_send_packet(m_decoder.get(), nullptr);
    receiveFrames();
    return m_shown ? Result<Coded>(std::move(m_coded)) : Result<Coded>(cannotBeEncoded(m_task));
}

} // namespace bslate::helper
