#pragma once

#include "core/base/error.h"
#include "helper/input/input_file.h"

#include <optional>

/// The lists of a clip before the media library builds them in memory.
namespace bslate::helper {

inline constexpr int kMostTracks = 128; ///< 64 channels of sound as tracks, and room

/// Why a clip of boxes (ISO/IEC 14496-12) is not opened: its tables tell of more samples than the
/// file has bytes, of more than kMostTracks tracks, or are packed themselves, so that a small file
/// costs gigabytes. Nothing for other containers, whose lists are as long as their bytes.
[[nodiscard]] std::optional<Error> problemWithLists(const InputFile& input);

} // namespace bslate::helper
