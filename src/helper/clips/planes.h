#pragma once

#include "core/base/error.h"
#include "helper/codec/media_library.h"

#include <cstddef>
#include <optional>
#include <string>

extern "C" {
#include <libavformat/avformat.h>
}

/// Pictures of luma and two colour differences in planes, as decoders give them.
namespace bslate::helper {

[[nodiscard]] inline Error noPlanes(std::string got) {
    return {ErrorCode::WrongFormat,
            {},
            {},
            std::move(got),
            "pictures of luma and colour differences, 8 to 16 bits"};
}

/// Of a clip whose codec the media library cannot decode.
[[nodiscard]] inline Error undecoded(const AVFormatContext& clip) {
    std::string codec;
    for (unsigned i = 0; i < clip.nb_streams; ++i)
        if (clip.streams[i]->codecpar->codec_type == AVMEDIA_TYPE_VIDEO)
            codec = avcodec_get_name(clip.streams[i]->codecpar->codec_id);
    if (codec.empty())
        return noPlanes("no pictures");
    return {ErrorCode::WrongFormat,
            {},
            {},
            "pictures in a codec that cannot be read here, " + codec,
            "a codec that the media library of this machine decodes"};
}

/// What is wrong with the form of a picture; nothing for one that planeCode() reads.
[[nodiscard]] inline std::optional<Error> problemWithPlanes(const AVFrame& frame) {
    const auto format = static_cast<AVPixelFormat>(frame.format);
    const auto* told = av_pix_fmt_desc_get(format);
    const bool fine = told && told->nb_components >= 3 && av_pix_fmt_count_planes(format) == 3 &&
                      !(told->flags & (AV_PIX_FMT_FLAG_RGB | AV_PIX_FMT_FLAG_BE |
                                       AV_PIX_FMT_FLAG_HWACCEL | AV_PIX_FMT_FLAG_FLOAT)) &&
                      told->comp[0].shift == 0;
    return fine ? std::nullopt : std::optional(noPlanes(told ? told->name : "an unknown form"));
}

[[nodiscard]] inline int planeCode(const AVFrame& frame, int plane, int x, int y, bool bytes) {
    const auto* row = frame.data[plane] + static_cast<std::ptrdiff_t>(y) * frame.linesize[plane];
    return bytes ? row[x] : reinterpret_cast<const std::uint16_t*>(row)[x];
}

/// The decoder of a stream, opened; null when there is none.
[[nodiscard]] inline CodecContext openedDecoder(const AVCodecParameters& told,
                                                const AVCodec* codec) {
    CodecContext decoder(codec ? avcodec_alloc_context3(codec) : nullptr);
    if (decoder)
        decoder->thread_count = 0; // as many as there are cores
    if (!decoder || avcodec_parameters_to_context(decoder.get(), &told) < 0 ||
        avcodec_open2(decoder.get(), codec, nullptr) < 0)
        return nullptr;
    return decoder;
}

} // namespace bslate::helper
