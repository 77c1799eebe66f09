#include "core/frame/code_frame.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

struct Coder {
    float scale, offset, top;

    Coder(BitDepth depth, CodeRange range)
        : scale(
              static_cast<float>(codeOf(Signal(1), range, depth) - codeOf(Signal(0), range, depth)))
        , offset(static_cast<float>(codeOf(Signal(0), range, depth)))
        , top(static_cast<float>((1 << depth.bits) - 1)) {}

    [[nodiscard]] std::uint16_t code(float signal) const {
        const float held = std::clamp(signal * scale + offset, 0.0f, top);
        return static_cast<std::uint16_t>(std::lrintf(held));
    }
};

// The colour differences of a block of pixels, and what they leave of each.
struct Block {
    const LumaWeights& w;
    int top; // highest code

    void average(CodeFrame& frame, int x, int y, int width, int height) const {
        auto& [red, green, blue] = frame.codes.plane;
        double cb = 0, cr = 0;
        for (int j = 0; j < height; ++j)
            for (int i = 0; i < width; ++i) {
                const auto at = frame.codes.at(x + i, y + j);
                const double luma = w.red * red[at] + w.green * green[at] + w.blue * blue[at];
                cb += blue[at] - luma;
                cr += red[at] - luma;
            }
        // A code of Cb is worth 2 (1 - w) of B - Y.
        const double toBlue = 2 * (1 - w.blue), toRed = 2 * (1 - w.red);
        const double count = width * height;
        const double blueOver = std::round(cb / count / toBlue) * toBlue;
        const double redOver = std::round(cr / count / toRed) * toRed;
        for (int j = 0; j < height; ++j)
            for (int i = 0; i < width; ++i) {
                const auto at = frame.codes.at(x + i, y + j);
                const double luma =
                    std::round(w.red * red[at] + w.green * green[at] + w.blue * blue[at]);
                const double r = luma + redOver, b = luma + blueOver;
                const double g = (luma - w.red * r - w.blue * b) / w.green;
                red[at] = held(r);
                green[at] = held(g);
                blue[at] = held(b);
            }
    }
    [[nodiscard]] std::uint16_t held(double code) const {
        return static_cast<std::uint16_t>(
            std::lround(std::clamp(code, 0.0, static_cast<double>(top))));
    }
};

} // namespace

LumaCoder::LumaCoder(const LumaWeights& weights)
    : m_red(static_cast<std::uint32_t>(std::lround(weights.red * 65536)))
    , m_green(65536 - m_red - static_cast<std::uint32_t>(std::lround(weights.blue * 65536)))
    , m_blue(static_cast<std::uint32_t>(std::lround(weights.blue * 65536))) {}

LumaWeights lumaOf(const Gamut& gamut) {
    const bool wide = gamut.red.x >= gamutBt2020().red.x - 1e-6;
    return wide ? LumaWeights{0.2627, 0.6780, 0.0593} : LumaWeights{};
}

CodeFrame quantised(const Image& signal, BitDepth depth, CodeRange range) {
    CodeFrame frame{depth, range, Planes<std::uint16_t>(signal.size)};
    const Coder coder(depth, range);
    overRows(signal.size.height, [&](int first, int behind) {
        for (std::size_t c = 0; c < 3; ++c)
            for (auto at = signal.at(0, first); at < signal.at(0, behind); ++at)
                frame.codes.plane[c][at] = coder.code(signal.plane[c][at]);
    });
    return frame;
}

std::vector<SceneLinear> lightOfCodes(const Curve& curve, BitDepth depth) {
    const double zero = codeOf(Signal(0), curve.range, depth);
    const double scale = 1 / (codeOf(Signal(1), curve.range, depth) - zero);
    std::vector<SceneLinear> light(std::size_t{1} << depth.bits);
    for (std::size_t code = 0; code < light.size(); ++code)
        light[code] = decode(curve, Signal((static_cast<double>(code) - zero) * scale));
    return light;
}

CodeFrame thinned(const CodeFrame& frame, int longest) {
    const auto size = frame.codes.size;
    const int step = (std::max(size.width, size.height) + longest - 1) / longest;
    if (step <= 1)
        return frame;
    const PictureSize small{(size.width + step - 1) / step, (size.height + step - 1) / step};
    CodeFrame result{frame.depth, frame.range, Planes<std::uint16_t>(small)};
    for (std::size_t c = 0; c < 3; ++c)
        for (int y = 0; y < small.height; ++y)
            for (int x = 0; x < small.width; ++x)
                result.codes.plane[c][result.codes.at(x, y)] =
                    frame.codes.plane[c][frame.codes.at(x * step, y * step)];
    return result;
}

CodeFrame subsampled(const CodeFrame& frame, Chroma chroma, const LumaWeights& weights) {
    CodeFrame result = frame;
    if (chroma == Chroma::C444 || chroma == Chroma::Raw)
        return result;
    const int tall = chroma == Chroma::C420 ? 2 : 1;
    const auto size = frame.codes.size;
    const Block block{weights, (1 << frame.depth.bits) - 1};
    const int blocks = (size.height + tall - 1) / tall;
    overRows(blocks, [&](int first, int behind) {
        for (int y = first * tall; y < std::min(behind * tall, size.height); y += tall)
            for (int x = 0; x < size.width; x += 2)
                block.average(result, x, y, std::min(2, size.width - x),
                              std::min(tall, size.height - y));
    });
    return result;
}

} // namespace bslate
