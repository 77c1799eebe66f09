#pragma once

#include "core/facts/evaluation.h"

namespace bslate {

/// One setup as it is judged: what it names, and its numbers.
struct Case {
    const SetupContext& context;
    const Evaluation& at;
    bool remedies = true; ///< wanted; without them it costs a fraction
    /// The same setup before an edit: what that left alone is not searched for anew.
    const Evaluation* was = nullptr;
};

} // namespace bslate
