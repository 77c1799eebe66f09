#pragma once

#include "core/base/result.h"

#include <cstdint>
#include <filesystem>
#include <functional>
#include <string>
#include <vector>

/// Transform files that name other files. Whoever wrote one decides what is opened when it is read,
/// so only regular files beside or below it are let through, and each is looked at before a library
/// opens it. Private to io.
namespace bslate::io {

inline constexpr std::uintmax_t kLargestTransform = 64u * 1024u * 1024u;

/// What one import may cost.
struct ReferenceLimits {
    std::size_t files = 64;                       ///< through all references
    std::uintmax_t bytes = 4 * kLargestTransform; ///< of all of them
    std::size_t steps = 256;                      ///< process nodes of all of them
};

/// Where a library looks for a file that is named somewhere.
using Locate = std::function<std::filesystem::path(const std::string& named)>;

/// `file` and every file it names, those they name included, each once. Fails with FileUnreadable
/// for one that is missing, no regular file, or neither beside nor below `folder` (links
/// followed), with FileTooLarge and OutOfRange over the limits, and with WrongFormat for XML whose
/// references cannot be read as plain text (entities of its own).
[[nodiscard]] Result<std::vector<std::filesystem::path>>
filesBehind(const std::filesystem::path& file, const std::filesystem::path& folder,
            const Locate& locate, const ReferenceLimits& limits = {});

} // namespace bslate::io
