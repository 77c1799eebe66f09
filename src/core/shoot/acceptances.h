#pragma once

#include "core/shoot/day.h"

#include <string_view>
#include <vector>

namespace bslate {

/// A finding's key is accepted once. A reason is needed: false, and nothing changed, when it is
/// blank.
[[nodiscard]] bool accept(std::vector<Acceptance>& accepted, std::string_view finding,
                          std::string_view reason);
void withdraw(std::vector<Acceptance>& accepted, std::string_view finding);

} // namespace bslate
