#pragma once

#include "core/verdict/judge.h"

#include <nlohmann/json.hpp>

/// The JSON shapes scripts rely on: snake_case keys with their unit as suffix.
namespace bslate::cli {

using Json = nlohmann::ordered_json;

/// A document for standard output, with its last line end. What is no UTF-8, such as the name of a
/// file, is shown with replacement characters.
[[nodiscard]] std::string jsonText(const Json& node);

/// The `derived` object; an empty object when the setup could not be evaluated.
[[nodiscard]] Json derivedJson(const Verdict& verdict);

/// The `findings` list: id, severity, title, reason, and accepted when taken on purpose.
[[nodiscard]] Json findingsJson(const std::vector<Finding>& findings);

} // namespace bslate::cli
