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
