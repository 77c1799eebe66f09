#pragma once

#include "core/media/card.h"

#include <vector>

/// From card to drives: what is fastest possible, and what a check of the copies costs.
namespace bslate {

struct CardReader {
    std::string id;
    std::string name;
    std::vector<CardForm> forms; ///< it takes one card of any of these at a time
    DataRate bus{5e9};           ///< to the computer, > 0
    int count = 1;
    ExtraKeys extra;
    friend bool operator==(const CardReader&, const CardReader&) = default;
};

struct Drive {
    std::string id;
    std::string name;
    DataSize capacity{2e12};
    DataRate write{3.2e9}; ///< sustained, > 0
    DataRate read{3.2e9};  ///< sustained, > 0
    int count = 1;
    ExtraKeys extra;
    friend bool operator==(const Drive&, const Drive&) = default;
};

[[nodiscard]] bool takes(const CardReader& reader, CardForm form);

/// What is read from the card when the kit says so; else its guaranteed writing class, which it
/// certainly reads at, and never more than its bus.
[[nodiscard]] DataRate readRate(const MemoryCard& card);

/// Copies of one card made at once, each verified by reading it back.
struct OffloadSpeed {
    DataRate copy{0};   ///< min(card read, reader bus, every drive's write); 0: impossible
    DataRate verify{0}; ///< the slowest drive's read
};
[[nodiscard]] OffloadSpeed offloadSpeed(const MemoryCard& card, const CardReader& reader,
                                        const std::vector<Drive>& drives);

/// `bytes * 8 / copy + bytes * 8 / verify`; infinite when it is impossible.
[[nodiscard]] Seconds offloadTime(DataSize bytes, const OffloadSpeed& speed);

} // namespace bslate
