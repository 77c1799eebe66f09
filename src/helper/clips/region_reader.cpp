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

constexpr std::size_t kCountEvery = 24; // frames whose pixels are counted

// ITU-R BT.709-6 and BT.2020-2, item 3.
struct Weights {
    double red, blue;
    [[nodiscard]] double green() const { return 1 - red - blue; }
};

// Reads one place of a picture after the other, and remembers it as it was in the last one.
class RegionReader {
public:
    RegionReader(const PictureArea& area, AVRational tick, bool strips)
        : m_area(area)
        , m_tick(tick)
        , m_strips(strips) {}

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
        if (m_strips)
            code.strips = stripsOf(frame, bytes);
        if (m_codes.frames.size() % kCountEvery == 0)
            count(frame, *told, bytes);
        m_codes.frames.push_back(code);
        return Done{};
    }
    [[nodiscard]] io::RegionCodes& codes() { return m_codes; }

private:
    [[nodiscard]] std::vector<double> stripsOf(const AVFrame& frame, bool bytes) const {
        const auto box = boxOf(m_area, frame.width, frame.height);
        const int rows = box.bottom - box.top, wide = box.right - box.left;
        constexpr int columns = static_cast<int>(io::kRegionColumns);
        std::vector<double> strips;
        const int wanted = std::min(rows, static_cast<int>(io::kRegionStrips));
        for (int strip = 0; strip < wanted; ++strip) {
            const int top = box.top + rows * strip / wanted;
            const int bottom = box.top + rows * (strip + 1) / wanted;
            for (int column = 0; column < columns; ++column) {
                const int left = box.left + wide * column / columns;
                const int right = std::max(left + 1, box.left + wide * (column + 1) / columns);
                double sum = 0;
                for (int y = top; y < bottom; ++y)
                    for (int x = left; x < right; ++x)
                        sum += planeCode(frame, 0, x, y, bytes);
                strips.push_back(sum / (double(bottom - top) * (right - left)));
            }
        }
        return strips;
    }

    // Red, green and blue of each pixel, by their step of the codes.
    void count(const AVFrame& frame, const AVPixFmtDescriptor& told, bool bytes) {
        const auto weights = m_codes.wide ? Weights{0.2627, 0.0593} : Weights{0.2126, 0.0722};
        const int bits = m_codes.depth.bits;
        const double middle = 1 << (bits - 1);
        // Of the legal range colour differences swing over 224 codes of 8 bits, luma over 219.
        const double swing = m_codes.full ? 1.0 : 219.0 / 224.0;
        const double scale = static_cast<double>(io::kCountSteps) / (1 << bits);
        for (auto& channel : m_codes.counts)
            channel.resize(io::kCountSteps);
        const auto put = [&](std::size_t channel, double code) {
            const auto step = std::clamp(code * scale, 0.0, double(io::kCountSteps - 1));
            ++m_codes.counts[channel][static_cast<std::size_t>(step)];
        };
        const auto box = boxOf(m_area, frame.width, frame.height);
        for (int y = box.top; y < box.bottom; ++y)
            for (int x = box.left; x < box.right; ++x) {
                const int cx = x >> told.log2_chroma_w, cy = y >> told.log2_chroma_h;
                const double luma = planeCode(frame, 0, x, y, bytes);
                const double blue = luma + 2 * (1 - weights.blue) * swing *
                                               (planeCode(frame, 1, cx, cy, bytes) - middle);
                const double red = luma + 2 * (1 - weights.red) * swing *
                                              (planeCode(frame, 2, cx, cy, bytes) - middle);
                put(0, red);
                put(1, (luma - weights.red * red - weights.blue * blue) / weights.green());
                put(2, blue);
            }
    }

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
    bool m_strips;
    io::RegionCodes m_codes;
    std::vector<int> m_last;
};

} // namespace

Result<std::vector<io::RegionCodes>> regionsOf(AVFormatContext& clip,
                                               const io::RegionQuestion& question) {
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
    std::vector<RegionReader> readers;
    readers.reserve(question.areas.size());
    for (const auto& area : question.areas)
        readers.emplace_back(area, stream->time_base, question.strips);
    const auto codes = [&] {
        std::vector<io::RegionCodes> all;
        for (auto& reader : readers)
            all.push_back(std::move(reader.codes()));
        return all;
    };
    const auto taken = [&] { return readers.front().codes().frames.size(); };
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
            if (taken() == question.frames) {
                for (auto& reader : readers)
                    reader.codes().whole = false;
                return codes();
            }
            for (auto& reader : readers)
                if (const auto read = reader.take(*frame); !read)
                    return read.error();
        }
    }
    if (taken() == 0)
        return noPlanes("pictures that cannot be decoded");
    return codes();
}

} // namespace bslate::helper
