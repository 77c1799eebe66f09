#pragma once

#include "core/base/keep_going.h"
#include "io/wire/transform.h"

#include <filesystem>
#include <string>
#include <vector>

/// Colour transforms somebody else wrote, taken apart into what a profile is made of: the curve of
/// neutral light and the gamut. The files are read by OpenColorIO, which hides behind this header
/// and, for whatever comes from outside, in a process of its own under limits of memory and time
/// (helper_process.h): a file that breaks the library gives an error and nothing worse.
namespace bslate::io {

/// A `.cube`, `.spi1d`, `.spi3d`, `.clf` or `.ctf` file, or an OpenColorIO configuration (`.ocio`;
/// options.colourSpace says which). Fails with the file, the line where there is one, and what was
/// expected: unreadable, too large, a size over the limits, an entry that is not a finite number,
/// a 1D table that does not rise, a neutral axis that does not rise, a singular matrix, a file it
/// names that is no regular file beside or below it, over 2 GiB of memory or 20 s.
[[nodiscard]] Result<ImportedTransform> importTransform(const std::filesystem::path& path,
                                                        const ImportOptions& options = {},
                                                        const KeepGoing& keepGoing = {});

/// Colours through a LUT or transform file as it stands, whatever it does: for looking at what
/// somebody else will see. Fails as importTransform() does.
[[nodiscard]] Result<Colours> throughTransform(const std::filesystem::path& path,
                                               const Colours& colours,
                                               const KeepGoing& keepGoing = {});

/// The colour spaces of a configuration, in its order.
[[nodiscard]] Result<std::vector<std::string>> colourSpacesOf(const std::filesystem::path& path,
                                                              const KeepGoing& keepGoing = {});

/// What the installed library knows without any file, in its own order and words.
struct BuiltIn {
    std::size_t index = 0;
    std::string name;
    std::string about;
    bool camera = false; ///< it turns a recorded signal into light
};
[[nodiscard]] std::vector<BuiltIn> builtInTransforms();

/// Fails with OutOfRange for an index that is not there and for a transform that does not turn a
/// rising signal into light.
[[nodiscard]] Result<ImportedTransform> importBuiltIn(std::size_t index);

} // namespace bslate::io
