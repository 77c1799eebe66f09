#pragma once

#include "core/base/result.h"
#include "core/facts/evaluation.h"

namespace bslate {

/// Finds everything the setup names. Fails with UnknownId naming the setup's field and what is
/// missing (`place` is "setup 2A, camera"), or OutOfRange for a shutter or iris that cannot be.
[[nodiscard]] Result<SetupContext> resolve(const Shoot& shoot, const Setup& setup);

/// Every number of a resolved setup.
[[nodiscard]] Evaluation evaluate(const SetupContext& context);

/// resolve and evaluate.
[[nodiscard]] Result<Evaluation> evaluate(const Shoot& shoot, const Setup& setup);

} // namespace bslate
