#include "helper/codec/encoder.h"

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

// H.264, or H.265 for more than it takes, where nobody told which.
std::vector<AVCodecID> encodersFor(CodecStandard standard) {
    switch (standard) {
    case CodecStandard::Untold:
        return {AV_CODEC_ID_H264, AV_CODEC_ID_HEVC};
    case CodecStandard::H264:
        return {AV_CODEC_ID_H264};
    case CodecStandard::H265:
        return {AV_CODEC_ID_HEVC};
    case CodecStandard::Av1:
        return {AV_CODEC_ID_AV1};
    case CodecStandard::Mpeg2:
        return {AV_CODEC_ID_MPEG2VIDEO};
    case CodecStandard::Jpeg2000:
        return {AV_CODEC_ID_JPEG2000};
    case CodecStandard::Mezzanine: // by its kind
    case CodecStandard::H266:
    case CodecStandard::Other:
        break;
    }
    return {};
}

// A mezzanine codec that can be held to a rate in any size of picture: bits for each 16 x 16.
constexpr const char* kBitsEach = "bits_per_mb";
bool keepsARate(const AVCodec& codec) {
    const auto* options = codec.priv_class;
    return isMezzanine(codec.id) && options &&
           av_opt_find(&options, kBitsEach, nullptr, 0, AV_OPT_SEARCH_FAKE_OBJ);
}

// In software, since what a machine's chips make of it differs from machine to machine.
const AVCodec* encoderOf(CodecStandard standard, AVPixelFormat format) {
    const auto wanted = encodersFor(standard);
    const auto first = [&](const auto& fits) -> const AVCodec* {
        void* at = nullptr;
        while (const auto* codec = av_codec_iterate(&at))
            if (av_codec_is_encoder(codec) && fits(*codec) && takes(*codec, format) &&
                !(codec->capabilities &
                  (AV_CODEC_CAP_HARDWARE | AV_CODEC_CAP_HYBRID | AV_CODEC_CAP_EXPERIMENTAL)))
                return codec;
        return nullptr;
    };
    if (standard == CodecStandard::Mezzanine)
        return first(keepsARate);
    for (const auto id : wanted)
        if (const auto* codec = first([id](const AVCodec& one) { return one.id == id; }))
            return codec;
    return nullptr;
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
    const double blocks = std::ceil(task.size.width / 16.0) * std::ceil(task.size.height / 16.0);
    if (task.standard == CodecStandard::Mezzanine)
        av_opt_set_int(context.priv_data, kBitsEach,
                       std::llround(task.bitRate.value() / task.rate.toDouble() / blocks), 0);
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

} // namespace

Error cannotBeEncoded(const CodingTask& task) {
    const char* chroma = task.chroma == Chroma::C420   ? "4:2:0"
                         : task.chroma == Chroma::C422 ? "4:2:2"
                                                       : "4:4:4";
    const auto standard = print(task.standard);
    return {ErrorCode::OutOfRange,
            {},
            {},
            (standard.empty() ? standard : standard + " ") + std::to_string(task.depth.bits) +
                " bits " + chroma,
            "a codec, depth and chroma that the installed media library encodes"};
}

std::string nameOfCoded(AVCodecID standard) {
    if (isMezzanine(standard))
        return print(CodecStandard::Mezzanine);
    return print(codecStandard(avcodec_get_name(standard)).value_or(CodecStandard::Other));
}

Result<CodecContext> openedEncoder(const CodingTask& task, bool headerApart) {
    const auto format = formatOf(task);
    const auto* codec = format != AV_PIX_FMT_NONE ? encoderOf(task.standard, format) : nullptr;
    CodecContext encoder(codec ? avcodec_alloc_context3(codec) : nullptr);
    if (!encoder)
        return cannotBeEncoded(task);
    configure(task, *encoder);
    if (headerApart)
        encoder->flags |= AV_CODEC_FLAG_GLOBAL_HEADER;
    if (avcodec_open2(encoder.get(), codec, nullptr) < 0)
        return cannotBeEncoded(task);
    return encoder;
}

MediaFrame frameFor(const CodingTask& task) {
    MediaFrame frame(av_frame_alloc());
    frame->format = formatOf(task);
    frame->width = task.size.width;
    frame->height = task.size.height;
    return av_frame_get_buffer(frame.get(), 0) < 0 ? nullptr : std::move(frame);
}

bool putFrame(const YcbcrFrame& from, const CodingTask& task, AVFrame& frame) {
    if (av_frame_make_writable(&frame) < 0)
        return false;
    const auto half = chromaSize(task.size, task.chroma);
    for (int p = 0; p < 3; ++p)
        putPlane(from.plane[static_cast<std::size_t>(p)], p == 0 ? task.size : half,
                 task.depth.bits, p, frame);
    return true;
}

} // namespace bslate::helper
