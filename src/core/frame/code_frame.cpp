#include "core/frame/code_frame.h"

#include "core/base/wide.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

BSLATE_WIDE void toCodes(const float* signal, std::uint16_t* codes, std::size_t count, float scale,
                         float offset, float top) {
    for (std::size_t i = 0; i < count; ++i) {
        const float code = std::min(std::max(signal[i] * scale + offset, 0.0f), top);
        codes[i] = static_cast<std::uint16_t>(nearestWhole(code));
    }
}

} // namespace

Quantiser::Quantiser(BitDepth depth, CodeRange range)
    : m_scale(static_cast<float>(codeOf(Signal(1), range, depth) - codeOf(Signal(0), range, depth)))
    , m_offset(static_cast<float>(codeOf(Signal(0), range, depth)))
    , m_top(static_cast<float>((1 << depth.bits) - 1)) {}

void Quantiser::operator()(std::span<const float> signal, std::uint16_t* codes) const {
    toCodes(signal.data(), codes, signal.size(), m_scale, m_offset, m_top);
}

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
    const Quantiser quantiser(depth, range);
    overRows(signal.size.height, [&](int first, int behind) {
        for (std::size_t c = 0; c < 3; ++c)
            quantiser(std::span(signal.plane[c])
                          .subspan(signal.at(0, first), signal.at(0, behind) - signal.at(0, first)),
                      frame.codes.plane[c].data() + signal.at(0, first));
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

} // namespace bslate
