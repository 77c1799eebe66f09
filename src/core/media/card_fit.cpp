#include "core/media/card_fit.h"

#include "core/base/enumerated.h"

#include <algorithm>
#include <cmath>

namespace bslate {

CardFit cardFit(DataRate peak, DataRate guaranteed) {
    // A hair over, from the arithmetic of peak factors, is not over.
    const double room = guaranteed.value() * (1 + 1e-9);
    if (peak.value() <= kComfortable * room)
        return CardFit::Fits;
    return peak.value() <= room ? CardFit::Marginal : CardFit::Drops;
}

std::string_view nameOf(CardFit fit) {
    constexpr ByEnum<CardFit, std::string_view> kNames{"fits", "marginal", "drops"};
    return kNames[fit];
}

FileSplit filesOf(Seconds length, DataRate rate, DataSize segment, Seconds clipLimit) {
    Seconds each = length;
    if (segment.value() > 0)
        each = std::min(each, Seconds(segment.value() * 8 / rate.value()));
    if (clipLimit.value() > 0)
        each = std::min(each, clipLimit);
    return {static_cast<int>(std::ceil(length.value() / each.value() - 1e-9)), each};
}

} // namespace bslate
