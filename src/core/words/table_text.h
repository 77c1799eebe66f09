#pragma once

#include <string>
#include <string_view>
#include <vector>

/// Tables that leave the program: every row of every one is put together here.
namespace bslate {

enum class TableKind {
    Csv, ///< commas, and quotes where a field needs them (RFC 4180)
    Tabs ///< as spreadsheets take it from the clipboard: line ends and tabs in a field are spaces
};

/// With its line end. What a spreadsheet would work out instead of showing it - `=1+1`, `@SUM`,
/// `-cmd`, but no number - gets an apostrophe in front, as people write such text there.
[[nodiscard]] std::string tableRow(const std::vector<std::string>& fields, TableKind kind);

/// A field as it was before tableRow(): without that apostrophe.
[[nodiscard]] std::string fromTable(std::string field);

} // namespace bslate
