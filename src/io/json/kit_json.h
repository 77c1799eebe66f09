#pragma once

#include "core/base/result.h"
#include "core/kit/kit.h"

#include <filesystem>
#include <string>
#include <string_view>

namespace bslate::io {

inline constexpr int kKitVersion = 6;

/// Reads a `*.bskit.json` text (docs/file-format.md). `file` only names the source in errors.
/// Nothing is half-loaded: a fault anywhere gives the error with its JSON pointer.
[[nodiscard]] Result<Kit> readKit(std::string_view text, const std::string& file);
[[nodiscard]] Result<Kit> loadKit(const std::filesystem::path& path);

/// The text of a kit file: stable key order, one value a line, unknown keys kept.
[[nodiscard]] std::string writeKit(const Kit& kit);

} // namespace bslate::io
