#pragma once

#include "core/base/keep_going.h"
#include "core/base/result.h"
#include "core/clip/region_series.h"
#include "core/frame/image.h"
#include "io/stills/still.h"

#include <filesystem>

namespace bslate::io {

/// A picture of the middle of a clip to be looked at: 8 bits as recorded, at most 960 wide. Fails
/// as readRegion() does.
[[nodiscard]] Result<Still> readClipPicture(const std::filesystem::path& path,
                                            const KeepGoing& keepGoing = {});

/// Frames with the range their signals are of.
struct ReadRegion {
    CodeRange range = CodeRange::Legal;
    std::vector<RegionFrame> frames;
};

/// A place of a clip's pictures over time, through the helper; of a long clip its first 5000.
/// Signals are those of the clip's own range, or of `range` where the caller knows better. Fails as
/// readClip() does, and with WrongFormat for pictures that are not luma and colour differences.
[[nodiscard]] Result<ReadRegion> readRegion(const std::filesystem::path& path,
                                            const PictureArea& area,
                                            std::optional<CodeRange> range = {},
                                            const KeepGoing& keepGoing = {});

} // namespace bslate::io
