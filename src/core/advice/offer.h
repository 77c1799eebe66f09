#pragma once

#include "core/advice/remedy.h"
#include "core/facts/case.h"

#include <memory>
#include <optional>
#include <utility>
#include <vector>

namespace bslate {

/// A setup as an edit would leave it. Points into the edit and the shoot it was tried in.
struct Tried {
    std::unique_ptr<const Shoot> shoot; ///< a copy, only for another kit
    SetupContext context;
    Evaluation at;
    /// To be judged, not to be cured.
    [[nodiscard]] Case judged(const Evaluation* was = nullptr) const {
        return {context, at, false, was};
    }
};
/// Nothing when the edited setup cannot be evaluated. `other`: another setup of the shoot as the
/// edit's scene or kit would leave it.
[[nodiscard]] std::optional<Tried> tried(const Case& now, const Edit& edit,
                                         const Setup* other = nullptr);
/// Of that, the numbers.
[[nodiscard]] std::optional<Evaluation> tryOut(const Case& now, const Edit& edit);

/// Fills in the remedy's predicted effect from its evaluation, and what it does beside its title.
void describeEffect(const Case& now, const Evaluation& after, Remedy& remedy);

/// True when a patch that matters is lost or near its clip afterwards and was not before: what such
/// a remedy gains, the next finding would take back.
[[nodiscard]] bool bringsTrouble(const Case& now, const Evaluation& after);

/// Adds a remedy if evaluating the edited document satisfies `cured`. What it adds to the faults is
/// seen to when all is judged (judgement/honest.h).
template<class Cured>
void offer(const Case& now, std::vector<Remedy>& remedies, Remedy remedy, Cured cured) {
    if (!now.remedies)
        return;
    const auto after = tryOut(now, remedy.edit);
    if (!after || !cured(*after))
        return;
    describeEffect(now, *after, remedy);
    remedies.push_back(std::move(remedy));
}

/// How far an iris lies outside of the wished depth, in stops; 0 inside.
[[nodiscard]] Stops outsideOf(const DepthWish& wish, TStop iris);

/// Candidate edits that change the light on the sensor by about `change` (negative is less):
/// a filter stack, the iris, in the order ND, iris. Only those that change something; none where no
/// remedies are wanted.
[[nodiscard]] std::vector<Remedy> exposureRemedies(const Case& now, Stops change);

/// The same, never letting less than `change` through: the iris on the nearest third stop at or
/// below, the filters likewise.
[[nodiscard]] std::vector<Remedy> darkeningRemedies(const Case& now, Stops atLeast);

} // namespace bslate
