#pragma once

#include "cli/verb.h"

#include <span>

namespace bslate::cli {

/// Every verb, by name.
[[nodiscard]] std::span<const Verb* const> verbs();

} // namespace bslate::cli
