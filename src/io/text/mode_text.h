#pragma once

#include <filesystem>
#include <optional>
#include <string>

/// Tables of recording modes as text files.
namespace bslate::io {

/// The text of a file that can be such a table: under a megabyte, and without zero bytes. Nothing
/// for others, which are clips or nothing at all.
[[nodiscard]] std::optional<std::string> modeTextIn(const std::filesystem::path& path);

} // namespace bslate::io
