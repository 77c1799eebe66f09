#include "core/facts/neighbours.h"

namespace bslate {

const Setup* earlierOnCamera(const Shoot& shoot, const Setup& setup) {
    const Setup* earlier = nullptr;
    for (const auto& other : shoot.setups) {
        if (other.id == setup.id)
            return earlier;
        if (other.camera == setup.camera)
            earlier = &other;
    }
    return nullptr;
}

std::vector<const Setup*> otherCamerasOnScene(const Shoot& shoot, const Setup& setup) {
    std::vector<const Setup*> others;
    for (const auto& other : shoot.setups)
        if (other.scene == setup.scene && other.camera != setup.camera)
            others.push_back(&other);
    return others;
}

} // namespace bslate
