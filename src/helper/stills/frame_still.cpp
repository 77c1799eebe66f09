#include "helper/stills/frame_still.h"

#include "helper/stills/refusal.h"
#include "helper/stills/still_size.h"

#include <algorithm>
#include <array>
#include <bit>
#include <cmath>
#include <cstring>
#include <string_view>
#include <vector>

namespace bslate::helper {
namespace {

// Where a pixel that is kept stands in its line.
std::size_t placeOf(int x, int step) {
    return static_cast<std::size_t>(x) * static_cast<std::size_t>(step);
}

// One channel of a picture, line by line.
class Channel {
public:
    Channel(const AVFrame& frame, int channel, int width)
        : m_frame(frame)
        , m_told(*av_pix_fmt_desc_get(static_cast<AVPixelFormat>(frame.format)))
        , m_channel(channel)
        , m_line(static_cast<std::size_t>(width)) {}

    const std::vector<std::uint32_t>& line(int y) {
        const bool palette = (m_told.flags & AV_PIX_FMT_FLAG_PAL) != 0;
        av_read_image_line2(m_line.data(), const_cast<const std::uint8_t**>(m_frame.data),
                            m_frame.linesize, &m_told, 0, y, palette ? 0 : m_channel,
                            static_cast<int>(m_line.size()), 0, sizeof(std::uint32_t));
        if (palette) // words of the machine: alpha, red, green, blue
            for (auto& sample : m_line) {
                std::uint32_t entry = 0;
                std::memcpy(&entry, m_frame.data[1] + 4 * std::size_t{sample}, 4);
                sample = entry >> (16 - 8 * m_channel) & 0xffU;
            }
        return m_line;
    }

private:
    const AVFrame& m_frame;
    const AVPixFmtDescriptor& m_told;
    int m_channel;
    std::vector<std::uint32_t> m_line;
};

// From codes of the picture's depth to the 8, 10, 12 or 16 bits of a still.
struct Depth {
    int bits = 8;  // of the still
    int shift = 0; // down, where the picture has more room than it means
    double scale = 1;
    bool turned = false; // 0 is white

    [[nodiscard]] std::uint16_t of(std::uint32_t code) const {
        const auto whole =
            scale == 1 ? code >> shift : static_cast<std::uint32_t>(std::lround(code * scale));
        return static_cast<std::uint16_t>(turned ? (1U << bits) - 1 - whole : whole);
    }
};

Depth depthOf(const AVFrame& frame, const AVPixFmtDescriptor& format, int told) {
    const bool palette = (format.flags & AV_PIX_FMT_FLAG_PAL) != 0;
    const int found = palette ? 8 : format.comp[0].depth;
    Depth depth;
    depth.turned = frame.format == AV_PIX_FMT_MONOWHITE;
    if (found == 16 && (told == 10 || told == 12)) {
        depth.bits = told;
        depth.shift = 16 - told;
        return depth;
    }
    const bool known = found == 8 || found == 10 || found == 12 || found == 16;
    depth.bits = known ? found : found < 8 ? 8 : 16;
    depth.scale = known ? 1.0 : ((1 << depth.bits) - 1) / static_cast<double>((1 << found) - 1);
    return depth;
}

Result<io::Still> lightOf(const AVFrame& frame, const std::array<int, 3>& channels,
                          io::Still still) {
    still.bits = 0;
    const int step = still.step;
    still.light = Image({(frame.width + step - 1) / step, (frame.height + step - 1) / step});
    for (std::size_t c = 0; c < 3; ++c) {
        Channel channel(frame, channels[c], frame.width);
        for (int y = 0; y < still.light.size.height; ++y) {
            const auto& line = channel.line(y * step);
            for (int x = 0; x < still.light.size.width; ++x) {
                const float value = std::bit_cast<float>(line[placeOf(x, step)]);
                if (!std::isfinite(value))
                    return refusedStill("NaN or infinity at " + std::to_string(x * step) + ", " +
                                            std::to_string(y * step),
                                        "numbers in every pixel");
                still.light.plane[c][still.light.at(x, y)] = value;
            }
        }
    }
    return still;
}

io::Still codesOf(const AVFrame& frame, const std::array<int, 3>& channels, const Depth& depth,
                  io::Still still) {
    const int step = still.step;
    for (std::size_t c = 0; c < 3; ++c) {
        if (c > 0 && channels[c] == channels[0]) {
            still.codes.plane[c] = still.codes.plane[0];
            continue;
        }
        Channel channel(frame, channels[c], frame.width);
        auto* to = still.codes.plane[c].data();
        for (int y = 0; y < still.codes.size.height; ++y) {
            const auto& line = channel.line(y * step);
            for (int x = 0; x < still.codes.size.width; ++x)
                *to++ = depth.of(line[placeOf(x, step)]);
        }
    }
    return still;
}

// Where between two samples of colour a pixel lies: the first, the second, the second's share.
struct Between {
    int first = 0, second = 0;
    float share = 0;
};

Between between(int pixel, int log2, int samples) {
    const float at = (static_cast<float>(pixel) + 0.5F) / static_cast<float>(1 << log2) - 0.5F;
    const int first = static_cast<int>(std::floor(at));
    return {std::clamp(first, 0, samples - 1), std::clamp(first + 1, 0, samples - 1),
            at - static_cast<float>(first)};
}

// Colour differences at every pixel of a line, read between their own samples.
class Difference {
public:
    Difference(const AVFrame& frame, int channel, const AVPixFmtDescriptor& format)
        : m_down(format.log2_chroma_h)
        , m_size{-((-frame.width) >> format.log2_chroma_w), -((-frame.height) >> m_down)}
        , m_upper(frame, channel, m_size.width)
        , m_lower(frame, channel, m_size.width)
        , m_mixed(static_cast<std::size_t>(m_size.width))
        , m_row(static_cast<std::size_t>(frame.width)) {
        for (int x = 0; x < frame.width; ++x)
            m_across.push_back(between(x, format.log2_chroma_w, m_size.width));
    }

    const std::vector<float>& row(int y) {
        const auto rows = between(y, m_down, m_size.height);
        const auto& upper = m_upper.line(rows.first);
        const auto& lower = rows.share > 0 ? m_lower.line(rows.second) : upper;
        for (std::size_t i = 0; i < m_mixed.size(); ++i)
            m_mixed[i] = static_cast<float>(upper[i]) * (1 - rows.share) +
                         static_cast<float>(lower[i]) * rows.share;
        for (std::size_t x = 0; x < m_row.size(); ++x) {
            const auto& [first, second, share] = m_across[x];
            m_row[x] = m_mixed[static_cast<std::size_t>(first)] * (1 - share) +
                       m_mixed[static_cast<std::size_t>(second)] * share;
        }
        return m_row;
    }

private:
    int m_down;
    PictureSize m_size;
    Channel m_upper, m_lower;
    std::vector<Between> m_across;
    std::vector<float> m_mixed, m_row;
};

io::Still rgbOf(const AVFrame& frame, const AVPixFmtDescriptor& format, io::Still still) {
    const int step = still.step, depth = still.bits;
    const auto top = static_cast<float>((1 << depth) - 1);
    const auto unit = static_cast<float>(1 << (depth - 8));
    const bool whole = frame.color_range == AVCOL_RANGE_JPEG ||
                       frame.format == AV_PIX_FMT_YUVJ420P || frame.format == AV_PIX_FMT_YUVJ422P ||
                       frame.format == AV_PIX_FMT_YUVJ444P || frame.format == AV_PIX_FMT_YUVJ440P;
    const float black = whole ? 0 : 16 * unit, luma = whole ? 1 : top / (219 * unit);
    const float colour = whole ? 1 : top / (224 * unit), middle = 128 * unit;
    Channel lumas(frame, 0, frame.width);
    Difference blues(frame, 1, format), reds(frame, 2, format);
    for (int y = 0; y < still.codes.size.height; ++y) {
        const auto& line = lumas.line(y * step);
        const auto& blue = blues.row(y * step);
        const auto& red = reds.row(y * step);
        for (int x = 0; x < still.codes.size.width; ++x) {
            const auto at = placeOf(x, step);
            const float grey = (static_cast<float>(line[at]) - black) * luma;
            const float b = (blue[at] - middle) * colour, r = (red[at] - middle) * colour;
            const float rgb[] = {grey + 1.402F * r, grey - 0.344136F * b - 0.714136F * r,
                                 grey + 1.772F * b};
            for (std::size_t c = 0; c < 3; ++c) {
                const float raised = std::clamp(rgb[c], 0.0F, top) + 0.5F; // rounds what is cut
                still.codes.plane[c][still.codes.at(x, y)] = static_cast<std::uint16_t>(raised);
            }
        }
    }
    return still;
}

} // namespace

Result<io::Still> stillOf(const AVFrame& frame, int told) {
    const auto* format = av_pix_fmt_desc_get(static_cast<AVPixelFormat>(frame.format));
    if (auto problem = problemWithSize(frame.width, frame.height))
        return *std::move(problem);
    const bool strange = format && ((format->flags & AV_PIX_FMT_FLAG_BAYER) != 0 ||
                                    std::string_view(format->name).starts_with("xyz"));
    if (!format || strange)
        return refusedStill(format ? format->name : "no picture", "grey or RGB");
    io::Still still;
    still.step = stepFor(frame.width, frame.height);
    const bool palette = (format->flags & AV_PIX_FMT_FLAG_PAL) != 0;
    const bool grey = !palette && format->nb_components <= 2;
    const auto channels = grey ? std::array{0, 0, 0} : std::array{0, 1, 2};
    if ((format->flags & AV_PIX_FMT_FLAG_FLOAT) != 0)
        return lightOf(frame, channels, std::move(still));
    const auto depth = depthOf(frame, *format, told);
    still.bits = depth.bits;
    still.codes = Planes<std::uint16_t>({(frame.width + still.step - 1) / still.step,
                                         (frame.height + still.step - 1) / still.step});
    const bool rgb = grey || palette || (format->flags & AV_PIX_FMT_FLAG_RGB) != 0;
    if (!rgb && depth.scale != 1)
        return refusedStill(format->name, "8, 10, 12 or 16 bits of luma and colour");
    return rgb ? codesOf(frame, channels, depth, std::move(still))
               : rgbOf(frame, *format, std::move(still));
}

} // namespace bslate::helper
