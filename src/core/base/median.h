#pragma once

#include <algorithm>
#include <cstddef>
#include <vector>

namespace bslate {

/// The middle one of values that can be ordered, of two the larger; T{} of none.
template<class T>
[[nodiscard]] T medianOf(std::vector<T> values) {
    if (values.empty())
        return T{};
    const auto middle = values.begin() + static_cast<std::ptrdiff_t>(values.size() / 2);
    std::nth_element(values.begin(), middle, values.end());
    return *middle;
}

} // namespace bslate
