#include "core/kit/kit.h"

#include "core/base/find_by_id.h"
#include "core/quantity/parse.h"

#include <algorithm>

namespace bslate {

BSLATE_COMPILED_HERE(Kit);

const Camera* findCamera(const Kit& kit, std::string_view id) {
    return findById(kit.cameras, id);
}
const Profile* findProfile(const Kit& kit, std::string_view id) {
    return findById(kit.profiles, id);
}
const Lens* findLens(const Kit& kit, std::string_view id) {
    return findById(kit.lenses, id);
}
const Recipe* findRecipe(const Kit& kit, std::string_view id) {
    return findById(kit.recipes, id);
}

const Gel* findGel(const Kit& kit, std::string_view id) {
    return findById(kit.gels, id);
}

const MemoryCard* findCard(const Kit& kit, std::string_view id) {
    return findById(kit.cards, id);
}

FNumber fNumberOf(const Lens& lens, TStop iris) {
    if (!lens.wideF)
        return FNumber(iris.value());
    return FNumber(iris.value() * lens.wideF->value() / lens.widest.value());
}

std::optional<TStop> tStopOf(const Lens& lens, FNumber iris) {
    if (!lens.wideF)
        return std::nullopt;
    return TStop(iris.value() * lens.widest.value() / lens.wideF->value());
}

Result<TStop> irisOn(const Lens* lens, std::string_view text) {
    auto typed = parseTStop(text);
    if (typed || !lens)
        return typed;
    const auto geometric = parseFNumber(text);
    const auto iris = geometric ? tStopOf(*lens, *geometric) : std::nullopt;
    return iris ? Result<TStop>(*iris) : typed;
}

std::vector<Filter> filtersFor(const Kit& kit, const Camera& camera) {
    std::vector<Filter> filters = camera.builtInNd;
    filters.insert(filters.end(), kit.filters.begin(), kit.filters.end());
    return filters;
}

CardChoice bestCard(const Kit& kit, const Camera& camera, const RecordingMode& mode,
                    DataRate wanted) {
    CardChoice best;
    const auto better = [&](const MemoryCard& card, DataRate speed) {
        if (!best.card)
            return true;
        const bool holds = speed >= wanted;
        const bool held = best.guaranteed >= wanted;
        if (holds != held)
            return holds;
        if (!holds)
            return speed > best.guaranteed;
        return card.capacity.value() * card.usable >
               best.card->capacity.value() * best.card->usable;
    };
    for (const auto& slot : camera.cardSlots) {
        if (!mode.slotIds.empty() &&
            std::find(mode.slotIds.begin(), mode.slotIds.end(), slot.id) == mode.slotIds.end())
            continue;
        for (const auto& card : kit.cards) {
            const auto speed = guaranteedIn(card, slot);
            if (card.count > 0 && speed.value() > 0 && better(card, speed))
                best = {&card, &slot, speed};
        }
    }
    return best;
}

} // namespace bslate
