#pragma once

#include "core/base/find_by_id.h"

#include <string>

namespace bslate {

/// The first free id of the form prefix-n.
template<class Items>
[[nodiscard]] std::string freshId(const Items& items, const std::string& prefix) {
    for (std::size_t n = items.size() + 1;; ++n) {
        std::string id = prefix + "-" + std::to_string(n);
        if (!findById(items, id))
            return id;
    }
}

/// `wanted`, or with the first number behind it for which `taken(id)` is false.
template<class Taken>
[[nodiscard]] std::string freeIdIn(const std::string& wanted, Taken taken) {
    std::string id = wanted;
    for (int n = 2; taken(id); ++n)
        id = wanted + "-" + std::to_string(n);
    return id;
}
template<class Items>
[[nodiscard]] std::string freeId(const Items& items, const std::string& wanted) {
    return freeIdIn(wanted, [&](const std::string& id) { return findById(items, id) != nullptr; });
}

} // namespace bslate
