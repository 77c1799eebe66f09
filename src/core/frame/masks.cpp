#include "core/frame/masks.h"

#include <algorithm>
#include <cmath>

namespace bslate {

PixelMask zebraOn(const CodeFrame& frame, const LumaWeights& weights, const ZebraBand& band) {
    PixelMask mask(frame.codes.size.pixels());
    const LumaCoder coder(weights);
    for (std::size_t i = 0; i < mask.size(); ++i) {
        const int luma =
            coder(frame.codes.plane[0][i], frame.codes.plane[1][i], frame.codes.plane[2][i]);
        const Level level = levelOfCode(luma, frame.depth);
        mask[i] = level >= band.from && level <= band.to;
    }
    return mask;
}

PixelMask zebraOn(const Image& shown, const ZebraBand& band) {
    const LumaWeights w;
    PixelMask mask(shown.size.pixels());
    for (std::size_t i = 0; i < mask.size(); ++i) {
        const double luma = w.red * static_cast<double>(shown.plane[0][i]) +
                            w.green * static_cast<double>(shown.plane[1][i]) +
                            w.blue * static_cast<double>(shown.plane[2][i]);
        mask[i] = luma * 100 >= band.from.value() && luma * 100 <= band.to.value();
    }
    return mask;
}

std::optional<ZebraBand> zebraBandOf(const SetupContext& context, const Evaluation& at,
                                     ZebraUse use) {
    for (const auto& zebra : at.zebra) {
        if (zebra.use != use || !zebra.reachable)
            continue;
        const auto& dial = context.camera->zebra;
        const bool banded = use == ZebraUse::Skin && std::find(dial.kinds.begin(), dial.kinds.end(),
                                                               ZebraKind::Band) != dial.kinds.end();
        if (!banded)
            return ZebraBand{zebra.set, Level(110)};
        const Level half(std::max(2.0, dial.step / 2));
        return ZebraBand{zebra.set - half, zebra.set + half};
    }
    return std::nullopt;
}

std::vector<std::int8_t> stopsOfPixels(const Image& linear, const LumaWeights& weights) {
    std::vector<std::int8_t> stops(linear.size.pixels());
    overRows(linear.size.height, [&](int first, int behind) {
        for (auto i = linear.at(0, first); i < linear.at(0, behind); ++i) {
            const double light = weights.red * static_cast<double>(linear.plane[0][i]) +
                                 weights.green * static_cast<double>(linear.plane[1][i]) +
                                 weights.blue * static_cast<double>(linear.plane[2][i]);
            const double value = light > 0 ? std::floor(std::log2(light / kMidGrey.value())) : -20;
            stops[i] = static_cast<std::int8_t>(std::clamp(value, -20.0, 20.0));
        }
    });
    return stops;
}

std::vector<std::int8_t> stopsOfPixels(const CodeFrame& frame, const Curve& curve,
                                       const LumaWeights& weights) {
    const auto light = lightOfCodes(curve, frame.depth);
    Image linear(frame.codes.size);
    for (std::size_t c = 0; c < 3; ++c)
        for (std::size_t i = 0; i < linear.plane[c].size(); ++i)
            linear.plane[c][i] = static_cast<float>(light[frame.codes.plane[c][i]].value());
    return stopsOfPixels(linear, weights);
}

PixelMask endedChannels(const CodeFrame& frame, const Curve& curve) {
    const int end = recordedCode(endSignal(curve, frame.depth), frame.range, frame.depth);
    PixelMask mask(frame.codes.size.pixels());
    for (std::size_t c = 0; c < 3; ++c)
        for (std::size_t i = 0; i < mask.size(); ++i)
            if (frame.codes.plane[c][i] >= end)
                mask[i] = static_cast<std::uint8_t>(mask[i] | (1u << c));
    return mask;
}

Fraction shareOf(const PixelMask& mask) {
    const auto meant = std::count_if(mask.begin(), mask.end(), [](auto one) { return one != 0; });
    return Fraction(static_cast<double>(meant) /
                    static_cast<double>(std::max<std::size_t>(1, mask.size())));
}

} // namespace bslate
