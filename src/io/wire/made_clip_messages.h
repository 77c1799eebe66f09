#pragma once

#include "core/base/result.h"
#include "core/clip/made_clip.h"

#include <string>

/// What is said besides the frames when a clip is made: the line of its coding, a line of what
/// stands beside the pictures; then `F` and the file. Private to io.
namespace bslate::io {

[[nodiscard]] std::string madeClipText(const MadeClipTask& task);
/// Of its two lines without their ends. Fails with WrongFormat when they are none of ours.
[[nodiscard]] Result<MadeClipTask> readMadeClipText(const std::string& coding,
                                                    const std::string& besides);
/// The file of an answer. Fails with WrongFormat when it is none of ours.
[[nodiscard]] Result<std::string> readMadeClip(std::string answer);

} // namespace bslate::io
