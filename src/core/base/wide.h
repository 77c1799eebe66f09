#pragma once

#include <cstdint>

/// Before a function with a loop: the compiler makes vectors of it, a version for wider registers
/// too, and the right one is picked when the program starts. A level of processors is named, since
/// a single one ("arch=haswell") would be picked on that one only.
#if defined(__GNUC__) && !defined(__clang__) && defined(__x86_64__)
#define BSLATE_WIDE __attribute__((target_clones("arch=x86-64-v3", "default"), optimize("O3")))
#else
#define BSLATE_WIDE
#endif

namespace bslate {

/// The nearest whole number of one that is not negative; halves go up. A call of std::lround would
/// keep a loop from becoming vectors.
[[nodiscard]] constexpr std::int32_t nearestWhole(float value) {
    const float over = value + 0.5f;
    return static_cast<std::int32_t>(over);
}

} // namespace bslate
