#pragma once

#include "core/base/random.h"
#include "core/media/write_simulation.h"
#include "core/quantity/byte_count.h"

#include <cstddef>
#include <functional>
#include <span>

/// Something that is written to, timed by its own clock: a real card in a folder, or a simulated
/// one that behaves the same behind the same interface.
namespace bslate {

class CardDevice {
public:
    virtual ~CardDevice() = default;
    /// Writes a block and gives how long that took. Fails when it is full or the disk refuses.
    [[nodiscard]] virtual Result<Seconds> write(std::span<const std::byte> block) = 0;
};

/// A card that takes its sustained time for every byte and a pause now and then, and counts them on
/// a clock of its own; the same seed gives the same pauses. What it was given, it keeps as a
/// checksum (FNV-1a, 64 bits).
class SimulatedCard : public CardDevice {
public:
    SimulatedCard(const CardBehaviour& behaviour, ByteCount capacity, std::uint64_t seed);

    [[nodiscard]] Result<Seconds> write(std::span<const std::byte> block) override;
    [[nodiscard]] Seconds clock() const { return m_clock; }
    [[nodiscard]] ByteCount written() const { return m_written; }
    [[nodiscard]] std::uint64_t checksum() const { return m_checksum; }

private:
    CardBehaviour m_behaviour;
    ByteCount m_capacity;
    Random m_wear;
    Seconds m_clock{0};
    Seconds m_nextStall; ///< of busy time
    Seconds m_busy{0};
    ByteCount m_written;
    std::uint64_t m_checksum = 0xcbf29ce484222325u;
};

/// FNV-1a of bytes, continued from `from`.
[[nodiscard]] std::uint64_t checksumOf(std::span<const std::byte> bytes,
                                       std::uint64_t from = 0xcbf29ce484222325u);

struct CardBench {
    ByteCount written;
    Seconds time{0};
    DataRate sustained{0};
    DataRate worst{0};  ///< of the slowest block
    Seconds slowest{0}; ///< how long that took
    int blocks = 0;
};

/// Writes `total` in blocks and times each. Stops at the first failure. `keepGoing` is asked before
/// each block; when it says no, what was measured by then is given. OutOfRange for nothing to
/// write. Precondition: block at most 256 MB.
[[nodiscard]] Result<CardBench> benchCard(CardDevice& device, ByteCount total, ByteCount block,
                                          const std::function<bool(double done)>& keepGoing = {});

} // namespace bslate
