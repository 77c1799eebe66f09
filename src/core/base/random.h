#pragma once

#include <cmath>
#include <cstdint>

namespace bslate {

/// A small generator whose numbers are the same on every machine and library (splitmix64).
class Random {
public:
    explicit constexpr Random(std::uint64_t seed)
        : m_state(seed) {}

    constexpr std::uint64_t next() {
        std::uint64_t z = (m_state += 0x9E3779B97F4A7C15u);
        z = (z ^ (z >> 30)) * 0xBF58476D1CE4E5B9u;
        z = (z ^ (z >> 27)) * 0x94D049BB133111EBu;
        return z ^ (z >> 31);
    }
    /// In (0, 1].
    constexpr double uniform() { return static_cast<double>((next() >> 11) + 1) * 0x1p-53; }
    /// With this mean.
    double exponential(double mean) { return -mean * std::log(uniform()); }
    /// Mean 0, standard deviation 1: the sum of four uniforms, which never leaves [-3.47, 3.47].
    double bell() {
        return (uniform() + uniform() + uniform() + uniform() - 2.0) * 1.7320508075688772;
    }
    /// bell() of one number of next(): the sum of four uniforms of 16 bits.
    static constexpr float quickBell(std::uint64_t z) {
        const auto low = static_cast<std::uint32_t>(z), high = static_cast<std::uint32_t>(z >> 32);
        const std::uint32_t sum = (low & 0xFFFF) + (low >> 16) + (high & 0xFFFF) + (high >> 16);
        return static_cast<float>(static_cast<std::int32_t>(sum) - 2 * 0xFFFF) *
               (1.7320508f / 65536);
    }

private:
    std::uint64_t m_state;
};

} // namespace bslate
