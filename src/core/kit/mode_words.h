#pragma once

#include "core/kit/camera.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

/// What one line of a printed table says. Private to mode_table.
namespace bslate {

struct ModeWords {
    std::optional<FrameSize> size;
    std::optional<Gop> gop;
    std::optional<BitDepth> depth;
    std::optional<Chroma> chroma;
    std::vector<std::vector<FrameRate>> rates; ///< groups, as they stand beside bit rates
    std::vector<DataRate> bitRates;
    std::optional<Magnification> crop;
    bool mute = false, manualFocus = false;
    std::string name; ///< in quotes
    std::string rest; ///< what is none of these
};

/// Of a line of at most 500 signs; more are left in `rest`.
[[nodiscard]] ModeWords readModeWords(std::string_view line);

} // namespace bslate
