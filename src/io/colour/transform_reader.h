#pragma once

#include "core/base/result.h"
#include "io/wire/transform.h"

#include <filesystem>

/// Reading transforms of others inside this process: what the helper program does for
/// transform_file.h, which says what each gives and how it fails. Private to io and the helper.
namespace bslate::io {

[[nodiscard]] Result<ImportedTransform> readTransform(const std::filesystem::path& path,
                                                      const ImportOptions& options = {});
[[nodiscard]] Result<Colours> readThrough(const std::filesystem::path& path,
                                          const Colours& colours);
[[nodiscard]] Result<std::vector<std::string>> readColourSpaces(const std::filesystem::path& path);

} // namespace bslate::io
