#pragma once

#include "core/base/result.h"

#include <cstdint>
#include <filesystem>
#include <string>
#include <string_view>

namespace bslate::io {

/// Readers refuse larger files before reading them; a shoot of 2 000 setups is about 2 MB.
inline constexpr std::uintmax_t kLargestDocument = 64u * 1024u * 1024u;

/// The whole regular file as bytes. Fails with FileUnreadable (missing, a folder, no
/// permission) or FileTooLarge; the error names the file.
[[nodiscard]] Result<std::string> readFile(const std::filesystem::path& path,
                                           std::uintmax_t largest = kLargestDocument);

/// Replaces the file's contents or leaves it exactly as it was: writes a temporary file beside
/// it, syncs it, renames it over, and syncs the folder. A symbolic link keeps pointing; its
/// target is replaced. Fails with FileUnwritable.
[[nodiscard]] Outcome writeFileAtomically(const std::filesystem::path& path,
                                          std::string_view bytes);

} // namespace bslate::io
