#pragma once

#include <cassert>
#include <compare>
#include <cstdint>
#include <numeric>

namespace bslate {

/// An exact positive fraction in lowest terms. Both parts lie in [1, 2^31); the caller checks
/// before constructing, since only parsed text can bring anything else.
class Rational {
public:
    constexpr Rational() = default;
    constexpr Rational(std::int64_t numerator, std::int64_t denominator) {
        assert(numerator > 0 && denominator > 0);
        const auto divisor = std::gcd(numerator, denominator);
        m_numerator = numerator / divisor;
        m_denominator = denominator / divisor;
        assert(m_numerator < (std::int64_t{1} << 31) && m_denominator < (std::int64_t{1} << 31));
    }

    [[nodiscard]] constexpr std::int64_t numerator() const { return m_numerator; }
    [[nodiscard]] constexpr std::int64_t denominator() const { return m_denominator; }
    [[nodiscard]] constexpr double toDouble() const {
        return static_cast<double>(m_numerator) / static_cast<double>(m_denominator);
    }

    friend constexpr bool operator==(Rational, Rational) = default;
    friend constexpr std::strong_ordering operator<=>(Rational a, Rational b) {
        return a.m_numerator * b.m_denominator <=> b.m_numerator * a.m_denominator;
    }

private:
    std::int64_t m_numerator = 1;
    std::int64_t m_denominator = 1;
};

} // namespace bslate
