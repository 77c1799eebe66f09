#pragma once

#include "core/shoot/shoot.h"

#include <string>
#include <vector>

namespace bslate {

/// What somebody did to a shoot between two states of it, a few words each: "setup 2A changed",
/// "scene Pier added". In the order of the document; empty when they are equal.
[[nodiscard]] std::vector<std::string> differencesBetween(const Shoot& before, const Shoot& after);

} // namespace bslate
