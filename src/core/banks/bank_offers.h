#pragma once

#include "core/banks/rules/rules.h"

namespace bslate::banks {

/// Adds the remedies of a finding that planning the banks again has proved: fewer findings of its
/// kind, and no more faults than before.
void offerRemedies(const Case& now, const Findings& all, Finding& finding);

} // namespace bslate::banks
