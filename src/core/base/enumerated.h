#pragma once

#include <array>
#include <cstddef>
#include <string_view>
#include <utility>

/// Enumerations whose values count up from 0, and tables with one entry a value: a value that is
/// added and forgotten in a table does not compile.
namespace bslate {

/// Whether a value is an enumerator of its type: GCC and Clang both print one that is not as a
/// cast, "(Place)7".
template<auto V>
[[nodiscard]] constexpr bool isEnumerator() {
    constexpr std::string_view kSignature = __PRETTY_FUNCTION__;
    return kSignature[kSignature.find("V = ") + 4] != '(';
}

/// How many values an enumeration has, counted from 0 up to the first gap.
template<class E, std::size_t From = 0>
[[nodiscard]] constexpr std::size_t countOf() {
    if constexpr (isEnumerator<static_cast<E>(From)>())
        return countOf<E, From + 1>();
    else
        return From;
}

template<class E>
[[nodiscard]] constexpr std::size_t indexOf(E value) {
    return static_cast<std::size_t>(value);
}

namespace detail {
template<class E, std::size_t... I>
[[nodiscard]] constexpr std::array<E, sizeof...(I)> valuesOf(std::index_sequence<I...>) {
    return {static_cast<E>(I)...};
}
} // namespace detail

/// All values, in their order.
template<class E>
inline constexpr auto kAllOf = detail::valuesOf<E>(std::make_index_sequence<countOf<E>()>());

/// The value so many places on, around the end.
template<class E>
[[nodiscard]] constexpr E nextOf(E value, int by = 1) {
    const int count = static_cast<int>(countOf<E>());
    return static_cast<E>(((static_cast<int>(value) + by) % count + count) % count);
}

/// An entry for each value of an enumeration.
template<class E, class V>
class ByEnum {
public:
    constexpr ByEnum() = default;
    /// One for each value, in their order.
    template<class... Values>
    requires(sizeof...(Values) == countOf<E>() &&
             sizeof...(Values) > 1) constexpr ByEnum(Values&&... values)
        : m_values{V(std::forward<Values>(values))...} {}

    [[nodiscard]] constexpr V& operator[](E value) { return m_values[indexOf(value)]; }
    [[nodiscard]] constexpr const V& operator[](E value) const { return m_values[indexOf(value)]; }
    [[nodiscard]] constexpr auto begin() { return m_values.begin(); }
    [[nodiscard]] constexpr auto end() { return m_values.end(); }
    [[nodiscard]] constexpr auto begin() const { return m_values.begin(); }
    [[nodiscard]] constexpr auto end() const { return m_values.end(); }
    [[nodiscard]] static constexpr std::size_t size() { return countOf<E>(); }
    friend constexpr bool operator==(const ByEnum&, const ByEnum&) = default;

private:
    std::array<V, countOf<E>()> m_values{};
};

/// A value of an enumeration beside what stands for it, for tables that are read value by value.
template<class E, class V>
struct EnumEntry {
    E key;
    V value;
};

/// A table written as pairs: every value once, in the order of the enumeration.
template<class V, class E, std::size_t N>
[[nodiscard]] consteval ByEnum<E, V> tableOf(const EnumEntry<E, V> (&entries)[N]) {
    static_assert(N == countOf<E>(), "an entry for every value");
    ByEnum<E, V> table;
    for (std::size_t i = 0; i < N; ++i) {
        if (indexOf(entries[i].key) != i)
            throw "entries stand in the order of the enumeration";
        table[entries[i].key] = entries[i].value;
    }
    return table;
}

} // namespace bslate
