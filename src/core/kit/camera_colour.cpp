#include "core/kit/camera_colour.h"

#include <algorithm>
#include <cmath>

namespace bslate {
namespace {

constexpr double kOnLocus = 0.003;

} // namespace

CameraColour::CameraColour(const Camera& camera)
    : m_matrix(xyzToRgb(camera.primaries.value_or(genericPrimaries())))
    , m_generic(!camera.primaries && camera.whiteGains.empty()) {
    for (const auto& found : camera.whiteGains) {
        const auto ours =
            whiteGains(m_matrix, chromaticityOf({found.kelvin, usualDuv(found.kelvin)}));
        m_off.emplace_back(miredOf(found.kelvin),
                           PerChannel{found.red - ours[0], Stops(0), found.blue - ours[2]});
    }
    std::sort(m_off.begin(), m_off.end(),
              [](const auto& a, const auto& b) { return a.first < b.first; });
}

PerChannel CameraColour::gains(ColourPoint light) const {
    PerChannel result = whiteGains(m_matrix, chromaticityOf(light));
    if (m_off.empty())
        return result;
    const Mired at = miredOf(light.cct);
    const auto after = std::find_if(m_off.begin(), m_off.end(),
                                    [&](const auto& found) { return found.first >= at; });
    const auto& high = after == m_off.end() ? m_off.back() : *after;
    const auto& low = after == m_off.begin() ? m_off.front() : *(after - 1);
    const double width = (high.first - low.first).value();
    const double share = width > 0 ? std::clamp((at - low.first).value() / width, 0.0, 1.0) : 0.0;
    for (std::size_t c = 0; c < result.size(); ++c)
        result[c] += low.second[c] * (1 - share) + high.second[c] * share;
    return result;
}

Camera withSensor(Camera camera, const SensorFit& fit, ColourPoint light, bool tellsGains) {
    camera.primaries = rounded(fit.primaries);
    if (!tellsGains || std::abs((light.duv - usualDuv(light.cct)).value()) > kOnLocus)
        return camera;
    const auto hundredths = [](Stops stops) {
        return Stops(std::round(stops.value() * 100) / 100);
    };
    const FoundGains found{Kelvin(std::round(light.cct.value())), hundredths(fit.gains[0]),
                           hundredths(fit.gains[2])};
    std::erase_if(camera.whiteGains,
                  [&](const FoundGains& known) { return known.kelvin == found.kelvin; });
    camera.whiteGains.push_back(found);
    return camera;
}

} // namespace bslate
