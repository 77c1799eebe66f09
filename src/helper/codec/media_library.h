#pragma once

#include <memory>

extern "C" {
#include <libavcodec/avcodec.h>
#include <libavutil/opt.h>
#include <libavutil/pixdesc.h>
}

/// The media library's objects, ended with their owners.
namespace bslate::helper {

struct EndsCodec {
    void operator()(AVCodecContext* context) const { avcodec_free_context(&context); }
};
struct EndsFrame {
    void operator()(AVFrame* frame) const { av_frame_free(&frame); }
};
struct EndsPacket {
    void operator()(AVPacket* packet) const { av_packet_free(&packet); }
};
using CodecContext = std::unique_ptr<AVCodecContext, EndsCodec>;
using MediaFrame = std::unique_ptr<AVFrame, EndsFrame>;
using MediaPacket = std::unique_ptr<AVPacket, EndsPacket>;

/// Coded picture by picture and not without loss, for editing: of the proprietary ones the kind is
/// all that is told.
[[nodiscard]] inline bool isMezzanine(AVCodecID id) {
    const auto* told = avcodec_descriptor_get(id);
    constexpr int kKind = AV_CODEC_PROP_INTRA_ONLY | AV_CODEC_PROP_LOSSY;
    return told && told->type == AVMEDIA_TYPE_VIDEO &&
           (told->props & (kKind | AV_CODEC_PROP_LOSSLESS)) == kKind && id != AV_CODEC_ID_MJPEG &&
           id != AV_CODEC_ID_DVVIDEO;
}

} // namespace bslate::helper
