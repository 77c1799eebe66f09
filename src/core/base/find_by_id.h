#pragma once

#include <algorithm>
#include <string_view>

namespace bslate {

/// The element whose `id` member equals `id`, or null. Constness follows the list.
template<class Items>
[[nodiscard]] auto* findById(Items& items, std::string_view id) {
    const auto found =
        std::find_if(items.begin(), items.end(), [&](const auto& item) { return item.id == id; });
    return found == items.end() ? nullptr : &*found;
}

} // namespace bslate
