#include "core/shoot/scene.h"

#include "core/base/find_by_id.h"

#include <algorithm>

namespace bslate {

BSLATE_COMPILED_HERE(Scene);

const Patch* findPatch(const Scene& scene, std::string_view id) {
    return findById(scene.patches, id);
}
Patch* findPatch(Scene& scene, std::string_view id) {
    return findById(scene.patches, id);
}

std::optional<Overlit> overlit(const std::vector<Lamp>& lamps) {
    for (const auto& [share, what] :
         {std::pair(&Lamp::share, "subject"), std::pair(&Lamp::behind, "background")}) {
        double sum = 0;
        for (const auto& one : lamps)
            sum += (one.*share).value_or(Fraction(0)).value();
        if (sum > 1 + 1e-9)
            return Overlit{what, Fraction(sum)};
    }
    return std::nullopt;
}

std::string expectedInsteadOf(const Overlit& over) {
    return std::string("shares of the light on the ") + over.what +
           " that make no more than 100 % together";
}

const Patch* greyCard(const Scene& scene) {
    const auto found = std::find_if(scene.patches.begin(), scene.patches.end(),
                                    [](const Patch& p) { return p.role == PatchRole::Grey; });
    return found == scene.patches.end() ? nullptr : &*found;
}

bool isEstimated(const Scene& scene) {
    return !scene.patches.empty() && std::all_of(scene.patches.begin(), scene.patches.end(),
                                                 [](const Patch& p) { return p.estimated; });
}

} // namespace bslate
