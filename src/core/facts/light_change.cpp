#include "core/facts/light_change.h"

#include <algorithm>
#include <cmath>

namespace bslate {

Scene brightened(const Scene& scene, Stops by) {
    Scene result = scene;
    for (auto& patch : result.patches)
        patch.reading = shifted(patch.reading, by);
    return result;
}

std::optional<Stops> lightChangeOf(const Scene& scene, const MeterCalibration& meter) {
    const auto* grey = greyCard(scene);
    if (!scene.change || !grey)
        return std::nullopt;
    const auto from = luminanceOf(grey->reading, grey->reflectance, meter);
    const auto to = luminanceOf(scene.change->to, grey->reflectance, meter);
    if (!(from.value() > 0) || !(to.value() > 0))
        return std::nullopt;
    const Stops by = stopsBetween(to, from);
    return std::abs(by.value()) >= 0.01 ? std::optional(by) : std::nullopt;
}

Stops changedBy(const LightChange& change, Stops by, Seconds since) {
    return by * std::clamp(since.value() / change.over.value(), 0.0, 1.0);
}

} // namespace bslate
