#pragma once

#include "core/facts/evaluation.h"
#include "core/facts/setup_context.h"

#include <vector>

namespace bslate {

/// What weakens a body's own focus in a setup, worst first.
enum class FocusLimit {
    Rate,    ///< the mode has none at this rate
    Bright,  ///< the picture it looks at is bright
    Nd,      ///< little light reaches it
    Wireless ///< some bodies give part of it up for it
};

/// From here on a body's own focus is known to suffer: grey over its nominal place, and ND. Common
/// practice, no source.
inline constexpr Stops kBrightForFocus{1.5};
inline constexpr Stops kDarkForFocus{5.9};

/// Empty where the hand focuses. Where the mode has no focus of its own nothing else is told.
[[nodiscard]] std::vector<FocusLimit> focusLimitsOf(const SetupContext& context,
                                                    const Evaluation& at);

} // namespace bslate
