#pragma once

#include "core/banks/best_banks.h"
#include "core/banks/card_formats.h"
#include "core/judgement/finding.h"

#include <span>
#include <string>
#include <vector>

/// The judgements on banks and controls, one small function each, as those of a setup. Private to
/// banks.
namespace bslate::banks {

struct Case {
    const Shoot& shoot;
    const Camera& camera;
    const CameraPlan& plan;
    Threads threads;
    BankPlan now; ///< of the threads
    const CameraRecord* record;
    const CardFormats& formats;

    [[nodiscard]] const BankProblem& problem() const { return plan.problem; }
    [[nodiscard]] const std::vector<WorkSetup>& setups() const { return plan.problem.work.setups; }
    /// Numbers of the setups with a thread to a bank, "1A, 2A".
    [[nodiscard]] std::string setupsOf(std::size_t bank) const;
};
[[nodiscard]] Case caseOf(const Shoot& shoot, const Camera& camera, const CameraPlan& plan,
                          Threads threads, const CardFormats& formats);

using Findings = std::vector<Finding>;
using Rule = void (*)(const Case&, Findings&);

[[nodiscard]] std::span<const Rule> memoryRules();  ///< what banks lose, leave and cost
[[nodiscard]] std::span<const Rule> controlRules(); ///< what slips, and what is under the hand

/// All rules run, unsorted, without remedies.
[[nodiscard]] Findings findingsOf(const Case& now);

} // namespace bslate::banks
