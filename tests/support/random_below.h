#pragma once

#include "core/base/random.h"

#include <cstddef>

namespace bslate {

/// A number from 0 to `most` - 1.
inline std::size_t below(Random& random, std::size_t most) {
    return static_cast<std::size_t>(random.next() % most);
}

} // namespace bslate
