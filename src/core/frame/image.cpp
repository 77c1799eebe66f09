#include "core/frame/image.h"

#include <algorithm>
#include <atomic>
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

namespace {

constexpr int kFewestRows = 32; // a thread is not worth less
constexpr int kBandsACore = 6;

int coresFor(int rows) {
    const int cores = static_cast<int>(std::max(1u, std::thread::hardware_concurrency()));
    return std::clamp(rows / kFewestRows, 1, cores);
}

void overBands(int rows, int cores, int bands, const std::function<void(int, int)>& work) {
    std::atomic<int> next{0};
    const auto take = [&] {
        for (int band = next++; band < bands; band = next++) {
            const auto edge = [&](int at) {
                return static_cast<int>(static_cast<long long>(rows) * at / bands);
            };
            work(edge(band), edge(band + 1));
        }
    };
    std::vector<std::thread> others;
    for (int core = 1; core < cores; ++core)
        others.emplace_back(take);
    take();
    for (auto& other : others)
        other.join();
}

} // namespace

void overRows(int rows, const std::function<void(int, int)>& work) {
    const int cores = coresFor(rows);
    overBands(rows, cores, cores == 1 ? 1 : std::min(rows, cores * kBandsACore), work);
}

void overCores(int rows, const std::function<void(int, int)>& work) {
    const int cores = coresFor(rows);
    overBands(rows, cores, cores, work);
}

} // namespace bslate
