#include "core/facts/look_compare.h"

#include <algorithm>

namespace bslate {
namespace {

constexpr Rgb kSkin{1.30, 0.93, 0.75}; // luminance 1 in BT.709 primaries
constexpr double kLost = 0.999;
constexpr Rgb kHues[] = {{1, 0, 0}, {1, 1, 0}, {0, 1, 0}, {0, 1, 1}, {0, 0, 1}, {1, 0, 1}};

void show(LookSample& sample, const Rgb& light, const Look& first, const Look& second) {
    const Look* looks[] = {&first, &second};
    for (std::size_t i = 0; i < 2; ++i) {
        const auto rgb = lookSignal(*looks[i], light);
        sample.shown[i] = rgb;
        sample.level[i] = Level(100 * (0.2126 * rgb[0] + 0.7152 * rgb[1] + 0.0722 * rgb[2]));
        sample.lost[i] = *std::max_element(rgb.begin(), rgb.end()) >= kLost;
    }
}

} // namespace

std::vector<LookSample> compareLooks(const Evaluation& at, const Look& first, const Look& second) {
    std::vector<LookSample> samples;
    for (const auto& patch : at.patches) {
        LookSample sample;
        sample.name = patch.name;
        const double light = linearAt(std::min(patch.recorded, at.clip) + at.ratingOffset).value();
        const Rgb tint = isSkin(patch.role) ? kSkin : Rgb{1, 1, 1};
        show(sample, {light * tint[0], light * tint[1], light * tint[2]}, first, second);
        samples.push_back(std::move(sample));
    }
    for (std::size_t i = 0; i < 6; ++i) {
        LookSample sample;
        sample.hue = static_cast<Hue>(i);
        Rgb light{};
        for (std::size_t c = 0; c < 3; ++c)
            light[c] = 0.4 * (0.25 + 0.75 * kHues[i][c]);
        show(sample, light, first, second);
        samples.push_back(sample);
    }
    return samples;
}

} // namespace bslate
