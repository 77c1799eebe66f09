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

} // namespace bslate::helper
