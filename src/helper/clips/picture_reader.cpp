#include "helper/clips/picture_reader.h"

#include "helper/clips/planes.h"

#include <algorithm>
#include <cmath>

namespace bslate::helper {
namespace {

constexpr int kMostTried = 600; // packets until a picture comes

// ITU-R BT.709-6 or BT.2020-2, item 3, to 8 bits of the picture's own range.
io::Still lookOf(const AVFrame& frame) {
    const auto* told = av_pix_fmt_desc_get(static_cast<AVPixelFormat>(frame.format));
    const int depth = told->comp[0].depth;
    const bool bytes = depth == 8, wide = frame.colorspace == AVCOL_SPC_BT2020_NCL;
    const bool full = frame.color_range == AVCOL_RANGE_JPEG;
    const double top = (1 << depth) - 1, legal = 1 << (depth - 8);
    const double zero = full ? 0 : 16 * legal, whole = full ? top : 219 * legal;
    const double swing = full ? top : 224 * legal, middle = 1 << (depth - 1);
    const double forRed = wide ? 1.4746 : 1.5748, forBlue = wide ? 1.8814 : 1.8556;
    const double red = wide ? 0.2627 : 0.2126, blue = wide ? 0.0593 : 0.0722;
    const int step = std::max(1, (frame.width + kWidestLook - 1) / kWidestLook);
    io::Still still;
    still.bits = 8;
    still.codes = Planes<std::uint16_t>({frame.width / step, frame.height / step});
    for (int y = 0; y < still.codes.size.height; ++y)
        for (int x = 0; x < still.codes.size.width; ++x) {
            const int cx = x * step >> told->log2_chroma_w, cy = y * step >> told->log2_chroma_h;
            const double luma = (planeCode(frame, 0, x * step, y * step, bytes) - zero) / whole;
            const double b = luma + forBlue * (planeCode(frame, 1, cx, cy, bytes) - middle) / swing;
            const double r = luma + forRed * (planeCode(frame, 2, cx, cy, bytes) - middle) / swing;
            const double g = (luma - red * r - blue * b) / (1 - red - blue);
            const double rgb[] = {r, g, b};
            for (std::size_t c = 0; c < 3; ++c)
                still.codes.plane[c][still.codes.at(x, y)] =
                    static_cast<std::uint16_t>(std::lround(255 * std::clamp(rgb[c], 0.0, 1.0)));
        }
    return still;
}

} // namespace

Result<io::Still> middlePicture(AVFormatContext& clip) {
    const AVCodec* codec = nullptr;
    const int index = av_find_best_stream(&clip, AVMEDIA_TYPE_VIDEO, -1, -1, &codec, 0);
    const auto decoder = index < 0 ? nullptr : openedDecoder(*clip.streams[index]->codecpar, codec);
    if (!decoder)
        return undecoded(clip);
    if (clip.duration > 0)
        avformat_seek_file(&clip, -1, INT64_MIN, clip.duration / 2, clip.duration / 2, 0);
    const MediaPacket packet(av_packet_alloc());
    const MediaFrame frame(av_frame_alloc());
    bool more = true;
    for (int tried = 0; more && tried < kMostTried; ++tried) {
        more = av_read_frame(&clip, packet.get()) >= 0;
        if (!more || packet->stream_index == index)
            avcodec_send_packet(decoder.get(), more ? packet.get() : nullptr);
        if (more)
            av_packet_unref(packet.get());
        if (avcodec_receive_frame(decoder.get(), frame.get()) < 0)
            continue;
        if (const auto problem = problemWithPlanes(*frame))
            return *problem;
        return lookOf(*frame);
    }
    return noPlanes("pictures that cannot be decoded");
}

} // namespace bslate::helper
