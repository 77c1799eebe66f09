#pragma once

#include "core/base/result.h"
#include "core/frame/image.h"
#include "io/wire/region_messages.h"

extern "C" {
#include <libavformat/avformat.h>
}

namespace bslate::helper {

/// Means of places in the pictures of a clip, decoded one after the other; of more than were asked
/// for the first. Fails with WrongFormat for pictures that are no planes of luma and colour
/// differences, and where none is decoded.
[[nodiscard]] Result<std::vector<io::RegionCodes>> regionsOf(AVFormatContext& clip,
                                                             const io::RegionQuestion& question);

} // namespace bslate::helper
