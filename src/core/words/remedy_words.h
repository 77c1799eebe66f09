#pragma once

#include "core/advice/remedy_id.h"

#include <string_view>

namespace bslate {

/// As scripts read it: `set-nd`.
[[nodiscard]] std::string_view keyOf(RemedyId id);
/// The English of its button, with `{fact}` places.
[[nodiscard]] const char* titleOf(RemedyId id);

} // namespace bslate
