#pragma once

#include "core/base/result.h"
#include "core/shoot/shoot.h"

#include <string>

namespace bslate::io {

enum class LutShape { Cube33, Cube65, Neutral1d };

/// The `.cube` text of a setup's rating LUT: recorded signal to BT.709 with the rating undone.
/// Its title and comments say setup, profile, gamut, rating and what it does. Fails when the
/// setup names something missing.
[[nodiscard]] Result<std::string> ratingLutText(const Shoot& shoot, const Setup& setup,
                                                LutShape shape);

} // namespace bslate::io
