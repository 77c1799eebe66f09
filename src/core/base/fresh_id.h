#pragma once

#include "core/base/find_by_id.h"

#include <string>

namespace bslate {

/// The first free id of the form prefix-n.
template<class Items>
[[nodiscard]] std::string freshId(const Items& items, const std::string& prefix) {
    for (std::size_t n = items.size() + 1;; ++n) {
        const std::string id = prefix + "-" + std::to_string(n);
        if (!findById(items, id))
            return id;
    }
}

} // namespace bslate
