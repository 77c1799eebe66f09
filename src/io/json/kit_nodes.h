#pragma once

#include "io/json/json_reader.h"

/// A kit as a node, for kit files and shoots with an embedded kit. Private to io.
namespace bslate::io {

[[nodiscard]] Kit kitFrom(ObjectReader& node);
[[nodiscard]] Json toJson(const Kit& kit);

} // namespace bslate::io
