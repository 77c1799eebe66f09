#include "core/frame/graded.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <memory>
#include <vector>

namespace bslate {
namespace {

// How light is shown, as a table that is fine where it is dark: entries at squares.
class DisplayTable {
public:
    DisplayTable(const Curve& curve, bool ready) {
        for (std::size_t i = 0; i < kEntries; ++i) {
            const double root = static_cast<double>(i) / (kEntries - 1) * kRoot;
            m_values[i] =
                static_cast<float>(shownSignal(curve, ready, SceneLinear(root * root)).value());
        }
        m_values[kEntries] = m_values[kEntries - 1];
    }
    [[nodiscard]] float operator()(float light) const {
        const float root = std::sqrt(std::max(0.0f, light)) * (kEntries - 1) / kRoot;
        const float held = std::min(root, static_cast<float>(kEntries - 1));
        const auto low = static_cast<std::size_t>(held);
        const float part = held - static_cast<float>(low);
        return m_values[low] * (1 - part) + m_values[low + 1] * part;
    }

private:
    static constexpr std::size_t kEntries = 8192;
    static constexpr float kRoot = 16; // of light of 256, over ten stops above grey
    std::array<float, kEntries + 1> m_values{};
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

namespace {

template<class Change>
Image gradedBy(const CodeFrame& frame, const RatingLut& lut, const Change& change) {
    const auto light = lightOfCodes(lut.curve, frame.depth);
    const auto undone = static_cast<float>(ratio(lut.gain));
    const auto display = std::make_unique<const DisplayTable>(lut.curve, lut.ready);
    const auto m = convert(lut.gamut, gamutBt709());
    std::array<std::array<float, 3>, 3> toDisplay{};
    for (std::size_t row = 0; row < 3; ++row)
        for (std::size_t k = 0; k < 3; ++k)
            toDisplay[row][k] = static_cast<float>(m[row][k]);
    return eachPixel(frame.codes, [&](const std::array<float, 3>& codes) {
        std::array<float, 3> lit{}, shown{};
        for (std::size_t c = 0; c < 3; ++c)
            lit[c] = static_cast<float>(light[static_cast<std::size_t>(codes[c])].value()) * undone;
        for (std::size_t c = 0; c < 3; ++c)
            shown[c] =
                toDisplay[c][0] * lit[0] + toDisplay[c][1] * lit[1] + toDisplay[c][2] * lit[2];
        change(shown);
        for (float& channel : shown)
            channel = (*display)(channel);
        return shown;
    });
}

} // namespace

Image graded(const CodeFrame& frame, const RatingLut& lut) {
    return gradedBy(frame, lut, [](const std::array<float, 3>&) {});
}

Image graded(const CodeFrame& frame, const RatingLut& lut, const LightChanger& change) {
    return gradedBy(frame, lut, change);
}

Image shownLight(const Image& light, const LightShown& how, const LightChanger& change) {
    const auto display = std::make_unique<const DisplayTable>(bt709(), false);
    const auto toDisplay = convert(gamutBt2020(), gamutBt709());
    std::array<std::array<float, 3>, 3> all{};
    for (std::size_t row = 0; row < 3; ++row)
        for (std::size_t k = 0; k < 3; ++k)
            all[row][k] = static_cast<float>(toDisplay[row][k] * how.scale * how.white[k]);
    return eachPixel(light, [&](const std::array<float, 3>& rgb) {
        std::array<float, 3> shown{};
        for (std::size_t c = 0; c < 3; ++c)
            shown[c] = all[c][0] * rgb[0] + all[c][1] * rgb[1] + all[c][2] * rgb[2];
        if (change)
            change(shown);
        for (float& channel : shown)
            channel = (*display)(channel);
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
