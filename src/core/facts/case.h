#pragma once

#include "core/facts/evaluation.h"

namespace bslate {

/// One setup as it is judged: what it names, and its numbers.
struct Case {
    const SetupContext& context;
    const Evaluation& at;
};

} // namespace bslate
