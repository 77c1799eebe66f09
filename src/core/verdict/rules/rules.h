#pragma once

#include "core/verdict/finding.h"

#include <array>
#include <vector>

/// The judgements, one small function each. A rule looks at one evaluated setup and appends what
/// it finds; the order of the list does not matter, since judge() sorts.
namespace bslate::rules {

struct Case {
    const SetupContext& context;
    const Evaluation& at;
};

using Findings = std::vector<Finding>;
using Rule = void (*)(const Case&, Findings&);

// patches.cpp: what is lost at either end
void patchClipped(const Case&, Findings&);
void patchNearClip(const Case&, Findings&);
void patchInNoise(const Case&, Findings&);
void sceneWider(const Case&, Findings&);
void sceneFits(const Case&, Findings&);

// changing_light.cpp: the way the light goes
void changingLight(const Case&, Findings&);
/// The scene at the end of its change; none when its light stays.
[[nodiscard]] std::optional<Evaluation> atEndOfChange(const Case&);

// placement.cpp: where the school wants the scene
/// The scene's place under its school would clip what must be kept: both cannot be had.
struct PlaceConflict {
    const PatchPlacement* top = nullptr;
    Stops shift; ///< to the place
    Stops over;  ///< by which the brightest patch would clip there
};
[[nodiscard]] std::optional<PlaceConflict> placeConflict(const Case&);
void placeOrHighlight(const Case&, Findings&);
/// True when the scene is in its place under the setup's school, to a third of a stop.
[[nodiscard]] bool schoolSatisfied(const Case&, const Evaluation& at);
void skinOffPlace(const Case&, Findings&);
void lightToSpareOrShort(const Case&, Findings&);
void schoolSuggestion(const Case&, Findings&);
void cardReadsDark(const Case&, Findings&);

// rating.cpp: ISO, base and what post is told
void ratingDiffers(const Case&, Findings&);
void isoOutsideProfile(const Case&, Findings&);
void isoOffBase(const Case&, Findings&);

// shutter.cpp: angle, dial, rate
void shutterAngleOffRule(const Case&, Findings&);
void shutterNotOnDial(const Case&, Findings&);
void rateNearMiss(const Case&, Findings&);

// pulses.cpp: pulsed light and motion
void pulsedLight(const Case&, Findings&);
void motion(const Case&, Findings&);

// recording.cpp: curve, zebra, filters
void curveEndsLow(const Case&, Findings&);
void zebraToSet(const Case&, Findings&);
void strongNd(const Case&, Findings&);
void skinCodes(const Case&, Findings&);

// modes.cpp: what the mode gives and forbids
void modeExcluded(const Case&, Findings&);
void eightBitLog(const Case&, Findings&);
void profileLocks(const Case&, Findings&);
void bitsForGrade(const Case&, Findings&);
void soundAndFocus(const Case&, Findings&);
void soundSlowed(const Case&, Findings&);
void cropTooTight(const Case&, Findings&);

// takes.cpp: what ends a take, and the speed it plays at
void takeLimits(const Case&, Findings&);
void secondSlot(const Case&, Findings&);
void classUnknown(const Case&, Findings&);
void slowMotion(const Case&, Findings&);
void lightAgainstMinimum(const Case&, Findings&);
void lightEstimated(const Case&, Findings&);

// pairs.cpp: one setup against the others
void regionSwitch(const Case&, Findings&);
void camerasMatch(const Case&, Findings&);

// safety.cpp: what can hurt someone
void safety(const Case&, Findings&);

// profiles.cpp: whose numbers these are, and what they bear
void curveSource(const Case&, Findings&);
/// What 8 bits do to this scene on this curve, for the brief's grade.
[[nodiscard]] Reason eightBitReason(const Case& now);

inline constexpr std::array kAll = {Rule{patchClipped},
                                    Rule{patchNearClip},
                                    Rule{patchInNoise},
                                    Rule{sceneWider},
                                    Rule{sceneFits},
                                    Rule{placeOrHighlight},
                                    Rule{skinOffPlace},
                                    Rule{changingLight},
                                    Rule{lightToSpareOrShort},
                                    Rule{schoolSuggestion},
                                    Rule{cardReadsDark},
                                    Rule{ratingDiffers},
                                    Rule{isoOutsideProfile},
                                    Rule{isoOffBase},
                                    Rule{shutterAngleOffRule},
                                    Rule{shutterNotOnDial},
                                    Rule{rateNearMiss},
                                    Rule{pulsedLight},
                                    Rule{motion},
                                    Rule{curveEndsLow},
                                    Rule{zebraToSet},
                                    Rule{strongNd},
                                    Rule{skinCodes},
                                    Rule{modeExcluded},
                                    Rule{eightBitLog},
                                    Rule{profileLocks},
                                    Rule{bitsForGrade},
                                    Rule{soundAndFocus},
                                    Rule{soundSlowed},
                                    Rule{cropTooTight},
                                    Rule{takeLimits},
                                    Rule{secondSlot},
                                    Rule{classUnknown},
                                    Rule{slowMotion},
                                    Rule{lightAgainstMinimum},
                                    Rule{lightEstimated},
                                    Rule{regionSwitch},
                                    Rule{camerasMatch},
                                    Rule{curveSource},
                                    Rule{safety}};

} // namespace bslate::rules
