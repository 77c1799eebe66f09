#pragma once

#include "core/facts/case.h"

#include <optional>

namespace bslate::rules {

/// The scene at the end of its change; none when its light stays.
[[nodiscard]] std::optional<Evaluation> atEndOfChange(const Case& now);

} // namespace bslate::rules
