#pragma once

#include "core/base/result.h"
#include "io/colour/ocio.h"

#include <filesystem>
#include <map>
#include <string>
#include <vector>

/// Colour configurations (`.ocio`) somebody else wrote. Private to io.
namespace bslate::io {

inline constexpr std::uintmax_t kLargestConfig = 8u * 1024u * 1024u;

/// A configuration without what names files it may not (see filesBehind).
struct ColourConfig {
    OCIO::ConfigRcPtr config;
    std::vector<std::string> spaces;      ///< the active ones, in its order, those taken out too
    std::map<std::string, Error> refused; ///< colour spaces taken out, and why
};

/// Parses it; none of the files it names is opened by the library. Fails with the file's name.
[[nodiscard]] Result<ColourConfig> openConfig(const std::filesystem::path& path);

struct ConfigTransform {
    OCIO::ConstTransformRcPtr transform;
    std::vector<std::filesystem::path> files; ///< that were read for it, besides the configuration
};

/// From a colour space to the space configurations exchange light in. Fails with UnknownId and the
/// spaces there are, or with why the space was taken out.
[[nodiscard]] Result<ConfigTransform> transformFrom(const ColourConfig& opened,
                                                    const std::string& colourSpace);

} // namespace bslate::io
