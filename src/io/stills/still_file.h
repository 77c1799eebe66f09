#pragma once

#include "core/base/keep_going.h"
#include "core/base/result.h"
#include "io/wire/still.h"

#include <filesystem>

/// Stills of others, and pictures of our own as files. Read, by their content and not by their
/// names: PNG, JPEG, TIFF, DPX, OpenEXR, JPEG 2000, WebP, PGM, PPM, HEIF and camera raw. They are
/// opened and put together in a helper process, which opens nothing that a file names.
namespace bslate::io {

/// Grey becomes three equal channels, alpha is left out; what is cut off or half copied is refused.
/// Fails with FileUnreadable, and with
/// WrongFormat for what is no picture of one to four channels of grey or RGB, is empty, too large,
/// or holds no numbers.
[[nodiscard]] Result<Still> readStill(const std::filesystem::path& path,
                                      const KeepGoing& keepGoing = {});

/// A picture of values 0 to 1 as 16-bit PNG or TIFF, or 8-bit JPEG; as numbers in EXR. By the
/// name's ending. Over another file only with `force`.
[[nodiscard]] Outcome writePicture(const Image& picture, const std::filesystem::path& path,
                                   bool force);

} // namespace bslate::io
