#pragma once

#include <string_view>
#include <unordered_map>

namespace bslate {

/// The elements by their `id`, for many questions; of equal ids the first. It points into the
/// list, which must stay as it is. Constness follows the list.
template<class Items>
[[nodiscard]] auto indexById(Items& items) {
    std::unordered_map<std::string_view, decltype(&*items.begin())> index;
    index.reserve(items.size());
    for (auto& item : items)
        index.emplace(item.id, &item);
    return index;
}

/// What such an index has, or null.
template<class Index>
[[nodiscard]] typename Index::mapped_type findIn(const Index& index, std::string_view id) {
    const auto found = index.find(id);
    return found == index.end() ? nullptr : found->second;
}

} // namespace bslate
