#include "helper/clips/region_reader.h"

#include "helper/clips/planes.h"

#include <algorithm>
#include <cmath>
#include <cstdint>
#include <vector>

namespace bslate::helper {
namespace {

// Pixels of a plane that a place covers; one at least.
struct Box {
    int left, top, right, bottom;
};

// Of a tall place every second row, every third, ...: as many as tell its means and its noise.
int rowStep(const Box& box) {
    constexpr int kEnoughRows = 144;
    return std::max(1, (box.bottom - box.top) / kEnoughRows);
}

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

constexpr double kCountedShare = 0.5;   // of the picture
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
        , m_strips(strips)
        , m_counts(area.width * area.height < kCountedShare) {}

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
        if (bytes)
            readLuma<std::uint8_t>(frame, code);
        else
            readLuma<std::uint16_t>(frame, code);
        for (int plane = 1; plane < 3; ++plane) {
            const auto box = boxOf(m_area, half[0], half[1]);
            code.means[static_cast<std::size_t>(plane)] =
                bytes ? meanOf<std::uint8_t>(frame, plane, box)
                      : meanOf<std::uint16_t>(frame, plane, box);
        }
        if (m_counts && m_codes.frames.size() % kCountEvery == 0)
            count(frame, *told, bytes);
        m_codes.frames.push_back(code);
        return Done{};
    }
    [[nodiscard]] io::RegionCodes& codes() { return m_codes; }

private:
    template<class Code>
    [[nodiscard]] static const Code* rowOf(const AVFrame& frame, int plane, int y) {
        return reinterpret_cast<const Code*>(frame.data[plane] + static_cast<std::ptrdiff_t>(y) *
                                                                     frame.linesize[plane]);
    }

    template<class Code>
    [[nodiscard]] static double meanOf(const AVFrame& frame, int plane, const Box& box) {
        std::uint64_t sum = 0;
        const int every = rowStep(box);
        int rows = 0;
        for (int y = box.top; y < box.bottom; y += every, ++rows)
            sum += rowSum(rowOf<Code>(frame, plane, y), box.left, box.right);
        return static_cast<double>(sum) / (double(rows) * (box.right - box.left));
    }

    [[nodiscard]] static std::size_t placeOf(int strip, int column) {
        return static_cast<std::size_t>(strip) * io::kRegionColumns +
               static_cast<std::size_t>(column);
    }

    // In 32 bits: a row holds no more than 16384 codes of 16 bits.
    template<class Code>
    [[nodiscard]] static std::uint32_t rowSum(const Code* row, int left, int right) {
        std::uint32_t sum = 0;
        for (int x = left; x < right; ++x)
            sum += row[x];
        return sum;
    }

    // Means of the place and of its strips, and how much a pixel differs from the last picture:
    // what the two means differ by is no noise. All in one pass.
    template<class Code>
    void readLuma(const AVFrame& frame, io::RegionCode& code) {
        const auto box = boxOf(m_area, frame.width, frame.height);
        const int every = rowStep(box);
        const int rows = (box.bottom - box.top + every - 1) / every, wide = box.right - box.left;
        const double count = double(rows) * wide;
        constexpr int columns = static_cast<int>(io::kRegionColumns);
        const int strips = m_strips ? std::min(rows, static_cast<int>(io::kRegionStrips)) : 1;
        std::vector<double> sums(placeOf(strips, 0));
        const bool comparable =
            m_last.size() == static_cast<std::size_t>(rows) * static_cast<std::size_t>(wide);
        m_last.resize(static_cast<std::size_t>(rows) * static_cast<std::size_t>(wide));
        std::int64_t difference = 0, squares = 0;
        double all = 0;
        for (int y = 0; y < rows; ++y) {
            const auto* row = rowOf<Code>(frame, 0, box.top + y * every) + box.left;
            const int strip = y * strips / rows;
            for (int c = 0; c < columns; ++c) {
                const int left = wide * c / columns, right = wide * (c + 1) / columns;
                const double sum = rowSum(row, left, right);
                sums[placeOf(strip, c)] += sum;
                all += sum;
            }
            auto* last =
                m_last.data() + static_cast<std::size_t>(y) * static_cast<std::size_t>(wide);
            if (comparable)
                compare(row, last, wide, difference, squares);
            std::copy(row, row + wide, last);
        }
        code.means[0] = all / count;
        if (comparable) {
            const double mean = static_cast<double>(difference) / count;
            code.noise =
                std::sqrt(std::max(0.0, static_cast<double>(squares) / count - mean * mean) / 2);
        }
        if (m_strips)
            code.strips = meansOf(sums, wide, rows, strips);
    }

    template<class Code>
    static void compare(const Code* row, const std::uint16_t* last, int wide,
                        std::int64_t& difference, std::int64_t& squares) {
        std::int32_t sum = 0;
        std::uint64_t own = 0;
        for (int x = 0; x < wide; ++x) {
            const std::int32_t off = static_cast<std::int32_t>(row[x]) - last[x];
            sum += off;
            const auto size = static_cast<std::uint32_t>(off < 0 ? -off : off);
            const std::uint32_t square = size * size; // of 16 bits no more than 32
            own += square;
        }
        difference += sum;
        squares += static_cast<std::int64_t>(own);
    }

    [[nodiscard]] static std::vector<double> meansOf(std::vector<double> sums, int wide, int rows,
                                                     int strips) {
        constexpr int columns = static_cast<int>(io::kRegionColumns);
        std::vector<int> heights(static_cast<std::size_t>(strips));
        for (int y = 0; y < rows; ++y)
            ++heights[static_cast<std::size_t>(y * strips / rows)];
        for (int strip = 0; strip < strips; ++strip)
            for (int c = 0; c < columns; ++c) {
                const int left = wide * c / columns, right = wide * (c + 1) / columns;
                sums[placeOf(strip, c)] /=
                    double(std::max(1, right - left)) * heights[static_cast<std::size_t>(strip)];
            }
        return sums;
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

    PictureArea m_area;
    AVRational m_tick;
    bool m_strips;
    io::RegionCodes m_codes;
    std::vector<std::uint16_t> m_last;
    bool m_counts; // of all of the picture nobody asks
};

} // namespace

Result<std::vector<io::RegionCodes>> regionsOf(AVFormatContext& clip,
                                               const io::RegionQuestion& question) {
    const AVCodec* codec = nullptr;
    const int index = av_find_best_stream(&clip, AVMEDIA_TYPE_VIDEO, -1, -1, &codec, 0);
    if (index < 0)
        return undecoded(clip);
    const auto* stream = clip.streams[index];
    const auto decoder = openedDecoder(*stream->codecpar, codec);
    if (!decoder)
        return undecoded(clip);
    for (unsigned i = 0; i < clip.nb_streams; ++i)
        if (static_cast<int>(i) != index)
            clip.streams[i]->discard = AVDISCARD_ALL;
    std::vector<RegionReader> readers;
    readers.reserve(question.areas.size());
    for (const auto& area : question.areas)
        readers.emplace_back(area, stream->time_base, question.strips);
    const auto codes = [&] {
        std::vector<io::RegionCodes> all;
        all.reserve(readers.size());
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
