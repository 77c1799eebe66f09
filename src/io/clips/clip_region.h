#pragma once

#include "core/base/keep_going.h"
#include "core/base/result.h"
#include "core/clip/picture_check.h"
#include "core/clip/region_series.h"
#include "core/frame/image.h"
#include "io/wire/still.h"

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
    ChannelCounts counts; ///< of some of them
    bool whole = true;    ///< the clip has no more frames
};

/// What is read of a clip in one pass.
struct RegionWish {
    std::vector<PictureArea> areas; ///< 1 to 16
    std::size_t frames = 5000;      ///< the first ones, no more than 5000
    bool strips = false;            ///< for bands: rows from the top down as well
    std::optional<CodeRange> range; ///< none: as the clip is tagged
};
/// One for each place, in their order. Fails as readRegion() does.
[[nodiscard]] Result<std::vector<ReadRegion>> readRegions(const std::filesystem::path& path,
                                                          const RegionWish& wish,
                                                          const KeepGoing& keepGoing = {});

/// What the check of a clip's pictures looks at: all of the picture with strips, and the places of
/// patches; of a long clip its first 240 frames. Fails as readRegion() does.
[[nodiscard]] Result<SeenPictures> readPictures(const std::filesystem::path& path,
                                                const PictureWish& wish,
                                                const KeepGoing& keepGoing = {});

/// A place of a clip's pictures over time, through the helper; of a long clip its first 5000.
/// Signals are those of the clip's own range, or of `range` where the caller knows better. Fails as
/// readClip() does, and with WrongFormat for pictures that are not luma and colour differences.
[[nodiscard]] Result<ReadRegion> readRegion(const std::filesystem::path& path,
                                            const PictureArea& area,
                                            std::optional<CodeRange> range = {},
                                            const KeepGoing& keepGoing = {});

} // namespace bslate::io
