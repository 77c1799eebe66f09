#include "core/frame/spot.h"

#include "core/frame/masks.h"

#include <algorithm>
#include <cmath>

namespace bslate {

PictureArea spotAbout(const PictureArea& area) {
    const double x = area.x + area.width / 2, y = area.y + area.height / 2;
    return {std::clamp(x - kSpot.width / 2, 0.0, 1 - kSpot.width),
            std::clamp(y - kSpot.height / 2, 0.0, 1 - kSpot.height), kSpot.width, kSpot.height};
}

CandelaPerM2 luminanceIn(const Image& light, const PictureArea& area) {
    constexpr double kRed = 0.2627, kGreen = 0.6780, kBlue = 0.0593;
    const auto box = pixelsOf(area, light.size);
    double sum = 0;
    for (int y = box.top; y < box.bottom; ++y)
        for (int x = box.left; x < box.right; ++x) {
            const auto i = light.at(x, y);
            sum +=
                kRed * light.plane[0][i] + kGreen * light.plane[1][i] + kBlue * light.plane[2][i];
        }
    return CandelaPerM2(sum / (double(box.right - box.left) * (box.bottom - box.top)));
}

SpotReading spotOf(const CodeFrame& frame, const Curve& curve, const LumaWeights& weights,
                   const PictureArea& area, const Image* light) {
    const Probe probe[] = {{{}, area}};
    const auto read = probed(frame, curve, weights, probe).front();
    SpotReading spot;
    spot.level = read.level;
    spot.channels = read.channels;
    spot.stops = read.stops;
    const auto size = frame.codes.size;
    const auto box = pixelsOf(area, size);
    const double pixels = double(box.right - box.left) * (box.bottom - box.top);
    CodeFrame part{frame.depth, frame.range,
                   Planes<std::uint16_t>({box.right - box.left, box.bottom - box.top})};
    for (std::size_t c = 0; c < 3; ++c) {
        double sum = 0;
        for (int y = box.top; y < box.bottom; ++y)
            for (int x = box.left; x < box.right; ++x) {
                const auto code = frame.codes.plane[c][frame.codes.at(x, y)];
                part.codes.plane[c][part.codes.at(x - box.left, y - box.top)] = code;
                sum += code;
            }
        spot.codes[c] = static_cast<int>(std::lround(sum / pixels));
    }
    const auto ended = endedChannels(part, curve);
    for (std::size_t c = 0; c < 3; ++c)
        spot.ended[c] = Fraction(
            static_cast<double>(std::count_if(ended.begin(), ended.end(),
                                              [c](std::uint8_t one) { return one >> c & 1; })) /
            pixels);
    if (light)
        spot.light = luminanceIn(*light, area);
    return spot;
}

} // namespace bslate
