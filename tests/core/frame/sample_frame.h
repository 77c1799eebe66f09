#pragma once

#include "core/base/random.h"
#include "core/frame/instruments.h"

namespace bslate::sample {

/// Codes at random, with runs, blacks and the highest code among them.
inline CodeFrame randomFrame(PictureSize size, BitDepth depth, std::uint64_t seed) {
    CodeFrame frame{depth, CodeRange::Legal, Planes<std::uint16_t>(size)};
    Random random(seed);
    const auto top = (std::uint64_t{1} << depth.bits) - 1;
    for (auto& plane : frame.codes.plane)
        for (std::size_t i = 0; i < plane.size(); ++i) {
            const auto kind = random.next() % 8;
            plane[i] = kind == 0           ? static_cast<std::uint16_t>(top)
                       : kind == 1         ? std::uint16_t{0}
                       : kind < 4 && i > 0 ? plane[i - 1]
                                           : static_cast<std::uint16_t>(random.next() % (top + 1));
        }
    return frame;
}

} // namespace bslate::sample
