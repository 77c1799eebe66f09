#include "helper/clips/region_reader.h"

#include "helper/clips/planes.h"

#include <algorithm>
#include <cmath>
#include <vector>

namespace bslate::helper {
namespace {

// Pixels of a plane that a place covers; one at least.
struct Box {
    int left, top, right, bottom;
    [[nodiscard]] double count() const { return double(right - left) * (bottom - top); }
};

Box boxOf(const PictureArea& area, int width, int height) {
    const auto from = [](double share, int size) {
        return std::clamp(static_cast<int>(share * size), 0, size - 1);
    };
    Box box{from(area.x, width), from(area.y, height), 0, 0};
    box.right =
        std::clamp(static_cast<int>(std::ceil((area.x + area.width) * width)), box.left + 1, width);
    box.bottom = std::clamp(static_cast<int>(std::ceil((area.y + area.height) * height)),
                            box.top + 1, height);
    return box;
}

// Reads one picture after the other, and remembers the place in the last one.
class RegionReader {
public:
    RegionReader(const PictureArea& area, AVRational tick)
        : m_area(area)
        , m_tick(tick) {}

    Outcome take(const AVFrame& frame) {
        if (const auto problem = problemWithPlanes(frame))
            return *problem;
        const auto* told = av_pix_fmt_desc_get(static_cast<AVPixelFormat>(frame.format));
        const bool bytes = told->comp[0].depth == 8;
        m_codes.depth = BitDepth{told->comp[0].depth};
        m_codes.full = frame.color_range == AVCOL_RANGE_JPEG;
        m_codes.wide = frame.colorspace == AVCOL_SPC_BT2020_NCL;
        io::RegionCode code;
        const auto time =
            frame.best_effort_timestamp != AV_NOPTS_VALUE ? frame.best_effort_timestamp : frame.pts;
        code.seconds = time != AV_NOPTS_VALUE ? static_cast<double>(time) * av_q2d(m_tick) : 0;
        const int half[] = {-((-frame.width) >> told->log2_chroma_w),
                            -((-frame.height) >> told->log2_chroma_h)};
        for (int plane = 0; plane < 3; ++plane) {
            const auto box = plane == 0 ? boxOf(m_area, frame.width, frame.height)
                                        : boxOf(m_area, half[0], half[1]);
            double sum = 0;
            for (int y = box.top; y < box.bottom; ++y)
                for (int x = box.left; x < box.right; ++x)
                    sum += planeCode(frame, plane, x, y, bytes);
            code.means[static_cast<std::size_t>(plane)] = sum / box.count();
        }
        code.noise = noiseOf(frame, bytes);
        m_codes.frames.push_back(code);
        return Done{};
    }
    [[nodiscard]] io::RegionCodes& codes() { return m_codes; }

private:
    // Of luma, against the last picture: what the two means differ by is no noise.
    double noiseOf(const AVFrame& frame, bool bytes) {
        const auto box = boxOf(m_area, frame.width, frame.height);
        std::vector<int> now;
        now.reserve(static_cast<std::size_t>(box.count()));
        for (int y = box.top; y < box.bottom; ++y)
            for (int x = box.left; x < box.right; ++x)
                now.push_back(planeCode(frame, 0, x, y, bytes));
        double sum = 0, squares = 0;
        const bool comparable = m_last.size() == now.size();
        for (std::size_t i = 0; comparable && i < now.size(); ++i) {
            const double difference = now[i] - m_last[i];
            sum += difference;
            squares += difference * difference;
        }
        const auto count = static_cast<double>(now.size());
        m_last = std::move(now);
        if (!comparable)
            return -1;
        return std::sqrt(std::max(0.0, squares / count - sum / count * (sum / count)) / 2);
    }

    PictureArea m_area;
    AVRational m_tick;
    io::RegionCodes m_codes;
    std::vector<int> m_last;
};

} // namespace

Result<io::RegionCodes> regionOf(AVFormatContext& clip, const PictureArea& area) {
    const AVCodec* codec = nullptr;
    const int index = av_find_best_stream(&clip, AVMEDIA_TYPE_VIDEO, -1, -1, &codec, 0);
    if (index < 0 || !codec)
        return noPlanes("no pictures that can be decoded");
    const auto* stream = clip.streams[index];
    const auto decoder = openedDecoder(*stream->codecpar, codec);
    if (!decoder)
        return noPlanes("pictures that cannot be decoded");
    for (unsigned i = 0; i < clip.nb_streams; ++i)
        if (static_cast<int>(i) != index)
            clip.streams[i]->discard = AVDISCARD_ALL;
    RegionReader reader(area, stream->time_base);
    const MediaPacket packet(av_packet_alloc());
    const MediaFrame frame(av_frame_alloc());
    for (bool more = true; more;) {
        more = av_read_frame(&clip, packet.get()) >= 0;
        if (more && packet->stream_index != index) {
            av_packet_unref(packet.get());
            continue;
        }
        avcodec_send_packet(decoder.get(), more ? packet.get() : nullptr);
        if (more)
            av_packet_unref(packet.get());
        while (avcodec_receive_frame(decoder.get(), frame.get()) >= 0) {
            if (reader.codes().frames.size() == io::kMostRegionFrames) {
                reader.codes().whole = false;
                return std::move(reader.codes());
            }
            if (const auto taken = reader.take(*frame); !taken)
                return taken.error();
        }
    }
    if (reader.codes().frames.empty())
        return noPlanes("pictures that cannot be decoded");
    return std::move(reader.codes());
}

} // namespace bslate::helper
