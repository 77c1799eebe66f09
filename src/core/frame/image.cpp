#include "core/frame/image.h"

#include <algorithm>
#include <cmath>
#include <thread>

namespace bslate {

PixelBox pixelsOf(const PictureArea& area, PictureSize size) {
    const auto edge = [](double share, int side) {
        return std::clamp(static_cast<int>(std::lround(share * side)), 0, side);
    };
    PixelBox box{edge(area.x, size.width), edge(area.y, size.height),
                 edge(area.x + area.width, size.width), edge(area.y + area.height, size.height)};
    box.left = std::min(box.left, size.width - 1);
    box.top = std::min(box.top, size.height - 1);
    box.right = std::max(box.right, box.left + 1);
    box.bottom = std::max(box.bottom, box.top + 1);
    return box;
}

void overRows(int rows, const std::function<void(int, int)>& work) {
    constexpr int kFewest = 32; // a thread is not worth less
    const int cores = static_cast<int>(std::max(1u, std::thread::hardware_concurrency()));
    const int bands = std::clamp(rows / kFewest, 1, cores);
    std::vector<std::thread> others;
    for (int band = 1; band < bands; ++band)
        others.emplace_back(work, rows * band / bands, rows * (band + 1) / bands);
    work(0, rows / bands);
    for (auto& other : others)
        other.join();
}

} // namespace bslate
