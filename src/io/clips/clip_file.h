#pragma once

#include "core/base/keep_going.h"
#include "core/base/result.h"
#include "core/clip/clip_facts.h"

#include <filesystem>

/// Recorded clips, opened in a helper process and never touched.
namespace bslate::io {

enum class ClipDepth {
    Facts, ///< what the container says, without decoding
    Listen ///< levels of its sound besides
};

/// Fails with FileUnreadable, and with WrongFormat for what is no recording or was never closed.
[[nodiscard]] Result<ClipFacts> readClip(const std::filesystem::path& path, ClipDepth depth,
                                         const KeepGoing& keepGoing = {});

} // namespace bslate::io
