#pragma once

#include <array>
#include <span>
#include <string_view>

namespace bslate {

/// A name that stands in files, on command lines and in lists for a value. A table holds every
/// value of its enumeration.
template<class E>
struct NamedValue {
    std::string_view name;
    E value;
    std::string_view words = {}; ///< on sheets; empty: the name
};

template<class E>
[[nodiscard]] constexpr std::string_view wordsOf(const NamedValue<E>& entry) {
    return entry.words.empty() ? entry.name : entry.words;
}

template<class E>
[[nodiscard]] constexpr std::string_view nameIn(std::span<const NamedValue<E>> names, E value) {
    for (const auto& entry : names)
        if (entry.value == value)
            return entry.name;
    return {};
}

template<class E>
[[nodiscard]] constexpr std::string_view wordsIn(std::span<const NamedValue<E>> names, E value) {
    for (const auto& entry : names)
        if (entry.value == value)
            return wordsOf(entry);
    return {};
}

/// Null when no value has that name.
template<class E>
[[nodiscard]] constexpr const E* valueIn(std::span<const NamedValue<E>> names,
                                         std::string_view name) {
    for (const auto& entry : names)
        if (entry.name == name)
            return &entry.value;
    return nullptr;
}

} // namespace bslate
