#include "core/light/gel.h"

#include <algorithm>
#include <cmath>
#include <tuple>

namespace bslate {

Stops lossOf(const Gel& gel) {
    return Stops(-std::log2(gel.transmission.value()));
}

ColourPoint gelled(ColourPoint light, const Gel& gel) {
    const Mired mired(std::clamp((miredOf(light.cct) + gel.shift).value(),
                                 miredOf(kCoolest).value(), miredOf(kWarmest).value()));
    return {kelvinOf(mired), std::clamp(light.duv + gel.duv, -kFarthest, kFarthest)};
}

double contrastOf(ColourPoint a, ColourPoint b) {
    constexpr double kMireds = 20, kDuvs = 0.005;
    return std::hypot((miredOf(a.cct) - miredOf(b.cct)).value() / kMireds,
                      (a.duv - b.duv).value() / kDuvs);
}

std::optional<GelChoice> gelsToward(std::span<const Gel> gels, ColourPoint light,
                                    ColourPoint wanted) {
    constexpr std::size_t kMost = 200;
    const auto apart = contrastOf(light, wanted);
    if (apart < 1)
        return std::nullopt;
    gels = gels.first(std::min(gels.size(), kMost));
    std::optional<GelChoice> best;
    auto bestCost = std::tuple(true, std::size_t{0}, 0.0, apart / 2); // short of it, how many, ...
    const auto consider = [&](GelChoice choice) {
        const double left = contrastOf(choice.colour, wanted);
        const auto cost = left < 1 ? std::tuple(false, choice.picks.size(),
                                                std::round(choice.loss.value() * 1e6), left)
                                   : std::tuple(true, std::size_t{0}, 0.0, left);
        if (cost < bestCost) {
            bestCost = cost;
            best = std::move(choice);
        }
    };
    for (std::size_t i = 0; i < gels.size(); ++i) {
        const auto once = gelled(light, gels[i]);
        consider({{i}, once, lossOf(gels[i])});
        for (std::size_t k = i; k < gels.size(); ++k)
            consider({{i, k}, gelled(once, gels[k]), lossOf(gels[i]) + lossOf(gels[k])});
    }
    return best;
}

} // namespace bslate
