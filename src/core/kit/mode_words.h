#pragma once

#include "core/kit/camera.h"
#include "core/kit/mode_print.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

/// What one line of a printed table says. Private to mode_table.
namespace bslate {

struct ModeWords {
    std::vector<FrameSize> sizes;         ///< that differ
    bool unknownSize = false;             ///< "6K": no size of pixels
    std::vector<CodecStandard> standards; ///< that differ
    std::optional<Gop> gop;
    std::vector<BitDepth> depths; ///< that differ
    std::optional<Chroma> chroma;
    std::vector<std::vector<FrameRate>> rates;         ///< groups, as they stand in lists
    std::vector<std::vector<PrintedBitRate>> bitRates; ///< likewise
    /// A list without a unit, as long as that of the rates: in Mb/s, or else in MB/s.
    std::vector<PrintedBitRate> bareNumbers;
    std::optional<std::pair<FrameRate, FrameRate>> span; ///< "23.98-29.97p": which of them?
    std::optional<Magnification> crop;
    bool mute = false, manualFocus = false;
    std::string name;  ///< in quotes
    std::string label; ///< of that, the words that may part this from another mode of its format
    std::string rest;  ///< what is none of these and carries something
};

/// Of a line of at most 500 signs; more are left in `rest`.
[[nodiscard]] ModeWords readModeWords(std::string_view line);

} // namespace bslate
