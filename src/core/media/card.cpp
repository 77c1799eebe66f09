#include "core/media/card.h"

#include "core/base/enumerated.h"

#include <algorithm>
#include <array>
#include <string>

namespace bslate {
namespace {

constexpr DataRate megabytes(double perSecond) {
    return DataRate(perSecond * 8e6);
}

constexpr std::array kClasses = {
    SpeedClass{"C2", megabytes(2)},
    SpeedClass{"C4", megabytes(4)},
    SpeedClass{"C6", megabytes(6)},
    SpeedClass{"C10", megabytes(10)},
    SpeedClass{"U1", megabytes(10)},
    SpeedClass{"U3", megabytes(30)},
    SpeedClass{"V6", megabytes(6)},
    SpeedClass{"V10", megabytes(10)},
    SpeedClass{"V30", megabytes(30)},
    SpeedClass{"V60", megabytes(60), megabytes(312)},
    SpeedClass{"V90", megabytes(90), megabytes(312)},
    SpeedClass{"VPG20", megabytes(20)},
    SpeedClass{"VPG65", megabytes(65)},
    SpeedClass{"VPG130", megabytes(130)},
    SpeedClass{"VPG200", megabytes(200)},
    SpeedClass{"VPG400", megabytes(400)},
    SpeedClass{"VPG800", megabytes(800)},
    SpeedClass{"VPG1600", megabytes(1600)},
};

constexpr std::array kBuses = {
    Bus{"UHS-I", CardForm::Sd, megabytes(104)},
    Bus{"UHS-II", CardForm::Sd, megabytes(312)},
    Bus{"UHS-III", CardForm::Sd, megabytes(624)},
    Bus{"CFast 2", CardForm::CFast, megabytes(600)},
    Bus{"CFexpress A", CardForm::CfExpressA, megabytes(1000)},
    Bus{"CFexpress B", CardForm::CfExpressB, megabytes(2000)},
    Bus{"CFexpress C", CardForm::CfExpressC, megabytes(4000)},
};

template<class List>
auto named(const List& list, std::string_view name) -> std::optional<typename List::value_type> {
    const auto found =
        std::find_if(list.begin(), list.end(), [&](const auto& item) { return item.name == name; });
    if (found == list.end())
        return std::nullopt;
    return *found;
}

} // namespace

std::string_view nameOf(CardForm form) {
    constexpr ByEnum<CardForm, std::string_view> names{"SD", "CFexpress A", "CFexpress B",
                                                       "CFexpress C", "CFast"};
    return names[form];
}

std::span<const SpeedClass> speedClasses() {
    return kClasses;
}
std::optional<SpeedClass> findSpeedClass(std::string_view name) {
    if (const auto asWritten = named(kClasses, name))
        return asWritten;
    std::string key;
    for (const char c : name)
        if (c != ' ' && c != '-')
            key += c >= 'a' && c <= 'z' ? static_cast<char>(c - 'a' + 'A') : c;
    const auto shortened = [&](std::string_view from, std::string_view to) {
        if (key.starts_with(from) && key.size() > from.size())
            key = std::string(to) + key.substr(from.size());
    };
    shortened("UHSSPEEDCLASS", "U");
    shortened("UHSCLASS", "U");
    shortened("VIDEOSPEEDCLASS", "V");
    shortened("SPEEDCLASS", "C");
    shortened("CLASS", "C");
    return named(kClasses, key);
}
std::span<const Bus> buses() {
    return kBuses;
}
std::optional<Bus> findBus(std::string_view name) {
    return named(kBuses, name);
}

namespace {

// The slower of the two buses; none when one is unknown or the card does not fit.
std::optional<DataRate> busBetween(const MemoryCard& card, const Slot& slot) {
    if (!fits(card, slot))
        return std::nullopt;
    const auto own = findBus(card.bus);
    const auto host = own ? findBus(slot.bus) : std::nullopt;
    if (!host)
        return std::nullopt;
    return std::min(own->ceiling, host->ceiling);
}

} // namespace

DataRate guaranteedIn(const MemoryCard& card, const Slot& slot) {
    const auto bus = busBetween(card, slot);
    const auto speed = bus ? findSpeedClass(card.speedClass) : std::nullopt;
    if (!speed)
        return DataRate(0);
    const DataRate held = *bus < speed->leastBus ? std::min(speed->guaranteed, kAssumedBelowClass)
                                                 : speed->guaranteed;
    return std::min(held, *bus);
}

bool isClassUnknownIn(const MemoryCard& card, const Slot& slot) {
    const auto bus = busBetween(card, slot);
    const auto speed = bus ? findSpeedClass(card.speedClass) : std::nullopt;
    return speed && *bus < speed->leastBus;
}

} // namespace bslate
