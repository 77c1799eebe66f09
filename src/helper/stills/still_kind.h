#pragma once

#include "core/base/error.h"

#include <optional>
#include <string>
#include <string_view>

/// What a still is, by its first bytes and its own headers; the name of its file says nothing here.
namespace bslate::helper {

/// Other: perhaps what a camera's sensor gathered.
enum class StillKind { Png, Jpeg, Tiff, Dpx, Exr, Jpeg2000, WebP, Pnm, Heif, Other };

[[nodiscard]] StillKind kindOf(std::string_view bytes);

/// What can be seen to be wrong with it before a decoder has it: no end where its format puts one
/// (JPEG: ITU-T T.81 B.1, EOI; JPEG 2000: ITU-T T.800 A.4, EOC; WebP: the length of its RIFF),
/// inks, more channels than colours.
[[nodiscard]] std::optional<Error> problemWithContent(StillKind kind, std::string_view bytes);

/// The layer of an OpenEXR whose channels are red, green and blue, or grey: empty where they have
/// no prefix. Fails with WrongFormat where there is none. Layout: OpenEXR file layout, "Header
/// attributes".
[[nodiscard]] std::optional<std::string> colourLayer(std::string_view exr);

/// Names of an OpenEXR's channels, in their order; empty for what is none.
[[nodiscard]] std::string channelNames(std::string_view exr);

} // namespace bslate::helper
