#pragma once

#include "core/facts/evaluation.h"

#include <array>
#include <optional>

/// What each school wants of a scene on a curve. All of it is common practice, no source; the
/// numbers come from the scene and the curve in use, never from another curve.
namespace bslate {

inline constexpr std::array kSchools = {School::Nominal, School::Rated, School::ToTheRight,
                                        School::Guard, School::Raw};

/// A school's wish for one setup and what granting it would cost.
struct SchoolTarget {
    School school = School::Nominal;
    Stops shift;      ///< exposure to add (positive) or take away to be where it wants
    Stops highlights; ///< headroom of the brightest patch that matters, after the shift
    Stops shadows;    ///< distance of the darkest patch that matters over noise, after it
};

/// Nominal: mid-grey recorded at 0.
/// Rated: mid-grey recorded at log2(base/EI) (index and note), one stop over for recorded ISO.
/// To the right: the brightest patch that matters at clip - 0.3.
/// Guard: nominal, lowered by what the brightest patch lacks, at most one stop.
/// Raw: the brightest patch at the sensor's own clip - 0.3, whatever the rating says.
/// Nothing when the scene gives the school no reference (no grey or skin, or no patches).
[[nodiscard]] std::optional<SchoolTarget> targetOf(School school, const SetupContext& context,
                                                   const Evaluation& evaluation);

/// Recorded stops where the setup's own school wants this skin patch: tone over the wanted grey
/// for nominal, rated and guard; wherever the highlight lets it land for the other two.
[[nodiscard]] std::optional<Stops>
skinPlace(const SetupContext& context, const Evaluation& evaluation, const PatchPlacement& face);

/// Shadows that stand less than this over noise are thin, stops: common practice, no source.
inline constexpr Stops kThinShadows{2.0};

/// The school suggested for this scene and curve, and never a matter of habit: guard when the
/// curve has under 5 stops above grey and the highlight needs them, rated when there is
/// room for a stop above and the shadows stand under two stops over noise, nominal otherwise; raw
/// for raw recordings. When the brief
/// prefers schools and this is none of them, the first preferred one.
[[nodiscard]] School suggestedSchool(const SetupContext& context, const Evaluation& evaluation);

} // namespace bslate
