#pragma once

#include "core/base/result.h"
#include "core/clip/clip_facts.h"

#include <string>

/// A clip's facts as a line of JSON: what the helper that opens clips sends, and the command line
/// prints. Rates are exact fractions, levels decibels; what is not known is null.
namespace bslate::io {

/// A sound track that says more has this many: what a RIFF header can say.
inline constexpr int kMostChannels = 65535;

[[nodiscard]] std::string clipText(const ClipFacts& clip);
/// Fails with WrongFormat when it is none of ours.
[[nodiscard]] Result<ClipFacts> readClipText(const std::string& text);

} // namespace bslate::io
