#pragma once

#include "core/frame/ycbcr.h"

#include <string>

namespace bslate::io {

/// A frame's planes one after the other, as the encoder's helper takes them.
[[nodiscard]] inline std::string bytesOf(const YcbcrFrame& frame) {
    std::string bytes;
    for (const auto& plane : frame.plane)
        bytes.append(reinterpret_cast<const char*>(plane.data()),
                     plane.size() * sizeof(std::uint16_t));
    return bytes;
}

} // namespace bslate::io
