#pragma once

#include "core/base/result.h"
#include "io/wire/still.h"

extern "C" {
#include <libavformat/avformat.h>
}

namespace bslate::helper {

/// A picture of the middle of a clip to be looked at: 8 bits as it is recorded, without look, at
/// most kWidestLook wide. Fails with WrongFormat where none of luma and colour differences is
/// decoded.
[[nodiscard]] Result<io::Still> middlePicture(AVFormatContext& clip);
inline constexpr int kWidestLook = 960;

} // namespace bslate::helper
