#pragma once

#include "core/advice/remedy.h"
#include "core/facts/case.h"

#include <optional>
#include <utility>
#include <vector>

namespace bslate {

/// Evaluates the setup as `edit` would leave it; the shoot is copied only for another kit. Nothing
/// when the edited setup cannot be evaluated.
[[nodiscard]] std::optional<Evaluation> tryOut(const Case& now, const Edit& edit);

/// Fills in the remedy's predicted effect from its evaluation, and what it does beside its title.
void describeEffect(const Case& now, const Evaluation& after, Remedy& remedy);

/// True when a patch that matters is lost or near its clip afterwards and was not before: what such
/// a remedy gains, the next finding would take back.
[[nodiscard]] bool bringsTrouble(const Case& now, const Evaluation& after);

/// Adds a remedy if evaluating the edited document satisfies `cured`.
template<class Cured>
void offer(const Case& now, std::vector<Remedy>& remedies, Remedy remedy, Cured cured) {
    const auto after = tryOut(now, remedy.edit);
    if (!after || !cured(*after))
        return;
    describeEffect(now, *after, remedy);
    remedies.push_back(std::move(remedy));
}

/// Candidate edits that change the light on the sensor by about `change` (negative is less):
/// a filter stack, the iris, in the order ND, iris. Only those that change something.
[[nodiscard]] std::vector<Remedy> exposureRemedies(const Case& now, Stops change);

/// The same, never letting less than `change` through: the iris on the nearest third stop at or
/// below, the filters likewise.
[[nodiscard]] std::vector<Remedy> darkeningRemedies(const Case& now, Stops atLeast);

} // namespace bslate
