#pragma once

#include "core/base/result.h"
#include "helper/stills/still_kind.h"
#include "io/wire/still.h"

#include <string>

/// Pictures that the media library's decoders know, one picture of bytes in memory at a time: no
/// container, no list of files, no name is ever looked at.
namespace bslate::helper {

/// How many zeros must stand behind the bytes of a still for its decoder.
inline constexpr std::size_t kSpareBytes = 64;

/// `content` holds the still and kSpareBytes behind it. Fails with WrongFormat for what is no such
/// picture, is not all there, is too large, or larger than a file of this size is believed to hold.
[[nodiscard]] Result<io::Still> codedStill(StillKind kind, const std::string& content);

} // namespace bslate::helper
