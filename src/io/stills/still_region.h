#pragma once

#include "core/clip/region_series.h"
#include "core/frame/image.h"
#include "io/wire/still.h"

#include <filesystem>

/// Stills that were exported of an exposure series, one exposure each.
namespace bslate::io {

/// By its name: a kind of still that is read, and no clip.
[[nodiscard]] bool isStillName(const std::filesystem::path& path);

/// Means over a place of a still's codes, as signals of this range; its noise is the standard
/// deviation of a pixel there, so the place must be even. Fails with WrongFormat for light as
/// numbers, which has no codes.
[[nodiscard]] Result<RegionFrame> stillFrame(const Still& still, const PictureArea& area,
                                             CodeRange range);

/// A still to be looked at: 8 bits as recorded, at most this wide; light as numbers as sRGB shows
/// it.
[[nodiscard]] Still previewOf(const Still& still, int widest);

} // namespace bslate::io
