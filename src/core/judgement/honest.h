#pragma once

#include "core/facts/case.h"
#include "core/judgement/finding.h"

#include <optional>
#include <vector>

/// A remedy never makes it worse: what each one leaves is judged like any other setup.
namespace bslate {

/// The rules run over one evaluated setup, unsorted; what is accepted is marked.
[[nodiscard]] std::vector<Finding> ruled(const Case& now);

/// The faults of `after` that nobody accepted and that `before` does not have, each as a reason by
/// its finding's key. How pulsing light shows is one fault, whatever it is called.
[[nodiscard]] std::vector<Reason> addedFaults(const std::vector<Finding>& before,
                                              const std::vector<Finding>& after);

/// What an edit adds to the faults of the setup in it; none without one that can be evaluated.
[[nodiscard]] std::vector<Reason> addedFaults(const Shoot& shoot, const Edit& edit);

/// Puts faults on a remedy's button, beside what it does.
void tellFaults(Remedy& remedy, std::vector<Reason> added);

/// Takes out of every finding the remedies after which it stands as it did, and those that add a
/// fault - to this setup, or by an edited scene to another one in it - where another one does not.
/// Where all of them do they say it (`Remedy::faults`), except for notes, which are worth no fault:
/// their remedies go.
void keepHonest(const Case& now, std::vector<Finding>& findings);

} // namespace bslate
