#pragma once

#include "core/base/keep_going.h"
#include "core/day/rules/rules.h"

namespace bslate::day {

/// What trying remedies out may cost, for all findings of a day together.
struct Trials {
    KeepGoing keepGoing;
    long looks = 300'000; ///< as PlanEffort counts them: a second or so
    [[nodiscard]] bool goOn() const { return looks > 0 && (!keepGoing || keepGoing(1)); }
};

/// Tries the smallest changes out and keeps at most four that cure the finding without a new
/// fault, of the day or of the setup that is changed; where only such
/// are to be had, one of them says it. Stops with those it has when the trials are over.
void offerRemedies(const Case& now, const Findings& all, Finding& finding, Trials& trials);

} // namespace bslate::day
