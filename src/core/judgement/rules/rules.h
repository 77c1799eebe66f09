#pragma once

#include "core/facts/case.h"
#include "core/judgement/finding.h"

#include <array>
#include <span>
#include <vector>

/// The judgements, one small function each, grouped by what they look at: a file a group, which
/// ends with the list of its rules. A rule looks at one evaluated setup and appends what it finds;
/// judge() sorts by severity.
namespace bslate::rules {

using Findings = std::vector<Finding>;
using Rule = void (*)(const Case&, Findings&);

[[nodiscard]] std::span<const Rule> patchesRules();       ///< what is lost at either end
[[nodiscard]] std::span<const Rule> placementRules();     ///< where the school wants the scene
[[nodiscard]] std::span<const Rule> changingLightRules(); ///< the way the light goes
[[nodiscard]] std::span<const Rule> ratingRules();        ///< ISO, base and what post is told
[[nodiscard]] std::span<const Rule> shutterRules();       ///< angle, dial, rate
[[nodiscard]] std::span<const Rule> pulsesRules();        ///< pulsed light and motion
[[nodiscard]] std::span<const Rule> recordingRules();     ///< curve, zebra, filters
[[nodiscard]] std::span<const Rule> modesRules();         ///< what the mode gives and forbids
[[nodiscard]] std::span<const Rule> takesRules(); ///< what ends a take, and the speed it plays at
[[nodiscard]] std::span<const Rule> pairsRules(); ///< one setup against the others
[[nodiscard]] std::span<const Rule>
profilesRules();                                   ///< whose numbers these are, and what they bear
[[nodiscard]] std::span<const Rule> handsRules();  ///< held, focused, left to itself
[[nodiscard]] std::span<const Rule> whiteRules();  ///< white and the colours of light
[[nodiscard]] std::span<const Rule> ratiosRules(); ///< lights against each other
[[nodiscard]] std::span<const Rule> safetyRules(); ///< what can hurt someone

using Group = std::span<const Rule> (*)();
inline constexpr std::array kGroups = {
    Group{patchesRules}, Group{placementRules}, Group{changingLightRules}, Group{ratingRules},
    Group{shutterRules}, Group{pulsesRules},    Group{recordingRules},     Group{modesRules},
    Group{takesRules},   Group{pairsRules},     Group{profilesRules},      Group{handsRules},
    Group{whiteRules},   Group{ratiosRules},    Group{safetyRules}};

} // namespace bslate::rules
