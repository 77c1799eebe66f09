#pragma once

#include <string>

/// What the documents look like, worked out from the tables of their fields that also read and
/// write them.
namespace bslate::io {

/// JSON Schema (draft 2020-12) of `*.bskit.json` and `*.bslate` as they are written; older versions
/// and other spellings of a quantity are read too.
[[nodiscard]] std::string kitSchema();
[[nodiscard]] std::string shootSchema();

/// Every key of both as Markdown: a table for each object.
[[nodiscard]] std::string keyTables();

} // namespace bslate::io
