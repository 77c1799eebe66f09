#pragma once

#include "core/quantity/quantities.h"

#include <compare>
#include <cstdint>

namespace bslate {

/// Whole bytes that are really read or written; DataSize is what people plan with.
struct ByteCount {
    std::uint64_t value = 0;
    friend auto operator<=>(ByteCount, ByteCount) = default;
    friend ByteCount operator+(ByteCount a, ByteCount b) { return {a.value + b.value}; }
};

/// The whole bytes of a size; 0 below one byte. Precondition: finite and under 2^63.
[[nodiscard]] inline ByteCount wholeBytes(DataSize size) {
    return {size.value() >= 1 ? static_cast<std::uint64_t>(size.value()) : 0};
}
[[nodiscard]] inline DataSize sizeOf(ByteCount bytes) {
    return DataSize(static_cast<double>(bytes.value));
}

} // namespace bslate
