#pragma once

#include "core/frame/image.h"
#include "core/kit/camera.h"
#include "core/signal/curve.h"

#include <span>

namespace bslate {

/// A recorded picture: codes of red, green and blue.
struct CodeFrame {
    BitDepth depth;
    CodeRange range = CodeRange::Legal; ///< of its curve
    Planes<std::uint16_t> codes;
    friend bool operator==(const CodeFrame&, const CodeFrame&) = default;
};

/// How much red, green and blue weigh in luma: ITU-R BT.2020-2 table 4 for primaries at least as
/// wide as BT.2020's red, else BT.709-6 item 3.2.
struct LumaWeights {
    double red = 0.2126, green = 0.7152, blue = 0.0722;
    friend bool operator==(const LumaWeights&, const LumaWeights&) = default;
};
[[nodiscard]] LumaWeights lumaOf(const Gamut& gamut);

/// Luma of codes up to 16 bits, rounded to a code; weights in 65536ths, which together are one.
class LumaCoder {
public:
    explicit LumaCoder(const LumaWeights& weights);
    [[nodiscard]] int operator()(std::uint32_t red, std::uint32_t green, std::uint32_t blue) const {
        return static_cast<int>((m_red * red + m_green * green + m_blue * blue + kHalf) >> 16);
    }
    [[nodiscard]] std::uint32_t red() const { return m_red; }
    [[nodiscard]] std::uint32_t green() const { return m_green; }
    [[nodiscard]] std::uint32_t blue() const { return m_blue; }

private:
    static constexpr std::uint32_t kHalf = 1u << 15;
    std::uint32_t m_red, m_green, m_blue;
};

/// Signal, 0 to 1 of the curve, to codes; rounded and held to what the depth has.
class Quantiser {
public:
    Quantiser(BitDepth depth, CodeRange range);
    void operator()(std::span<const float> signal, std::uint16_t* codes) const;

private:
    float m_scale, m_offset, m_top;
};

/// A whole picture of it.
[[nodiscard]] CodeFrame quantised(const Image& signal, BitDepth depth, CodeRange range);

/// The scene light of every code of a curve at this depth.
[[nodiscard]] std::vector<SceneLinear> lightOfCodes(const Curve& curve, BitDepth depth);

/// Every n-th pixel of every n-th row, so that no side is over `longest`: for a picture on a
/// screen.
[[nodiscard]] CodeFrame thinned(const CodeFrame& frame, int longest);

} // namespace bslate
