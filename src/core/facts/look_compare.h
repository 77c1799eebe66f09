#pragma once

#include "core/facts/evaluation.h"

#include <string>
#include <vector>

/// Two looks on the same scene: what each makes of its patches, and of six plain hues.
namespace bslate {

struct LookSample {
    std::string name;             ///< of the patch; empty for a hue
    Hue hue = Hue::Red;           ///< when the name is empty
    std::array<Rgb, 2> shown{};   ///< display signal through each look, 0..1
    std::array<Level, 2> level{}; ///< luma, percent
    std::array<bool, 2> lost{};   ///< at the look's end: nothing above it is told apart
};

/// Patches first, as the setup exposes them with its rating undone; skin with a colour of its own
/// (a made-up tone, only to be looked at). Then hues at 40 % of white, three parts of the hue to
/// one of grey.
[[nodiscard]] std::vector<LookSample> compareLooks(const Evaluation& at, const Look& first,
                                                   const Look& second);

} // namespace bslate
