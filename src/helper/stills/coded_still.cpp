#include "helper/stills/coded_still.h"

#include "helper/codec/media_library.h"
#include "helper/stills/frame_still.h"
#include "helper/stills/refusal.h"
#include "helper/stills/still_size.h"

#include <atomic>
#include <cstdarg>
#include <optional>

extern "C" {
#include <libavutil/imgutils.h>
}

namespace bslate::helper {
namespace {

static_assert(kSpareBytes >= AV_INPUT_BUFFER_PADDING_SIZE);

AVCodecID decoderFor(StillKind kind, std::string_view bytes) {
    if (kind == StillKind::Pnm)
        return bytes[1] == '5' ? AV_CODEC_ID_PGM : AV_CODEC_ID_PPM;
    constexpr std::pair<StillKind, AVCodecID> kDecoders[] = {
        {StillKind::Png, AV_CODEC_ID_PNG},           {StillKind::Jpeg, AV_CODEC_ID_MJPEG},
        {StillKind::Dpx, AV_CODEC_ID_DPX},           {StillKind::Exr, AV_CODEC_ID_EXR},
        {StillKind::Jpeg2000, AV_CODEC_ID_JPEG2000}, {StillKind::WebP, AV_CODEC_ID_WEBP}};
    for (const auto& [known, decoder] : kDecoders)
        if (known == kind)
            return decoder;
    return AV_CODEC_ID_NONE;
}

// What happened inside of the decoder that it does not tell.
struct Watch {
    std::size_t most = 0; // bytes a picture may take
    std::optional<Error> refused;
    int parts = 0, broken = 0; // strips, tiles or blocks
};

// What a decoder complains of and goes on: a strip that is short, a scan that ends.
std::atomic<int> complaints = 0;
void listen(void*, int level, const char*, va_list) {
    complaints += level <= AV_LOG_ERROR;
}

int takeBuffer(AVCodecContext* decoder, AVFrame* frame, int flags) {
    auto& watch = *static_cast<Watch*>(decoder->opaque);
    watch.refused = problemWithSize(frame->width, frame->height);
    const auto format = static_cast<AVPixelFormat>(frame->format);
    const int bytes = av_image_get_buffer_size(format, frame->width, frame->height, 1);
    if (!watch.refused && (bytes < 0 || static_cast<std::size_t>(bytes) > watch.most))
        watch.refused = moreThanItsFile(frame->width, frame->height);
    return watch.refused ? AVERROR(EINVAL) : avcodec_default_get_buffer2(decoder, frame, flags);
}

int runParts(AVCodecContext* decoder, int (*work)(AVCodecContext*, void*, int, int), void* of,
             int* told, int count) {
    auto& watch = *static_cast<Watch*>(decoder->opaque);
    for (int i = 0; i < count; ++i) {
        const int done = work(decoder, of, i, 0);
        ++watch.parts;
        watch.broken += done < 0;
        if (told)
            told[i] = done;
    }
    return 0;
}

CodecContext openedFor(StillKind kind, std::string_view bytes, Watch& watch) {
    const auto* codec = avcodec_find_decoder(decoderFor(kind, bytes));
    CodecContext decoder(codec ? avcodec_alloc_context3(codec) : nullptr);
    if (!decoder)
        return nullptr;
    decoder->thread_count = 1;
    decoder->opaque = &watch;
    decoder->get_buffer2 = takeBuffer;
    decoder->execute2 = runParts;
    decoder->idct_algo = FF_IDCT_INT; // of a JPEG: the one whose rounding is most common
    decoder->err_recognition = AV_EF_CRCCHECK | AV_EF_BITSTREAM | AV_EF_BUFFER | AV_EF_EXPLODE;
    decoder->flags |= AV_CODEC_FLAG_UNALIGNED;
    AVDictionary* options = nullptr;
    if (kind == StillKind::Exr)
        av_dict_set(&options, "layer", colourLayer(bytes).value_or("").c_str(), 0);
    const int failed = avcodec_open2(decoder.get(), codec, &options);
    av_dict_free(&options);
    return failed < 0 ? nullptr : std::move(decoder);
}

Error reasonOf(int failed) {
    if (failed == AVERROR_PATCHWELCOME || failed == AVERROR(ENOSYS))
        return refusedStill("a kind of this format that is not read here", "another kind of it");
    return notWhole("what cannot be decoded to its end");
}

} // namespace

Result<io::Still> codedStill(StillKind kind, const std::string& content) {
    const auto bytes = std::string_view(content).substr(0, content.size() - kSpareBytes);
    if (auto problem = problemWithContent(kind, bytes))
        return *std::move(problem);
    Watch watch;
    watch.most = mostBytesFor(bytes.size());
    auto decoder = openedFor(kind, bytes, watch);
    const MediaPacket packet(av_packet_alloc());
    const MediaFrame frame(av_frame_alloc());
    if (!decoder || !packet || !frame)
        return refusedStill("a picture whose decoder this machine has not", "another format");
    // Borrowed, not counted: the decoder would copy nothing that has no owner, so it gets one.
    auto* own = av_buffer_create(
        reinterpret_cast<std::uint8_t*>(const_cast<char*>(content.data())), content.size(),
        [](void*, std::uint8_t*) {}, nullptr, AV_BUFFER_FLAG_READONLY);
    packet->buf = own;
    packet->data = own ? own->data : nullptr;
    packet->size = static_cast<int>(bytes.size());
    av_log_set_level(AV_LOG_ERROR);
    av_log_set_callback(listen);
    int done = avcodec_send_packet(decoder.get(), packet.get());
    if (done >= 0)
        done = avcodec_send_packet(decoder.get(), nullptr);
    if (done >= 0)
        done = avcodec_receive_frame(decoder.get(), frame.get());
    if (watch.refused)
        return *std::move(watch.refused);
    if (watch.broken > 0)
        return notWhole(std::to_string(watch.broken) + " of " + std::to_string(watch.parts) +
                        " parts that cannot be read");
    if (done < 0)
        return reasonOf(done);
    if (frame->decode_error_flags != 0 || complaints > 0)
        return notWhole("a picture with parts that cannot be decoded");
    const int told = decoder->bits_per_raw_sample;
    decoder.reset(); // and what it holds of a large picture
    return stillOf(*frame, told);
}

} // namespace bslate::helper
