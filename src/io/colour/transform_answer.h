#pragma once

#include <filesystem>
#include <string>

namespace bslate::io {

/// What the helper program does: answers a request of transform_file.cpp about the file at `path`.
[[nodiscard]] std::string answerRequest(const std::string& request,
                                        const std::filesystem::path& path);

} // namespace bslate::io
