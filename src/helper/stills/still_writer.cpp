#include "helper/stills/still_writer.h"

#include "helper/codec/media_library.h"
#include "helper/stills/refusal.h"

#include <algorithm>
#include <cmath>
#include <cstring>
#include <optional>

namespace bslate::helper {
namespace {

struct Way {
    const char* encoder;
    AVPixelFormat format;
    const char* option = nullptr;
    const char* value = nullptr;
};

std::optional<Way> wayFor(const std::string& ending) {
    if (ending == "png")
        return Way{"png", AV_PIX_FMT_RGB48BE};
    if (ending == "tif" || ending == "tiff")
        return Way{"tiff", AV_PIX_FMT_RGB48LE, "compression_algo", "deflate"};
    if (ending == "exr")
        return Way{"exr", AV_PIX_FMT_GBRPF32LE, "format", "half"};
    if (ending == "jpg" || ending == "jpeg")
        return Way{"mjpeg", AV_PIX_FMT_YUVJ444P};
    return std::nullopt;
}

std::uint32_t codeOf(float value, float top) {
    return static_cast<std::uint32_t>(std::lround(std::clamp(value, 0.0F, 1.0F) * top));
}

void putShorts(AVFrame& frame, const Image& light, bool big) {
    for (int y = 0; y < light.size.height; ++y) {
        auto* to = frame.data[0] + static_cast<std::ptrdiff_t>(y) * frame.linesize[0];
        for (int x = 0; x < light.size.width; ++x)
            for (const auto& plane : light.plane) {
                const auto code = codeOf(plane[light.at(x, y)], 65535);
                *to++ = static_cast<std::uint8_t>(big ? code >> 8 : code);
                *to++ = static_cast<std::uint8_t>(big ? code : code >> 8);
            }
    }
}

void putNumbers(AVFrame& frame, const Image& light) {
    constexpr int kPlaneOf[] = {2, 0, 1}; // green, blue, red
    for (std::size_t c = 0; c < 3; ++c)
        for (int y = 0; y < light.size.height; ++y)
            std::memcpy(frame.data[kPlaneOf[c]] +
                            static_cast<std::ptrdiff_t>(y) * frame.linesize[kPlaneOf[c]],
                        &light.plane[c][light.at(0, y)],
                        static_cast<std::size_t>(light.size.width) * sizeof(float));
}

// ITU-T T.871, section 7.
void putColours(AVFrame& frame, const Image& light) {
    const auto put = [&](int plane, int x, int y, float value) {
        frame.data[plane][static_cast<std::ptrdiff_t>(y) * frame.linesize[plane] + x] =
            static_cast<std::uint8_t>(std::lround(std::clamp(value, 0.0F, 255.0F)));
    };
    for (int y = 0; y < light.size.height; ++y)
        for (int x = 0; x < light.size.width; ++x) {
            float rgb[3];
            for (std::size_t c = 0; c < 3; ++c)
                rgb[c] = 255 * std::clamp(light.plane[c][light.at(x, y)], 0.0F, 1.0F);
            const float luma = 0.299F * rgb[0] + 0.587F * rgb[1] + 0.114F * rgb[2];
            put(0, x, y, luma);
            put(1, x, y, (rgb[2] - luma) / 1.772F + 128);
            put(2, x, y, (rgb[0] - luma) / 1.402F + 128);
        }
}

CodecContext encoderOf(const Way& way, PictureSize size) {
    const auto* codec = avcodec_find_encoder_by_name(way.encoder);
    CodecContext encoder(codec ? avcodec_alloc_context3(codec) : nullptr);
    if (!encoder)
        return nullptr;
    encoder->width = size.width;
    encoder->height = size.height;
    encoder->pix_fmt = way.format;
    encoder->time_base = {1, 25}; // asked for, and written nowhere
    encoder->thread_count = 1;
    if (way.format == AV_PIX_FMT_YUVJ444P) {
        encoder->color_range = AVCOL_RANGE_JPEG;
        encoder->flags |= AV_CODEC_FLAG_QSCALE;
        encoder->global_quality = FF_QP2LAMBDA; // the finest
        encoder->qmin = encoder->qmax = 1;
    }
    AVDictionary* options = nullptr;
    if (way.option)
        av_dict_set(&options, way.option, way.value, 0);
    const int failed = avcodec_open2(encoder.get(), codec, &options);
    av_dict_free(&options);
    return failed < 0 ? nullptr : std::move(encoder);
}

} // namespace

Result<std::string> encodedStill(const io::Still& still, const std::string& name) {
    const auto ending = name.substr(name.find_last_of('.') + 1);
    const auto way = wayFor(ending);
    if (!way)
        return refusedStill(ending, "a name ending in .png, .tif, .jpg or .exr");
    const auto encoder = encoderOf(*way, still.light.size);
    const MediaFrame frame(av_frame_alloc());
    const MediaPacket packet(av_packet_alloc());
    if (!encoder || !frame || !packet)
        return refusedStill(ending, "an encoder of it on this machine");
    frame->width = still.light.size.width;
    frame->height = still.light.size.height;
    frame->format = way->format;
    frame->color_range = encoder->color_range;
    frame->quality = encoder->global_quality;
    frame->pts = 0;
    if (av_frame_get_buffer(frame.get(), 0) < 0)
        return refusedStill("no memory", "a picture that can be written");
    if (way->format == AV_PIX_FMT_GBRPF32LE)
        putNumbers(*frame, still.light);
    else if (way->format == AV_PIX_FMT_YUVJ444P)
        putColours(*frame, still.light);
    else
        putShorts(*frame, still.light, way->format == AV_PIX_FMT_RGB48BE);
    if (avcodec_send_frame(encoder.get(), frame.get()) < 0 ||
        avcodec_send_frame(encoder.get(), nullptr) < 0 ||
        avcodec_receive_packet(encoder.get(), packet.get()) < 0)
        return refusedStill("an encoder that fails", "a picture that can be written");
    return std::string(reinterpret_cast<const char*>(packet->data),
                       static_cast<std::size_t>(packet->size));
}

} // namespace bslate::helper
