#include "core/frame/graded.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

constexpr std::size_t kSide = 65;

struct Cube {
    std::vector<std::array<float, 3>> values;

    [[nodiscard]] const std::array<float, 3>& at(std::size_t r, std::size_t g,
                                                 std::size_t b) const {
        return values[r + kSide * (g + kSide * b)];
    }

    // Tetrahedral interpolation: from black's corner along the axes in the order of their parts.
    [[nodiscard]] std::array<float, 3> operator()(const std::array<float, 3>& signal) const {
        std::array<std::size_t, 3> low{};
        std::array<float, 3> part{};
        for (std::size_t c = 0; c < 3; ++c) {
            const float place = std::clamp(signal[c], 0.0f, 1.0f) * (kSide - 1);
            low[c] = std::min(static_cast<std::size_t>(place), kSide - 2);
            part[c] = place - static_cast<float>(low[c]);
        }
        std::array<std::size_t, 3> order = {0, 1, 2};
        std::sort(order.begin(), order.end(),
                  [&](std::size_t a, std::size_t b) { return part[a] > part[b]; });
        auto corner = low;
        std::array<float, 3> value{};
        float left = 1;
        for (const auto axis : order) {
            const float share = left - part[axis];
            add(value, at(corner[0], corner[1], corner[2]), share);
            left = part[axis];
            ++corner[axis];
        }
        add(value, at(corner[0], corner[1], corner[2]), left);
        return value;
    }

    static void add(std::array<float, 3>& into, const std::array<float, 3>& value, float share) {
        for (std::size_t c = 0; c < 3; ++c)
            into[c] += value[c] * share;
    }
};

// Calls `pixel(colour)` for each and puts what it gives in its place.
template<class From, class Pixel>
Image eachPixel(const Planes<From>& from, Pixel pixel) {
    Image result(from.size);
    overRows(from.size.height, [&](int first, int behind) {
        for (auto at = from.at(0, first); at < from.at(0, behind); ++at) {
            const std::array<float, 3> colour = pixel(std::array{
                static_cast<float>(from.plane[0][at]), static_cast<float>(from.plane[1][at]),
                static_cast<float>(from.plane[2][at])});
            for (std::size_t c = 0; c < 3; ++c)
                result.plane[c][at] = colour[c];
        }
    });
    return result;
}

} // namespace

Image graded(const CodeFrame& frame, const RatingLut& lut) {
    const Cube cube{sampleCube(lut, kSide)};
    const auto zero = static_cast<float>(codeOf(Signal(0), frame.range, frame.depth));
    const auto scale = 1 / (static_cast<float>(codeOf(Signal(1), frame.range, frame.depth)) - zero);
    return eachPixel(frame.codes, [&](std::array<float, 3> codes) {
        for (auto& code : codes)
            code = (code - zero) * scale;
        return cube(codes);
    });
}

Image shownLight(const Image& light, const LightShown& how) {
    const auto toDisplay = convert(gamutBt2020(), gamutBt709());
    return eachPixel(light, [&](const std::array<float, 3>& rgb) {
        std::array<double, 3> lit{};
        for (std::size_t c = 0; c < 3; ++c)
            lit[c] = static_cast<double>(rgb[c]) * how.scale * how.white[c];
        std::array<float, 3> shown{};
        for (std::size_t c = 0; c < 3; ++c)
            shown[c] = static_cast<float>(
                displaySignal(SceneLinear(toDisplay[c][0] * lit[0] + toDisplay[c][1] * lit[1] +
                                          toDisplay[c][2] * lit[2]))
                    .value());
        return shown;
    });
}

Image flatPicture(const CodeFrame& frame) {
    const auto zero = static_cast<float>(codeOf(Signal(0), CodeRange::Legal, frame.depth));
    const auto scale =
        1 / (static_cast<float>(codeOf(Signal(1), CodeRange::Legal, frame.depth)) - zero);
    return eachPixel(frame.codes, [&](std::array<float, 3> codes) {
        for (auto& code : codes)
            code = std::clamp((code - zero) * scale, 0.0f, 1.0f);
        return codes;
    });
}

} // namespace bslate
