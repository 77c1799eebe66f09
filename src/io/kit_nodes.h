#pragma once

#include "io/json_reader.h"

/// The kit's JSON nodes, shared by kit files and shoots with an embedded kit. Private to io.
namespace bslate::io {

[[nodiscard]] Kit kitFrom(ObjectReader& node);
[[nodiscard]] Json toJson(const Kit& kit);

} // namespace bslate::io
