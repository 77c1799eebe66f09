#include "core/media/offload.h"

#include <algorithm>
#include <limits>

namespace bslate {

bool takes(const CardReader& reader, CardForm form) {
    return std::find(reader.forms.begin(), reader.forms.end(), form) != reader.forms.end();
}

DataRate readRate(const MemoryCard& card) {
    const auto bus = findBus(card.bus);
    const auto speed = findSpeedClass(card.speedClass);
    const DataRate ceiling = bus ? bus->ceiling : DataRate(0);
    const DataRate least = speed ? speed->guaranteed : DataRate(0);
    return std::min(ceiling, card.read.value_or(least));
}

OffloadSpeed offloadSpeed(const MemoryCard& card, const CardReader& reader,
                          const std::vector<Drive>& drives) {
    if (!takes(reader, card.form) || drives.empty())
        return {};
    OffloadSpeed speed{std::min(readRate(card), reader.bus), drives.front().read};
    for (const auto& drive : drives) {
        speed.copy = std::min(speed.copy, drive.write);
        speed.verify = std::min(speed.verify, drive.read);
    }
    return speed;
}

Seconds offloadTime(DataSize bytes, const OffloadSpeed& speed) {
    if (!(speed.copy.value() > 0) || !(speed.verify.value() > 0))
        return Seconds(std::numeric_limits<double>::infinity());
    return Seconds(bytes.value() * 8 * (1 / speed.copy.value() + 1 / speed.verify.value()));
}

} // namespace bslate
