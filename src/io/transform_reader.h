#pragma once

#include "io/transform_file.h"

/// Reading transforms of others inside this process: what the helper program does for
/// transform_file.h, which says what each gives and how it fails. Private to io and the helper.
namespace bslate::io {

[[nodiscard]] Result<ImportedTransform> readTransform(const std::filesystem::path& path,
                                                      const ImportOptions& options = {});
[[nodiscard]] Result<Colours> readThrough(const std::filesystem::path& path,
                                          const Colours& colours);
[[nodiscard]] Result<std::vector<std::string>> readColourSpaces(const std::filesystem::path& path);

/// Answers a request of transform_file.cpp about the file at `path`.
[[nodiscard]] std::string answerRequest(const std::string& request,
                                        const std::filesystem::path& path);

} // namespace bslate::io
