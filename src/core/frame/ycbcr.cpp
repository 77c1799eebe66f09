#include "core/frame/ycbcr.h"

#include "core/base/wide.h"

#include <algorithm>

namespace bslate {
namespace {

constexpr int across(Chroma chroma) {
    return chroma == Chroma::C420 || chroma == Chroma::C422 ? 2 : 1;
}

constexpr int down(Chroma chroma) {
    return chroma == Chroma::C420 ? 2 : 1;
}

// Luma and differences of one depth, range and set of primaries.
struct Matrixing {
    float red, green, blue; // in luma
    float perCb, perCr;     // codes of B - Y and R - Y for a code of difference
    float middle, top;      // codes
    float cbInGreen, crInGreen;

    Matrixing(const LumaWeights& w, BitDepth depth, CodeRange range)
        : red(static_cast<float>(w.red))
        , green(static_cast<float>(w.green))
        , blue(static_cast<float>(w.blue))
        , middle(static_cast<float>(1 << (depth.bits - 1)))
        , top(static_cast<float>((1 << depth.bits) - 1)) {
        const double swing = range == CodeRange::Legal ? 219.0 / 224.0 : 1.0;
        perCb = static_cast<float>(2 * (1 - w.blue) * swing);
        perCr = static_cast<float>(2 * (1 - w.red) * swing);
        cbInGreen = blue * perCb / green;
        crInGreen = red * perCr / green;
    }
    // Rounded by adding a half: values are not negative.
    [[nodiscard]] std::uint16_t code(float value) const {
        return static_cast<std::uint16_t>(nearestWhole(std::min(std::max(value, 0.0f), top)));
    }
};

// One row of luma; its differences are added to those of the rows they share.
BSLATE_WIDE void addRow(const Matrixing& of, const std::uint16_t* __restrict red,
                        const std::uint16_t* __restrict green, const std::uint16_t* __restrict blue,
                        std::uint16_t* __restrict lumas, float* __restrict blues,
                        float* __restrict reds, std::size_t width) {
    const Matrixing by = of; // kept in registers
    for (std::size_t x = 0; x < width; ++x) {
        const float r = red[x], g = green[x], b = blue[x];
        const float luma = by.red * r + by.green * g + by.blue * b;
        lumas[x] = by.code(luma);
        blues[x] += b - luma;
        reds[x] += r - luma;
    }
}

// Luma and differences, each as long as the row, to red, green and blue.
BSLATE_WIDE void coloursOf(const Matrixing& of, const std::uint16_t* __restrict lumas,
                           const float* __restrict cb, const float* __restrict cr,
                           std::uint16_t* __restrict red, std::uint16_t* __restrict green,
                           std::uint16_t* __restrict blue, std::size_t width) {
    const Matrixing by = of;
    for (std::size_t x = 0; x < width; ++x) {
        const float luma = lumas[x];
        red[x] = by.code(luma + by.perCr * cr[x]);
        green[x] = by.code(luma - by.crInGreen * cr[x] - by.cbInGreen * cb[x]);
        blue[x] = by.code(luma + by.perCb * cb[x]);
    }
}

struct Rows {
    const CodeFrame& from;
    const Matrixing& by;
    YcbcrFrame& to;
    int wide, tall;

    void chromaRow(int row) const {
        const auto width = static_cast<std::size_t>(from.codes.size.width);
        std::vector<float> blues(width + 1), reds(width + 1);
        const int last = std::min((row + 1) * tall, from.codes.size.height);
        for (int y = row * tall; y < last; ++y) {
            const auto start = from.codes.at(0, y);
            addRow(by, from.codes.plane[0].data() + start, from.codes.plane[1].data() + start,
                   from.codes.plane[2].data() + start, to.plane[0].data() + start, blues.data(),
                   reds.data(), width);
        }
        const auto lines = static_cast<float>(last - row * tall);
        const auto half = chromaSize(from.codes.size, to.chroma);
        auto at = static_cast<std::size_t>(row) * static_cast<std::size_t>(half.width);
        for (std::size_t x = 0; x < width; x += static_cast<std::size_t>(wide), ++at) {
            const bool pair = wide == 2 && x + 1 < width;
            const float count = lines * (pair ? 2 : 1);
            const float blue = (blues[x] + (pair ? blues[x + 1] : 0)) / count;
            const float red = (reds[x] + (pair ? reds[x + 1] : 0)) / count;
            to.plane[1][at] = by.code(blue / by.perCb + by.middle);
            to.plane[2][at] = by.code(red / by.perCr + by.middle);
        }
    }
};

void rgbRow(const YcbcrFrame& from, const Matrixing& by, int y, CodeFrame& to) {
    const auto half = chromaSize(from.size, from.chroma);
    const int wide = across(from.chroma);
    const auto chroma =
        static_cast<std::size_t>(y / down(from.chroma)) * static_cast<std::size_t>(half.width);
    const auto width = static_cast<std::size_t>(from.size.width);
    std::vector<float> cb(width + 1), cr(width + 1);
    const auto spread = [&](const std::vector<std::uint16_t>& plane, std::vector<float>& out) {
        if (wide == 1)
            for (std::size_t x = 0; x < width; ++x)
                out[x] = static_cast<float>(plane[chroma + x]) - by.middle;
        else
            for (std::size_t x = 0; x < width; x += 2)
                out[x] = out[x + 1] = static_cast<float>(plane[chroma + x / 2]) - by.middle;
    };
    spread(from.plane[1], cb);
    spread(from.plane[2], cr);
    const auto start = to.codes.at(0, y);
    coloursOf(by, from.plane[0].data() + start, cb.data(), cr.data(),
              to.codes.plane[0].data() + start, to.codes.plane[1].data() + start,
              to.codes.plane[2].data() + start, width);
}

} // namespace

PictureSize chromaSize(PictureSize size, Chroma chroma) {
    return {(size.width + across(chroma) - 1) / across(chroma),
            (size.height + down(chroma) - 1) / down(chroma)};
}

YcbcrFrame ycbcrOf(const CodeFrame& frame, Chroma chroma, const LumaWeights& weights) {
    YcbcrFrame result{frame.codes.size, frame.depth, frame.range, chroma, {}};
    const auto half = chromaSize(result.size, chroma);
    result.plane[0].resize(result.size.pixels());
    result.plane[1].resize(half.pixels());
    result.plane[2].resize(half.pixels());
    const Matrixing by(weights, frame.depth, frame.range);
    const Rows rows{frame, by, result, across(chroma), down(chroma)};
    overRows(half.height, [&](int first, int behind) {
        for (int row = first; row < behind; ++row)
            rows.chromaRow(row);
    });
    return result;
}

CodeFrame rgbOf(const YcbcrFrame& frame, const LumaWeights& weights) {
    CodeFrame result{frame.depth, frame.range, Planes<std::uint16_t>(frame.size)};
    const Matrixing by(weights, frame.depth, frame.range);
    overRows(frame.size.height, [&](int first, int behind) {
        for (int y = first; y < behind; ++y)
            rgbRow(frame, by, y, result);
    });
    return result;
}

CodeFrame subsampled(CodeFrame frame, Chroma chroma, const LumaWeights& weights) {
    if (chroma == Chroma::C444 || chroma == Chroma::Raw)
        return frame;
    return rgbOf(ycbcrOf(frame, chroma, weights), weights);
}

} // namespace bslate
