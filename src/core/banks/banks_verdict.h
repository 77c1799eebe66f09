#pragma once

#include "core/banks/best_banks.h"
#include "core/judgement/finding.h"

#include <vector>

/// The judgements on a camera's banks and controls.
namespace bslate {

/// Worst first; accepted ones keep their place. `plan` is planCamera() of the same shoot and
/// camera; judged are the shoot's own threads. Remedies are tried out by planning the banks again.
[[nodiscard]] std::vector<Finding> judgeBanks(const Shoot& shoot, const Camera& camera,
                                              const CameraPlan& plan,
                                              const KeepGoing& keepGoing = {});

} // namespace bslate
