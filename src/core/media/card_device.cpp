#include "core/media/card_device.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <vector>

namespace bslate {
namespace {

Seconds untilStall(const CardBehaviour& behaviour, Random& wear) {
    return Seconds(behaviour.stallsPerHour > 0 ? wear.exponential(3600 / behaviour.stallsPerHour)
                                               : std::numeric_limits<double>::infinity());
}

} // namespace

std::uint64_t checksumOf(std::span<const std::byte> bytes, std::uint64_t from) {
    for (const auto byte : bytes)
        from = (from ^ static_cast<std::uint64_t>(byte)) * 0x100000001b3u;
    return from;
}

SimulatedCard::SimulatedCard(const CardBehaviour& behaviour, ByteCount capacity, std::uint64_t seed)
    : m_behaviour(behaviour)
    , m_capacity(capacity)
    , m_wear(seed)
    , m_nextStall(untilStall(behaviour, m_wear)) {}

Result<Seconds> SimulatedCard::write(std::span<const std::byte> block) {
    const ByteCount size{block.size()};
    if (m_written + size > m_capacity)
        return Error{ErrorCode::FileUnwritable, {}, "simulated card", {}, "room for the block"};
    Seconds took(sizeOf(size).value() * 8 / m_behaviour.sustained.value());
    m_busy += took;
    while (m_busy > m_nextStall) {
        took += Seconds(m_behaviour.stallsVary ? m_wear.exponential(m_behaviour.stall.value())
                                               : m_behaviour.stall.value());
        m_nextStall += untilStall(m_behaviour, m_wear);
    }
    m_checksum = checksumOf(block, m_checksum);
    m_written = m_written + size;
    m_clock += took;
    return took;
}

Result<CardBench> benchCard(CardDevice& device, ByteCount total, ByteCount block,
                            const std::function<bool(double done)>& keepGoing) {
    if (total.value == 0 || block.value == 0)
        return Error{ErrorCode::OutOfRange, {}, {}, {}, "at least one byte to write"};
    // Bytes that no card makes smaller.
    std::vector<std::byte> bytes(block.value);
    Random noise(1);
    for (auto& byte : bytes)
        byte = static_cast<std::byte>(noise.next() >> 56);
    CardBench bench;
    bench.worst = DataRate(std::numeric_limits<double>::infinity());
    while (bench.written < total) {
        if (keepGoing && !keepGoing(sizeOf(bench.written).value() / sizeOf(total).value()))
            break;
        const auto size = std::min(block.value, total.value - bench.written.value);
        const auto took = device.write({bytes.data(), size});
        if (!took)
            return took.error();
        const double bits = static_cast<double>(size) * 8;
        bench.written.value += size;
        bench.time += *took;
        ++bench.blocks;
        const DataRate rate(took->value() > 0 ? bits / took->value()
                                              : std::numeric_limits<double>::infinity());
        // The last block may be too short to say anything.
        if (bench.blocks == 1 || (size == bytes.size() && rate < bench.worst)) {
            bench.worst = rate;
            bench.slowest = *took;
        }
    }
    if (bench.time.value() > 0)
        bench.sustained = DataRate(sizeOf(bench.written).value() * 8 / bench.time.value());
    return bench;
}

} // namespace bslate
