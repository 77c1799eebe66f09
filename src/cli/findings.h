#pragma once

#include "cli/output.h"
#include "core/facts/dial_in.h"
#include "core/judgement/judge.h"

#include <iosfwd>
#include <vector>

/// What a verdict says, as the JSON shapes scripts rely on - snake_case keys with their unit as
/// suffix - and as lines.
namespace bslate::cli {

/// The `derived` object; an empty object when the setup could not be evaluated.
[[nodiscard]] Json derivedJson(const Verdict& verdict);

/// The `settings` list: everything that is set, in the order hands go over the body, each with
/// whether it differs from the setup before on the same camera.
[[nodiscard]] Json settingsJson(const DialInCard& card);

/// The `findings` list: id, severity, title, reason, and accepted when taken on purpose.
[[nodiscard]] Json findingsJson(const std::vector<Finding>& findings);

/// The findings as lines, with what takes them away.
void tellFindings(const std::vector<Finding>& findings, std::ostream& out);

} // namespace bslate::cli
