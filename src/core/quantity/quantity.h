#pragma once

#include <compare>

namespace bslate {

/// One number with a meaning. The tag decides what may be done with it:
/// `additive` quantities add, subtract and scale; the others only compare and are read out
/// with value(). Nothing converts implicitly, so a stop cannot be added to an f-number and a
/// lux cannot be passed where cd/m2 is asked for (tests/compile_fail proves it).
template<class Tag>
class Quantity {
public:
    constexpr Quantity() = default;
    explicit constexpr Quantity(double value)
        : m_value(value) {}

    /// The number in the tag's unit.
    [[nodiscard]] constexpr double value() const { return m_value; }

    friend constexpr bool operator==(Quantity, Quantity) = default;
    friend constexpr std::partial_ordering operator<=>(Quantity, Quantity) = default;

    friend constexpr Quantity operator+(Quantity a, Quantity b) requires Tag::additive {
        return Quantity(a.m_value + b.m_value);
    }
    friend constexpr Quantity operator-(Quantity a, Quantity b) requires Tag::additive {
        return Quantity(a.m_value - b.m_value);
    }
    friend constexpr Quantity operator-(Quantity a) requires Tag::additive {
        return Quantity(-a.m_value);
    }
    friend constexpr Quantity operator*(Quantity a, double factor) requires Tag::additive {
        return Quantity(a.m_value * factor);
    }
    friend constexpr Quantity operator*(double factor, Quantity a) requires Tag::additive {
        return a * factor;
    }
    constexpr Quantity& operator+=(Quantity other) requires Tag::additive {
        return *this = *this + other;
    }
    constexpr Quantity& operator-=(Quantity other) requires Tag::additive {
        return *this = *this - other;
    }

private:
    double m_value = 0.0;
};

} // namespace bslate
