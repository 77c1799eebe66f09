#pragma once

#include "core/facts/evaluation.h"
#include "core/judgement/finding.h"

/// Several findings that one cause brings about are told as one, with all ways out of it.
namespace bslate {

/// Moves into `follows` of its cause, with its remedies: of a scene wider than the camera, what
/// that does to the scene's two ends; of a highlight that is lost, that its place and it cannot
/// both be had; of light that is too much or too little for the school, what that does to the face
/// and to the end it drives out. What was accepted stays apart from what was not, and what is worse
/// than its cause speaks for itself.
void tellOnce(std::vector<Finding>& findings, const Evaluation& at);

/// What is accepted with a finding: itself, and what is told with it. That a place and a highlight
/// cannot both be had is no question any more once the highlight may go.
[[nodiscard]] std::vector<std::string> keysAccepted(const Finding& finding);

/// Whether a finding of that key is among them, or told with one of them; null when it is not.
[[nodiscard]] const Finding* findTold(const std::vector<Finding>& findings, std::string_view key);

} // namespace bslate
