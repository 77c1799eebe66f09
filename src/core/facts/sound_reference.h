#pragma once

#include "core/quantity/quantities.h"

#include <string_view>

namespace bslate {

/// Where speech and test tones stand below digital full scale. EBU R 68: alignment at -18 dBFS,
/// peaks permitted to -9 dBFS. SMPTE RP 155: reference at -20 dBFS; that peaks stay under -10 there
/// is common practice, no source.
struct SoundReference {
    int tone = -20, peaks = -10; ///< dBFS
    std::string_view source;
};

/// EBU in countries with 50 Hz mains, SMPTE with 60 Hz.
[[nodiscard]] inline SoundReference soundReferenceFor(Hertz mains) {
    if (mains < Hertz(55))
        return {-18, -9, "EBU R 68"};
    return {-20, -10, "SMPTE RP 155"};
}

} // namespace bslate
