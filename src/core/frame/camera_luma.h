#pragma once

#include "core/facts/setup_context.h"
#include "core/light/light_colour.h"

#include <array>

/// What a setup's camera makes of luminance. The plan takes a patch's luminance for what is
/// recorded of it once white answers its light (facts/white_facts.h); a sensor's green is no
/// luminance, so a painted scene is brought to that definition here.
namespace bslate {

class CameraLuma {
public:
    /// The context must outlive it.
    explicit CameraLuma(const SetupContext& context);

    /// What red, green and blue of BT.2020 light weigh in the luma of the recording's linear light,
    /// with white set for `white`: 1 altogether for the light of D65 under white for it.
    [[nodiscard]] std::array<double, 3> weights(ColourPoint white) const;

    /// By how much light of this BT.2020 colour, of luminance 1, is painted brighter so that it is
    /// recorded as its luminance under white for the light it is in.
    [[nodiscard]] Magnification anchor(const std::array<double, 3>& colour,
                                       ColourPoint light) const;

private:
    const SetupContext& m_context;
};

} // namespace bslate
