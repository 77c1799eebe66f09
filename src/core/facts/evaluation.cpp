#include "core/facts/evaluation.h"

#include <functional>

namespace bslate {

BSLATE_COMPILED_HERE(Evaluation);

Stops skinTone(PatchRole role) {
    switch (role) {
    case PatchRole::SkinLight:
        return Stops(1.0);
    case PatchRole::SkinMedium:
        return Stops(0.25);
    case PatchRole::SkinDark:
        return Stops(-0.25);
    default:
        return Stops(0.0);
    }
}

namespace {

template<class Better>
const PatchPlacement* extreme(const Evaluation& evaluation, Better better) {
    const PatchPlacement* found = nullptr;
    for (const bool spareToo : {false, true}) {
        for (const auto& patch : evaluation.patches)
            if ((spareToo || patch.role != PatchRole::Spare) &&
                (!found || better(patch.recorded, found->recorded)))
                found = &patch;
        if (found)
            return found;
    }
    return found;
}

} // namespace

const PatchPlacement* brightest(const Evaluation& evaluation) {
    return extreme(evaluation, std::greater<>());
}

const PatchPlacement* darkest(const Evaluation& evaluation) {
    return extreme(evaluation, std::less<>());
}

const PatchPlacement* skin(const Evaluation& evaluation) {
    for (const auto& patch : evaluation.patches)
        if (isSkin(patch.role))
            return &patch;
    return nullptr;
}

} // namespace bslate
