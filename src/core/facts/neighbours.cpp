#include "core/facts/neighbours.h"

#include <algorithm>

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

std::vector<const Setup*> cutsWith(const Shoot& shoot, const Setup& setup) {
    constexpr std::size_t kEachSide = 8;
    std::vector<const Setup*> before, result;
    bool passed = false;
    std::size_t after = 0;
    for (const auto& other : shoot.setups) {
        if (other.id == setup.id)
            passed = true;
        else if (other.scene == setup.scene && !passed)
            before.push_back(&other);
        else if (other.scene == setup.scene && after++ < kEachSide)
            result.push_back(&other);
    }
    const auto skip = before.size() - std::min(before.size(), kEachSide);
    result.insert(result.begin(), before.begin() + static_cast<std::ptrdiff_t>(skip), before.end());
    return result;
}

std::vector<const Setup*> otherCamerasOnScene(const Shoot& shoot, const Setup& setup) {
    std::vector<const Setup*> others;
    for (const auto& other : shoot.setups)
        if (other.scene == setup.scene && other.camera != setup.camera)
            others.push_back(&other);
    return others;
}

} // namespace bslate
