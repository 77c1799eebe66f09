#include "helper/codec/scene_coder.h"

#include <algorithm>
#include <cmath>

namespace bslate::helper {
namespace {

AVPixelFormat formatOf(const CodingTask& task) {
    const int bits = task.depth.bits;
    switch (task.chroma) {
    case Chroma::C420:
        return bits == 8    ? AV_PIX_FMT_YUV420P
               : bits == 10 ? AV_PIX_FMT_YUV420P10
               : bits == 12 ? AV_PIX_FMT_YUV420P12
                            : AV_PIX_FMT_NONE;
    case Chroma::C422:
        return bits == 8    ? AV_PIX_FMT_YUV422P
               : bits == 10 ? AV_PIX_FMT_YUV422P10
               : bits == 12 ? AV_PIX_FMT_YUV422P12
                            : AV_PIX_FMT_NONE;
    default:
        return bits == 8    ? AV_PIX_FMT_YUV444P
               : bits == 10 ? AV_PIX_FMT_YUV444P10
               : bits == 12 ? AV_PIX_FMT_YUV444P12
                            : AV_PIX_FMT_NONE;
    }
}

bool takes(const AVCodec& codec, AVPixelFormat format) {
    for (const auto* one = codec.pix_fmts; one && *one != AV_PIX_FMT_NONE; ++one)
        if (*one == format)
            return true;
    return false;
}

// In software, since what a machine's chips make of it differs from machine to machine.
const AVCodec* encoderOf(AVCodecID standard, AVPixelFormat format) {
    void* at = nullptr;
    while (const auto* codec = av_codec_iterate(&at))
        if (av_codec_is_encoder(codec) && codec->id == standard && takes(*codec, format) &&
            !(codec->capabilities &
              (AV_CODEC_CAP_HARDWARE | AV_CODEC_CAP_HYBRID | AV_CODEC_CAP_EXPERIMENTAL)))
            return codec;
    return nullptr;
}

Error cannotBeEncoded(const CodingTask& task) {
    const char* chroma = task.chroma == Chroma::C420   ? "4:2:0"
                         : task.chroma == Chroma::C422 ? "4:2:2"
                                                       : "4:4:4";
    return {ErrorCode::OutOfRange,
            {},
            {},
            std::to_string(task.depth.bits) + " bits " + chroma,
            "a depth and chroma that the installed media library encodes (H.264 or H.265)"};
}

// Group and rate as the mode has them; a long group may borrow within itself, an intra picture
// from nobody.
void configure(const CodingTask& task, AVCodecContext& context) {
    context.width = task.size.width;
    context.height = task.size.height;
    context.pix_fmt = formatOf(task);
    context.color_range = task.range == CodeRange::Full ? AVCOL_RANGE_JPEG : AVCOL_RANGE_MPEG;
    context.time_base = {static_cast<int>(task.rate.perSecond.denominator()),
                         static_cast<int>(task.rate.perSecond.numerator())};
    context.framerate = {context.time_base.den, context.time_base.num};
    context.thread_count = 1;
    const bool intra = task.gop == Gop::Intra;
    context.gop_size = intra ? 1 : kLongGroup;
    context.keyint_min = context.gop_size;
    context.max_b_frames = intra ? 0 : 2;
    const double group = task.bitRate.value() / task.rate.toDouble() * context.gop_size;
    context.bit_rate = static_cast<std::int64_t>(std::llround(task.bitRate.value()));
    context.rc_max_rate = static_cast<std::int64_t>(
        std::llround(task.bitRate.value() * std::clamp(task.peak, 1.0, 3.0)));
    context.rc_buffer_size = static_cast<int>(std::clamp(group * task.peak, 1e4, 2e9));
    av_opt_set(context.priv_data, "preset", "veryfast", 0);
    av_opt_set(context.priv_data, "forced-idr", "1", 0);
    av_opt_set(context.priv_data, "x265-params", "log-level=none:pools=none:frame-threads=1", 0);
}

// Two bytes a sample, or one of 8 bits.
void putPlane(const std::vector<std::uint16_t>& plane, PictureSize size, int bits, int p,
              AVFrame& frame) {
    for (int y = 0; y < size.height; ++y) {
        const auto* from = plane.data() + static_cast<std::ptrdiff_t>(y) * size.width;
        auto* row = frame.data[p] + static_cast<std::ptrdiff_t>(y) * frame.linesize[p];
        if (bits == 8)
            std::transform(from, from + size.width, row,
                           [](std::uint16_t code) { return static_cast<std::uint8_t>(code); });
        else
            std::copy(from, from + size.width, reinterpret_cast<std::uint16_t*>(row));
    }
}

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
    const auto format = formatOf(task);
    const AVCodec* codec = nullptr;
    if (format != AV_PIX_FMT_NONE)
        for (const auto standard : {AV_CODEC_ID_H264, AV_CODEC_ID_HEVC})
            codec = codec ? codec : encoderOf(standard, format);
    SceneCoder coder(task);
    if (codec) {
        coder.m_encoder.reset(avcodec_alloc_context3(codec));
        const auto* decoder = avcodec_find_decoder(codec->id);
        coder.m_decoder.reset(avcodec_alloc_context3(decoder));
    }
    if (!coder.m_encoder || !coder.m_decoder)
        return cannotBeEncoded(task);
    configure(task, *coder.m_encoder);
    coder.m_decoder->thread_count = 1;
    coder.m_frame.reset(av_frame_alloc());
    coder.m_decoded.reset(av_frame_alloc());
    coder.m_packet.reset(av_packet_alloc());
    coder.m_frame->format = format;
    coder.m_frame->width = task.size.width;
    coder.m_frame->height = task.size.height;
    if (avcodec_open2(coder.m_encoder.get(), codec, nullptr) < 0 ||
        avcodec_open2(coder.m_decoder.get(), nullptr, nullptr) < 0 ||
        av_frame_get_buffer(coder.m_frame.get(), 0) < 0)
        return cannotBeEncoded(task);
    coder.m_coded.standard = codec->id == AV_CODEC_ID_H264 ? "H.264" : "H.265";
    coder.m_coded.sizes.assign(static_cast<std::size_t>(task.frames), DataSize(0));
    coder.m_coded.shown = {task.size, task.depth, task.range, task.chroma, {}};
    return coder;
}

Outcome SceneCoder::add(const YcbcrFrame& frame) {
    if (av_frame_make_writable(m_frame.get()) < 0)
        return cannotBeEncoded(m_task);
    const auto half = chromaSize(m_task.size, m_task.chroma);
    for (int p = 0; p < 3; ++p)
        putPlane(frame.plane[static_cast<std::size_t>(p)], p == 0 ? m_task.size : half,
                 m_task.depth.bits, p, *m_frame);
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
