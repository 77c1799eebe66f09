#pragma once

#include "core/facts/case.h"
#include "core/facts/reason.h"

namespace bslate::rules {

/// What 8 bits do to this scene on this curve, for the brief's grade.
[[nodiscard]] Reason eightBitReason(const Case& now);

} // namespace bslate::rules
