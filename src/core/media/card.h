#pragma once

#include "core/base/extra_keys.h"
#include "core/quantity/quantities.h"

#include <optional>
#include <span>
#include <string>
#include <string_view>
#include <vector>

/// Cards, slots and batteries, and what they guarantee.
namespace bslate {

/// A shape of card with its bus; a card fits a slot of the same form.
enum class CardForm { Sd, CfExpressA, CfExpressB, CfExpressC, CFast };

/// `SD`, `CFexpress B` ...: as the associations spell them.
[[nodiscard]] std::string_view nameOf(CardForm form);

/// A guaranteed sustained writing class.
struct SpeedClass {
    std::string_view name; ///< "V60", "VPG400", "U3", "C10"
    DataRate guaranteed;
    DataRate leastBus{0}; ///< the bus ceiling the class is defined from on; 0: any
};

/// SD Association physical layer specification (Speed, UHS and Video Speed Class) and CompactFlash
/// Association VPG profiles (800 and 1600 from memory). V60 and V90 are tied to UHS-II and faster
/// buses (SD Association, bus interfaces and speed classes, from memory).
[[nodiscard]] std::span<const SpeedClass> speedClasses();
/// By its name in any case: `V60`, `v60`, `Class 10`, `C10`, `UHS Class 3`, `vpg 400`.
[[nodiscard]] std::optional<SpeedClass> findSpeedClass(std::string_view name);

/// A bus and its ceiling, for example "UHS-II", 312 MB/s.
struct Bus {
    std::string_view name;
    CardForm form;
    DataRate ceiling;
};
[[nodiscard]] std::span<const Bus> buses();
[[nodiscard]] std::optional<Bus> findBus(std::string_view name);

/// Cards of one kind the user owns.
struct MemoryCard {
    std::string id;
    std::string name;
    CardForm form = CardForm::Sd;
    DataSize capacity{64e9};
    std::string speedClass = "V30"; ///< a name of speedClasses()
    std::string bus = "UHS-I";      ///< a name of buses()
    double usable = 1.0;            ///< share left after formatting and reserve, (0, 1]
    std::optional<DataRate> read;   ///< sustained reading, when known
    int count = 1;
    ExtraKeys extra;
    friend bool operator==(const MemoryCard&, const MemoryCard&) = default;
};

/// A slot of a camera.
struct Slot {
    std::string id;
    std::string name;
    CardForm form = CardForm::Sd;
    std::string bus = "UHS-I";
    std::optional<DataRate> most; ///< the body writes no more here, and lowers the bit rate unasked
    ExtraKeys extra;
    friend bool operator==(const Slot&, const Slot&) = default;
};

[[nodiscard]] inline bool fits(const MemoryCard& card, const Slot& slot) {
    return card.form == slot.form;
}

/// What the card guarantees in this slot: its class, no more than either bus. A class that is not
/// defined for the slower of the buses is not known to hold there: kAssumedBelowClass is all that
/// is counted on. Zero when the card does not fit or names an unknown class or bus.
[[nodiscard]] DataRate guaranteedIn(const MemoryCard& card, const Slot& slot);
/// True when the card's class says nothing about writing through this slot's bus.
[[nodiscard]] bool isClassUnknownIn(const MemoryCard& card, const Slot& slot);
/// Cards of V60 and V90 carry U3 or V30 beside it, which hold on UHS-I: common practice, no source.
inline constexpr DataRate kAssumedBelowClass{30 * 8e6};

struct Battery {
    std::string id;
    std::string name;
    WattHours energy{50}; ///< as printed on it
    double usable = 1.0;  ///< share until the camera switches off, (0, 1]
    double health = 1.0;  ///< share of its energy that age has left, (0, 1]
    int count = 1;
    ExtraKeys extra;
    friend bool operator==(const Battery&, const Battery&) = default;
};

} // namespace bslate
