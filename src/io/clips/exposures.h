#pragma once

#include "core/base/keep_going.h"
#include "core/clip/region_series.h"
#include "core/frame/image.h"
#include "io/wire/still.h"

#include <filesystem>
#include <optional>
#include <span>

/// An exposure series as it was shot: clips, stills, or one clip in which it was stepped.
namespace bslate::io {

/// What was read of a place in all files, one behind the other, and the exposures that were held.
struct ReadExposures {
    CodeRange range = CodeRange::Legal;
    std::vector<RegionFrame> frames;
    std::vector<Plateau> plateaus; ///< of several files one each, its longest; a still is one
};

/// Signals are of `range`, or of the first clip's own; stills without it are of the full range.
/// Fails as readRegion(), readStill() and stillFrame() do, naming the file.
[[nodiscard]] Result<ReadExposures> readExposures(std::span<const std::filesystem::path> files,
                                                  const PictureArea& card,
                                                  std::optional<CodeRange> range = {},
                                                  const KeepGoing& keepGoing = {});

/// A clip's middle or a still, to be looked at. Fails as readClipPicture() and readStill() do.
[[nodiscard]] Result<Still> readFootagePicture(const std::filesystem::path& path,
                                               const KeepGoing& keepGoing = {});

} // namespace bslate::io
