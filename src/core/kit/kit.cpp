#include "core/kit/kit.h"

#include "core/base/find_by_id.h"

#include <algorithm>
#include <cmath>

namespace bslate {

const Camera* findCamera(const Kit& kit, std::string_view id) {
    return findById(kit.cameras, id);
}
const Profile* findProfile(const Kit& kit, std::string_view id) {
    return findById(kit.profiles, id);
}
const Lens* findLens(const Kit& kit, std::string_view id) {
    return findById(kit.lenses, id);
}
const RecordingMode* findMode(const Camera& camera, std::string_view id) {
    return findById(camera.modes, id);
}

std::vector<Filter> filtersFor(const Kit& kit, const Camera& camera) {
    std::vector<Filter> filters = camera.builtInNd;
    filters.insert(filters.end(), kit.filters.begin(), kit.filters.end());
    return filters;
}

const BaseIso& nearestBase(const Camera& camera, const Profile& profile, ExposureIndex iso) {
    const auto taken = [&](const BaseIso& base) {
        return profile.bases.empty() || std::find(profile.bases.begin(), profile.bases.end(),
                                                  base.iso) != profile.bases.end();
    };
    const BaseIso* best = nullptr;
    for (const auto& base : camera.bases) {
        const auto distance = [&](const BaseIso& b) {
            return std::abs(stopsBetween(b.iso, iso).value());
        };
        if (taken(base) && (!best || distance(base) < distance(*best)))
            best = &base;
    }
    return best ? *best : camera.bases.front();
}

} // namespace bslate
