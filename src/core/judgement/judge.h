#pragma once

#include "core/facts/evaluation.h"
#include "core/judgement/finding.h"

#include <array>
#include <vector>

namespace bslate {

/// A setup's evaluation with every judgement on it, worst first; accepted ones keep their place
/// but do not count as faults.
struct Verdict {
    std::optional<Evaluation> evaluation; ///< none when the setup names something missing
    std::vector<Finding> findings;

    /// How many findings of a severity are not accepted.
    [[nodiscard]] int count(Severity severity) const;
    /// The worst severity that is not accepted; Good when there is nothing to say.
    [[nodiscard]] Severity worst() const;
    /// The finding of that key, told by itself or with its cause; null when there is none.
    [[nodiscard]] const Finding* find(std::string_view key) const;
};

/// Judges one setup. Pure: the same shoot and setup give the same verdict. A setup that cannot
/// be evaluated gets the single fault `setup-incomplete` with the reason in its facts.
[[nodiscard]] Verdict judge(const Shoot& shoot, const Setup& setup);

} // namespace bslate
