#include "core/frame/looked_scene.h"

#include "core/frame/recipe_path.h"
#include "core/kit/camera_colour.h"
#include "core/signal/frame_encode.h"

#include <algorithm>

namespace bslate {
namespace {

constexpr BitDepth kShownDepth{12}; // for detail, which works on codes

Image withDetail(const Image& shown, int steps) {
    auto codes = quantised(shown, kShownDepth, CodeRange::Legal);
    bakeDetail(steps, {}, codes);
    return flatPicture(codes);
}

} // namespace

LightShown lightShownOf(const SetupContext& context, const Evaluation& at) {
    LightShown how;
    const Stops one = exposureStops(CandelaPerM2(1), at.base, at.exposureTime, context.setup->iris,
                                    at.ndLoss, context.shoot->meter);
    how.scale = linearAt(one + at.gain).value();
    const auto gains = whiteGains(xyzToRgb(gamutBt2020()), chromaticityOf(at.white.point));
    for (std::size_t c = 0; c < 3; ++c)
        how.white[c] = ratio(gains[c]);
    return how;
}

Image lookedScene(const Image& light, const LightShown& how, const Look& look) {
    const CurveEncoder tone(Curve{look.tone, CodeRange::Legal, std::nullopt});
    const auto m = convert(gamutBt2020(), gamutBt709());
    std::array<std::array<float, 3>, 3> all{};
    for (std::size_t row = 0; row < 3; ++row)
        for (std::size_t k = 0; k < 3; ++k)
            all[row][k] = static_cast<float>(m[row][k] * how.scale * how.white[k]);
    Image shown(light.size);
    const auto width = static_cast<std::size_t>(light.size.width);
    const auto held = [](float& value) { value = std::clamp(value, 0.0f, 1.0f); };
    overRows(light.size.height, [&](int first, int behind) {
        SignalRow row;
        for (auto& channel : row)
            channel.resize(width);
        for (int y = first; y < behind; ++y) {
            const auto start = light.at(0, y);
            for (std::size_t c = 0; c < 3; ++c) {
                for (std::size_t x = 0; x < width; ++x)
                    row[c][x] = all[c][0] * light.plane[0][start + x] +
                                all[c][1] * light.plane[1][start + x] +
                                all[c][2] * light.plane[2][start + x];
                tone(row[c]);
                std::for_each(row[c].begin(), row[c].end(), held);
            }
            bakeColour(look.colour, row);
            for (std::size_t c = 0; c < 3; ++c) {
                std::for_each(row[c].begin(), row[c].end(), held);
                std::copy(row[c].begin(), row[c].end(),
                          shown.plane[c].begin() + static_cast<std::ptrdiff_t>(start));
            }
        }
    });
    return look.colour.detail == 0 ? shown : withDetail(shown, look.colour.detail);
}

} // namespace bslate
