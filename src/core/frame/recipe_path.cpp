#include "core/frame/recipe_path.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

constexpr double kStepOfDetail = 0.1;

// Sums of luma over 3 x 3 pixels, the picture's edges repeated.
class Surroundings {
public:
    Surroundings(const CodeFrame& frame, const LumaWeights& weights)
        : m_size(frame.codes.size)
        , m_luma(m_size.pixels()) {
        const LumaCoder coder(weights);
        for (std::size_t i = 0; i < m_luma.size(); ++i)
            m_luma[i] =
                coder(frame.codes.plane[0][i], frame.codes.plane[1][i], frame.codes.plane[2][i]);
    }
    // How far a pixel is over its surroundings.
    [[nodiscard]] double over(int x, int y) const {
        int sum = 0;
        for (int dy = -1; dy <= 1; ++dy)
            for (int dx = -1; dx <= 1; ++dx)
                sum += at(std::clamp(x + dx, 0, m_size.width - 1),
                          std::clamp(y + dy, 0, m_size.height - 1));
        return at(x, y) - sum / 9.0;
    }

private:
    [[nodiscard]] int at(int x, int y) const {
        return m_luma[static_cast<std::size_t>(y) * static_cast<std::size_t>(m_size.width) +
                      static_cast<std::size_t>(x)];
    }
    PictureSize m_size;
    std::vector<int> m_luma;
};

} // namespace

void bakeColour(const ColourLook& colour, SignalRow& row) {
    ColourLook plain;
    plain.detail = colour.detail;
    if (colour == plain)
        return;
    for (std::size_t i = 0; i < row[0].size(); ++i) {
        const auto out = applyColour(colour, {row[0][i], row[1][i], row[2][i]});
        for (std::size_t c = 0; c < 3; ++c)
            row[c][i] = static_cast<float>(out[c]);
    }
}

void bakeDetail(int steps, const LumaWeights& weights, CodeFrame& frame) {
    const Surroundings around(frame, weights);
    const double top = (1 << frame.depth.bits) - 1;
    overRows(frame.codes.size.height, [&](int first, int behind) {
        for (int y = first; y < behind; ++y)
            for (int x = 0; x < frame.codes.size.width; ++x) {
                const double add = kStepOfDetail * steps * around.over(x, y);
                for (auto& plane : frame.codes.plane) {
                    auto& code = plane[frame.codes.at(x, y)];
                    code =
                        static_cast<std::uint16_t>(std::lround(std::clamp(code + add, 0.0, top)));
                }
            }
    });
}

} // namespace bslate
