#pragma once

#include "core/base/result.h"
#include "core/kit/kit.h"

namespace bslate {

/// A kit with one thing wrong in its references: an unknown id, an id used twice, constraints that
/// contradict each other. `place` is a JSON pointer into the kit's file.
[[nodiscard]] Outcome checkKit(const Kit& kit);

} // namespace bslate
