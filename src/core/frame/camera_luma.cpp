#include "core/frame/camera_luma.h"

#include "core/frame/code_frame.h"
#include "core/kit/camera_colour.h"

#include <algorithm>

namespace bslate {

CameraLuma::CameraLuma(const SetupContext& context)
    : m_context(context) {}

std::array<double, 3> CameraLuma::weights(ColourPoint white) const {
    const auto& profile = *m_context.profile;
    const auto own = m_context.camera->primaries.value_or(genericPrimaries());
    const auto toCamera = product(xyzToRgb(own), rgbToXyz(gamutBt2020()));
    const auto toProfile = convert(own, profile.gamut);
    const auto gains = whiteGains(xyzToRgb(own), chromaticityOf(white));
    const auto luma = lumaOf(profile.gamut);
    const double of[] = {luma.red, luma.green, luma.blue};
    std::array<double, 3> result{};
    for (std::size_t k = 0; k < 3; ++k)
        for (std::size_t c = 0; c < 3; ++c)
            for (std::size_t row = 0; row < 3; ++row)
                result[k] += of[row] * toProfile[row][c] * ratio(gains[c]) * toCamera[c][k];
    return result;
}

Magnification CameraLuma::anchor(const std::array<double, 3>& colour, ColourPoint light) const {
    constexpr double kLeast = 0.05; // of colours no camera holds
    const auto by = weights(light);
    double luma = 0;
    for (std::size_t k = 0; k < 3; ++k)
        luma += by[k] * colour[k];
    return Magnification(1 / std::max(kLeast, luma));
}

} // namespace bslate
