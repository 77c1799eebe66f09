#pragma once

#include "core/banks/check.h"
#include "core/shoot/shoot.h"

#include <vector>

namespace bslate {

/// A body that comes from somebody else: how to bring it to where one knows what it does. Its
/// region is named as the body names it, the one that offers most of the rates its setups want; not
/// at all for a body without regions.
[[nodiscard]] std::vector<Check> startingPoint(const Shoot& shoot, const Camera& camera);

} // namespace bslate
