#include "core/light/white_gains.h"

#include <algorithm>
#include <cmath>

namespace bslate {

PerChannel whiteGains(const Matrix3& xyzToCamera, Chromaticity light) {
    const std::array xyz = {light.x / light.y, 1.0, (1 - light.x - light.y) / light.y};
    std::array<double, 3> rgb{};
    for (std::size_t row = 0; row < 3; ++row)
        for (std::size_t k = 0; k < 3; ++k)
            rgb[row] += xyzToCamera[row][k] * xyz[k];
    constexpr double kLeast = 1.0 / 64;
    const double green = std::max(rgb[1], kLeast);
    return {Stops(std::log2(green / std::max(rgb[0], green * kLeast))), Stops(0),
            Stops(std::log2(green / std::max(rgb[2], green * kLeast)))};
}

Gamut genericPrimaries() {
    return gamutBt2020();
}

int codesInMiddle(const RecordedIn& recorded) {
    return static_cast<int>(std::lround(codesInStop(recorded.curve, Stops(0), recorded.depth)));
}

LaterWhite laterWhite(ColourPoint shot, const PerChannel& shotGains, ColourPoint wanted,
                      const PerChannel& wantedGains, const std::optional<RecordedIn>& recorded) {
    LaterWhite later;
    later.shift = miredOf(wanted.cct) - miredOf(shot.cct);
    later.duv = wanted.duv - shot.duv;
    for (std::size_t c = 0; c < later.channels.size(); ++c) {
        auto& channel = later.channels[c];
        channel.gain = wantedGains[c] - shotGains[c];
        channel.noise = std::max(channel.gain, Stops(0));
        if (recorded)
            channel.codes = static_cast<int>(
                std::lround(codesInStop(recorded->curve, -channel.gain, recorded->depth)));
        later.staysClipped = std::max(later.staysClipped, -channel.gain);
    }
    return later;
}

} // namespace bslate
