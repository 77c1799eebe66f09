#pragma once

#include "core/kit/camera.h"

#include <string>
#include <vector>

/// What a camera forbids and how its dials behave, typed one rule a line:
///   region "50 Hz" 25/50/100                the rates of one rate setting
///   switch restarts the body                what changing the region costs
///   iso codec=raw12 note 100-51200          what the ISO dial does there, and its range
///   gop=raw rate>=100 requires power=external : the plate gives too little
/// Conditions are `key=value`, `key=one,other`, `key>=value`, `key<=value` or `key=low..high`
/// with the keys of SettingKey; before `requires`, `excludes` or `limits` those that must hold,
/// after it what follows, after the colon why. Values with spaces or commas stand in quotes.
namespace bslate {

/// The lines that give the camera's rate sets, region switch, ISO rules and constraints back.
[[nodiscard]] std::vector<std::string> ruleLines(const Camera& camera);

/// The line of one rule.
[[nodiscard]] std::string ruleLine(const Constraint& constraint);

/// The camera with those four replaced by what the lines say; blank lines are skipped. A line
/// that is an existing rule's own line keeps that rule untouched. `place` of an error is "line 3".
/// Ids are not looked up here: checkKit does that.
[[nodiscard]] Result<Camera> withRuleLines(Camera camera, const std::vector<std::string>& lines);

} // namespace bslate
